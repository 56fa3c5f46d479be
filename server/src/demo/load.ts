import type { ChartRow, Vessel } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { newLabelCode } from '../bottle/labels'
import type { Database } from '../database/connection'
import { hashPassword } from '../session/password'
import { demoFormulas } from './formulas'
import { demoPassword, members, technicians } from './people'
import { seeded } from './random'
import { insert } from './insert'
import { instruments } from './instruments'
import { playSeason } from './season'
import { demoShelves } from './seasonFacts'
import { demoChart, demoDevices, demoJars, demoPattern, demoVessels } from './stock'

const day = 86_400_000

/** Fills an empty demo database with the Tidewheel Darkroom, its dates relative to `today` (ms). */
export async function loadDemo(db: Database, today: number): Promise<void> {
  const passwordHash = await hashPassword(demoPassword)
  await db.transaction(async (tx) => {
    const [ilse = '', ...others] = await people(db, passwordHash, today, tx)
    const staff = [ilse, ...others.slice(0, technicians.length - 1)]
    const memberIds = others.slice(technicians.length - 1)
    const formulas = await formulaRows(db, ilse, today, tx)
    await jars(db, ilse, today, tx)
    await devices(db, today, tx)
    const shelfIds = await shelves(db, tx)
    const vessels = await vesselRows(db, tx)
    const chart = await chartRows(db, formulas.ids, ilse, tx)
    const season = playSeason(today, { memberIds, vessels, chart, formulaIds: formulas.ids })
    const random = seeded(7)
    const someone = () => staff[Math.floor(random() * staff.length)] ?? ilse

    for (const run of season.runs) {
      const by = someone()
      const developing = run.plan.steps.find((step) => step.kind === 'develop')?.seconds ?? 0
      const ends = run.at + run.plan.steps.reduce((sum, step) => sum + step.seconds * 1000, 0)
      await insert(
        db,
        'run',
        {
          id: run.id,
          number: run.number,
          state: 'done',
          plan: JSON.stringify(run.plan),
          request: JSON.stringify(run.request),
          planned_by: by,
          planned_at: new Date(run.at - 900_000),
          started_at: new Date(run.at),
          ended_at: new Date(ends),
        },
        tx,
      )
      for (const film of run.request.films) {
        const judged = random()
        await insert(
          db,
          'roll',
          {
            id: film.id,
            run_id: run.id,
            member_id: film.memberId,
            film: film.film,
            format: film.format,
            ei: film.ei,
            developer: run.developer,
            developed_s: Math.round(developing),
            temperature_c: run.request.temperatureC,
            at: new Date(ends),
            result: judged < 0.6 ? 'right' : judged < 0.68 ? 'thin' : judged < 0.76 ? 'dense' : null,
            contrast: judged < 0.7 ? 'right' : null,
            note: judged < 0.04 ? 'a little dust in the sky' : '',
          },
          tx,
        )
      }
    }
    for (const bottle of season.bottles) {
      const by = someone()
      const versionId = formulas.versionIds[bottle.formula] ?? ''
      if (bottle.parts === null && bottle.batchId)
        await insert(
          db,
          'batch',
          { id: bottle.batchId, formula_version_id: versionId, made_at: new Date(bottle.madeAt), made_by: by, ph: bottle.ph },
          tx,
        )
      await insert(
        db,
        'bottle',
        {
          id: bottle.id,
          letter: bottle.letter,
          number: bottle.number,
          code: await newLabelCode(db, tx),
          formula_version_id: versionId,
          batch_id: bottle.batchId,
          shelf_id: shelfIds[bottle.shelf] ?? null,
          own_use: bottle.ownUse ? JSON.stringify(bottle.ownUse) : null,
          from_bottle_id: bottle.fromId,
          size_ml: bottle.sizeMl,
          parts: bottle.parts,
          made_at: new Date(bottle.madeAt),
          made_by: by,
          retired_at: bottle.retiredAt === null ? null : new Date(bottle.retiredAt),
          retired_why: bottle.retiredWhy,
        },
        tx,
      )
      for (const proof of season.proofs.filter((one) => one.bottle === bottle))
        await insert(
          db,
          'proof',
          {
            id: proof.id,
            kind: proof.kind,
            at: new Date(proof.at),
            by_person: by,
            bottle_id: bottle.id,
            batch_id: bottle.batchId,
            fresh: proof.fresh,
            reading: JSON.stringify(proof.reading),
            judgement: JSON.stringify(proof.judgement),
            rolls_per_l: proof.rollsPerL,
          },
          tx,
        )
      for (const entry of [...bottle.entries].sort((a, b) => a.at - b.at))
        await insert(
          db,
          'bottle_entry',
          {
            id: entry.id,
            bottle_id: bottle.id,
            kind: entry.kind,
            at: new Date(entry.at),
            by_person: by,
            ml: entry.ml,
            rolls: entry.rolls,
            paper: entry.paper,
            water_in_ml: entry.waterInMl,
            run_id: entry.runId,
            note: entry.note,
            celsius: entry.celsius ?? null,
            two_bath: entry.twoBath ? JSON.stringify(entry.twoBath) : null,
            test: entry.test ? JSON.stringify(entry.test) : null,
            proof_id: entry.proofId,
          },
          tx,
        )
    }
    await instruments(
      db,
      ilse,
      today,
      season.bottles.filter((bottle) => bottle.formula === 'softBorax'),
      tx,
    )
  })
}

