import type { ImportRow } from '@selvrin/core/contract'
import { col, fn } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import { newLabelCodes } from '../label/codes'
import { addVessel, changeVessel } from '../run/vessels'
import { addShelf, changeShelf } from '../shelf/shelves'
import type { Database } from '../table/database'
import { changeChart, changeJars, raiseFormulas } from './queries'

export interface Write {
  db: Database
  by: string
  now: number
}
export type Rows<K extends ImportRow['kind']> = Extract<ImportRow, { kind: K }>[]

const changedMeanwhile = (what: string): Refusal =>
  new Refusal(409, 'stale', `${what} changed while you looked at the import. Nothing was written: read the file again.`)

/** Work on a row as its writer saw it; one that is another by now stops the import. */
export async function asItWas(work: Promise<unknown>, what: string): Promise<void> {
  try {
    await work
  } catch (error) {
    throw error instanceof Refusal && (error.code === 'stale' || error.status === 404) ? changedMeanwhile(what) : error
  }
}

/** New formulas with their first version; changed ones get their next. */
export async function writeFormulas({ db, by, now }: Write, rows: Rows<'formulas'>): Promise<number> {
  const fresh = rows.filter((row) => row.version === null)
  const changed = rows.filter((row) => row.version !== null)
  await db.Formula.bulkCreate(fresh.map(({ id }) => ({ id })))
  if ((await raiseFormulas(db, changed)) !== changed.length) throw changedMeanwhile('A formula')
  const last = await db.FormulaVersion.findAll({
    attributes: ['formulaId', [fn('max', col('number')), 'number']],
    where: { formulaId: changed.map((row) => row.id) },
    group: ['formulaId'],
    raw: true,
  })
  const numbers = new Map(last.map((one) => [one.formulaId, one.number]))
  await db.FormulaVersion.bulkCreate(
    rows.map(({ id: formulaId, body, overrule = null }) => ({
      id: uuid(),
      formulaId,
      number: (numbers.get(formulaId) ?? 0) + 1,
      body,
      overruled: overrule,
      changedBy: by,
      changedAt: now,
    })),
  )
  return rows.length
}

/** New shelves; changed ones as on their own page: what stands there is warmer or cooler from now on. */
export async function writeShelves({ db, by, now }: Write, rows: Rows<'shelves'>): Promise<number> {
  for (const { id, version, body } of rows) {
    if (version === null) await addShelf(db, { id, ...body })
    else await asItWas(changeShelf(db, { id, version, ...body }, { by, now }), 'A shelf')
  }
  return rows.length
}

/** New tanks and drums, and what changed of those that are here. */
export async function writeTanks({ db }: Write, rows: Rows<'tanks'>): Promise<number> {
  for (const { id, version, body } of rows) {
    if (version === null) await addVessel(db, { id, ...body })
    else await asItWas(changeVessel(db, { id, version, ...body }), 'A tank')
  }
  return rows.length
}

/** New jars with a label and what they hold; changed ones keep their ledger, and a difference in what they hold is a correction in it. */
export async function writeJars({ db, by, now }: Write, rows: Rows<'jars'>): Promise<number> {
  const fresh = rows.filter((row) => row.version === null)
  const changed = rows.filter((row) => row.version !== null)
  const codes = await newLabelCodes(db, fresh.length)
  await db.Jar.bulkCreate(fresh.map(({ id, body }, i) => ({ ...body, id, code: codes[i] ?? '' })))
  const seen = changed.map(({ id, version, body }) => ({ ...body, id, version }))
  if ((await changeJars(db, seen)) !== changed.length) throw changedMeanwhile('A jar')
  const sums = await db.JarEntry.findAll({
    attributes: ['jarId', [fn('sum', col('grams')), 'grams']],
    where: { jarId: changed.map((row) => row.id) },
    group: ['jarId'],
    raw: true,
  })
  const held = new Map(sums.map((one) => [one.jarId, one.grams]))
  const line = { note: 'imported', at: now, byPerson: by }
  await db.JarEntry.bulkCreate([
    ...fresh.map((row) => ({ ...line, id: uuid(), jarId: row.id, kind: 'receive' as const, grams: row.grams })),
    ...changed
      .map((row) => ({ ...line, id: uuid(), jarId: row.id, kind: 'correct' as const, grams: row.grams - (held.get(row.id) ?? 0) }))
      .filter((one) => Math.abs(one.grams) >= 0.00005),
  ])
  return rows.length
}

/** New rows of the development chart, and times that changed. */
export async function writeChart({ db, by }: Write, rows: Rows<'chart'>): Promise<number> {
  const fresh = rows.filter((row) => row.isNew)
  const changed = rows.filter((row) => !row.isNew)
  await db.ChartRow.bulkCreate(fresh.map(({ id, body }) => ({ ...body, id, byPerson: by })))
  const seen = changed.map(({ id, version, body }) => ({ ...body, id, version: version ?? null }))
  if ((await changeChart(db, seen, by)) !== changed.length) throw changedMeanwhile('A row of the chart')
  return rows.length
}
