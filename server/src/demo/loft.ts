import type { ChartRow, Vessel } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { newLabelCode } from '../bottle/labels'
import type { Database } from '../database/connection'
import { demoFormulas } from './formulas'
import { insert } from './insert'
import { members, technicians } from './people'
import { demoShelves } from './seasonFacts'
import { demoChart, demoDevices, demoJars, demoPattern, demoVessels } from './stock'

const day = 86_400_000

export async function people(db: Database, passwordHash: string, today: number, tx: Transaction): Promise<string[]> {
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

export async function formulaRows(
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

export async function jars(db: Database, by: string, today: number, tx: Transaction): Promise<void> {
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

export async function vesselRows(db: Database, tx: Transaction): Promise<Vessel[]> {
  const rows: Vessel[] = demoVessels.map((vessel) => ({ id: uuid(), version: 1, carryMl: null, reels: vessel.coversMl.length, ...vessel }))
  for (const { coversMl, carryMl, ...row } of rows) await insert(db, 'vessel', { ...row, covers_ml: coversMl, carry_ml: carryMl }, tx)
  return rows
}

export async function chartRows(db: Database, formulaIds: Record<string, string>, by: string, tx: Transaction): Promise<ChartRow[]> {
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
      version: 1,
      tried: null,
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

export async function shelves(db: Database, tx: Transaction): Promise<Record<string, string>> {
  const ids: Record<string, string> = {}
  for (const [key, shelf] of Object.entries(demoShelves)) {
    ids[key] = uuid()
    await insert(db, 'shelf', { id: ids[key], ...shelf }, tx)
  }
  return ids
}

export async function devices(db: Database, today: number, tx: Transaction): Promise<void> {
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