async function people(db: Database, passwordHash: string, today: number, tx: Transaction): Promise<string[]> {
  const ids: string[] = []
  for (const [i, person] of [...technicians, ...members].entries()) {
    const id = uuid({ msecs: today - (400 - i * 20) * day })
    ids.push(id)
    await insert(
      db,
      'person',
      {
        id,
        name: person.name,
        login: person.login,
        role: i < technicians.length ? 'technician' : 'member',
        password_hash: passwordHash,
        created_at: new Date(today - (400 - i * 20) * day),
      },
      tx,
    )
  }
  return ids
}

async function formulaRows(
  db: Database,
  by: string,
  today: number,
  tx: Transaction,
): Promise<{ ids: Record<string, string>; versionIds: Record<string, string> }> {
  const ids: Record<string, string> = {}
  const versionIds: Record<string, string> = {}
  for (const [key, written] of Object.entries(demoFormulas)) {
    // a formula of parts names them by their keys here
    const body = written.combine
      ? { ...written, combine: written.combine.map((part) => ({ ...part, formulaId: ids[part.formulaId] ?? part.formulaId })) }
      : written
    const at = today - 300 * day
    ids[key] = uuid({ msecs: at })
    versionIds[key] = uuid({ msecs: at })
    await insert(db, 'formula', { id: ids[key] }, tx)
    await insert(
      db,
      'formula_version',
      { id: versionIds[key], formula_id: ids[key], number: 1, body: JSON.stringify(body), changed_by: by, changed_at: new Date(at) },
      tx,
    )
  }
  return { ids, versionIds }
}

async function jars(db: Database, by: string, today: number, tx: Transaction): Promise<void> {
  for (const [i, [chemical, grams, place, pricePerKg, more]] of demoJars.entries()) {
    const id = uuid({ msecs: today - (200 - i) * day })
    await insert(
      db,
      'jar',
      {
        id,
        code: await newLabelCode(db, tx),
        chemical,
        lot: `26-${String.fromCharCode(65 + (i % 6))}`,
        place,
        opened_at: new Date(today - (120 - i) * day),
        price_per_kg: pricePerKg,
        assay: more?.assay ?? null,
        reorder_g: more?.reorderG ?? null,
        spoon_g: more?.spoonG ?? null,
      },
      tx,
    )
    await insert(
      db,
      'jar_entry',
      { id: uuid(), jar_id: id, kind: 'receive', grams, at: new Date(today - (200 - i) * day), by_person: by },
      tx,
    )
  }
}

async function vesselRows(db: Database, tx: Transaction): Promise<Vessel[]> {
  const rows: Vessel[] = demoVessels.map((vessel) => ({ id: uuid(), reels: vessel.coversMl.length, ...vessel }))
  for (const { coversMl, ...row } of rows) await insert(db, 'vessel', { ...row, covers_ml: coversMl }, tx)
  return rows
}

async function chartRows(db: Database, formulaIds: Record<string, string>, by: string, tx: Transaction): Promise<ChartRow[]> {
  const rows = demoChart.flatMap(([film, formula, parts, ei, times, source]) =>
    times.map(([temperatureC, minutes]): ChartRow => ({
      id: uuid(),
      film,
      formulaId: formulaIds[formula] ?? '',
      parts,
      ei,
      temperatureC,
      seconds: minutes * 60,
      source,
      note: '',
      by: '',
    })),
  )
  for (const row of rows)
    await insert(
      db,
      'chart_row',
      {
        id: row.id,
        film: row.film,
        formula_id: row.formulaId,
        parts: row.parts,
        ei: row.ei,
        temperature_c: row.temperatureC,
        seconds: row.seconds,
        source: row.source,
        by_person: by,
      },
      tx,
    )
  return rows
}

async function shelves(db: Database, tx: Transaction): Promise<Record<string, string>> {
  const ids: Record<string, string> = {}
  for (const [key, shelf] of Object.entries(demoShelves)) {
    ids[key] = uuid()
    await insert(db, 'shelf', { id: ids[key], ...shelf }, tx)
  }
  return ids
}

async function devices(db: Database, today: number, tx: Transaction): Promise<void> {
  for (const { kind, name, port, calibration } of demoDevices)
    await insert(
      db,
      'device',
      {
        id: uuid(),
        kind,
        name,
        host: '127.0.0.1',
        port,
        pattern: demoPattern,
        simulated: true,
        calibration: calibration === null ? null : JSON.stringify({ ...calibration, at: today - 4 * day }),
      },
      tx,
    )
}
