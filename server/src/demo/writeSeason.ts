import type { Transaction } from 'sequelize'
import { newLabelCode } from '../bottle/labels'
import type { Database } from '../database/connection'
import { insert } from './insert'
import { seeded } from './random'
import type { Season } from './seasonBook'

/** Writes a season down as its technicians would have: runs with their films, then bottles with their tests and ledgers. */
export async function writeSeason(
  db: Database,
  season: Season,
  known: { staff: string[]; versionIds: Record<string, string>; shelfIds: Record<string, string> },
  tx: Transaction,
): Promise<void> {
  const random = seeded(7)
  const someone = () => known.staff[Math.floor(random() * known.staff.length)] ?? ''
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
    const versionId = known.versionIds[bottle.formula] ?? ''
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
        shelf_id: known.shelfIds[bottle.shelf] ?? null,
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
          step: entry.step ?? null,
          note: entry.note,
          celsius: entry.celsius ?? null,
          two_bath: entry.twoBath ? JSON.stringify(entry.twoBath) : null,
          test: entry.test ? JSON.stringify(entry.test) : null,
          proof_id: entry.proofId,
        },
        tx,
      )
  }
}
