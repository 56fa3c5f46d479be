import type { ImportRow } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { newLabelCodes } from '../bottle/labels'
import type { Database } from '../database/connection'
import { addVessel, changeVessel } from '../run/vessels'
import { addShelf, changeShelf } from '../shelf/shelves'
import { Refusal } from '../http/refusal'

export interface Write {
  db: Database
  by: string
  now: number
  tx: Transaction | undefined
}
export type Rows<K extends ImportRow['kind']> = Extract<ImportRow, { kind: K }>[]

const changedMeanwhile = (what: string): Refusal =>
  new Refusal(409, 'stale', `${what} changed while you looked at the import. Nothing was written: read the file again.`)

/** New formulas with their first version; changed ones get their next. */
export async function writeFormulas({ db, by, now, tx }: Write, rows: Rows<'formulas'>): Promise<void> {
  if (rows.length === 0) return
  const fresh = rows.filter((row) => row.version === null)
  const changed = rows.filter((row) => row.version !== null)
  await db.run(`insert into formula (id) select (r ->> 'id')::uuid from jsonb_array_elements($1::jsonb) r`, [JSON.stringify(fresh)], tx)
  const raised = await db.rows(
    `update formula f set version = f.version + 1 from jsonb_to_recordset($1::jsonb) as r(id uuid, version int) where f.id = r.id and f.version = r.version returning f.id`,
    [JSON.stringify(changed)],
    tx,
  )
  if (raised.length !== changed.length) throw changedMeanwhile('A formula')
  const versions = rows.map((row) => ({ id: uuid(), formulaId: row.id, body: row.body, overruled: row.overrule ?? null }))
  await db.run(
    `insert into formula_version (id, formula_id, number, body, changed_by, changed_at, overruled)
     select r.id, r."formulaId", coalesce((select max(number) from formula_version v where v.formula_id = r."formulaId"), 0) + 1, r.body, $2, $3, r.overruled
     from jsonb_to_recordset($1::jsonb) as r(id uuid, "formulaId" uuid, body jsonb, overruled text)`,
    [JSON.stringify(versions), by, new Date(now)],
    tx,
  )
}

/** New shelves; changed ones as on their own page: what stands there is warmer or cooler from now on. */
export async function writeShelves({ db, by, now, tx }: Write, rows: Rows<'shelves'>): Promise<void> {
  for (const { id, version, body } of rows) {
    if (version === null) await addShelf(db, { id, ...body }, tx)
    else if (!(await changeShelf(db, { id, version, ...body }, { by, now }, tx))) throw changedMeanwhile('A shelf')
  }
}

/** New tanks and drums, and what changed of those that are here. */
export async function writeTanks({ db, tx }: Write, rows: Rows<'tanks'>): Promise<void> {
  for (const { id, version, body } of rows) {
    if (version === null) await addVessel(db, { id, ...body }, tx)
    else if (!(await changeVessel(db, { id, version, ...body }, tx))) throw changedMeanwhile('A tank')
  }
}

const jarColumns = `r.lot, r.place, to_timestamp(r."openedAt" / 1000.0), r.assay, r."pricePerKg", r."reorderG"`
const jarRecord = `as r(id uuid, version int, code text, chemical text, lot text, place text, "openedAt" numeric, assay numeric, "pricePerKg" numeric, "reorderG" numeric)`

/** New jars with a label and what they hold; changed ones keep their ledger, and a difference in what they hold is a correction in it. */
export async function writeJars({ db, by, now, tx }: Write, rows: Rows<'jars'>): Promise<void> {
  if (rows.length === 0) return
  const fresh = rows.filter((row) => row.version === null)
  const changed = rows.filter((row) => row.version !== null)
  const codes = await newLabelCodes(db, fresh.length, tx)
  const flat = (row: Rows<'jars'>[number], i: number) => ({ ...row.body, id: row.id, version: row.version, code: codes[i] ?? '' })
  await db.run(
    `insert into jar (id, code, chemical, lot, place, opened_at, assay, price_per_kg, reorder_g) select r.id, r.code, r.chemical, ${jarColumns} from jsonb_to_recordset($1::jsonb) ${jarRecord}`,
    [JSON.stringify(fresh.map(flat))],
    tx,
  )
  const written = await db.rows(
    `update jar set version = jar.version + 1, lot = r.lot, place = r.place, opened_at = to_timestamp(r."openedAt" / 1000.0), assay = r.assay, price_per_kg = r."pricePerKg", reorder_g = r."reorderG"
     from jsonb_to_recordset($1::jsonb) ${jarRecord} where jar.id = r.id and jar.version = r.version returning jar.id`,
    [JSON.stringify(changed.map(flat))],
    tx,
  )
  if (written.length !== changed.length) throw changedMeanwhile('A jar')
  const entries = rows.map((row) => ({ id: uuid(), jarId: row.id, isNew: row.version === null, grams: row.grams }))
  await db.run(
    `insert into jar_entry (id, jar_id, kind, grams, note, at, by_person)
     select r.id, r."jarId", case when r."isNew" then 'receive' else 'correct' end, r.grams - held.grams, 'imported', $2, $3
     from jsonb_to_recordset($1::jsonb) as r(id uuid, "jarId" uuid, "isNew" boolean, grams numeric)
     cross join lateral (select coalesce(sum(grams), 0) as grams from jar_entry e where e.jar_id = r."jarId") held
     where r."isNew" or r.grams <> held.grams`,
    [JSON.stringify(entries), new Date(now), by],
    tx,
  )
}

/** New rows of the development chart, and times that changed. */
export async function writeChart({ db, by, tx }: Write, rows: Rows<'chart'>): Promise<void> {
  if (rows.length === 0) return
  const flat = (wanted: Rows<'chart'>) => JSON.stringify(wanted.map((row) => ({ id: row.id, version: row.version ?? null, ...row.body })))
  const fresh = rows.filter((row) => row.isNew)
  const changed = rows.filter((row) => !row.isNew)
  const record = `as r(id uuid, version int, film text, "formulaId" uuid, parts jsonb, ei int, "temperatureC" numeric, seconds numeric, source text, note text)`
  await db.run(
    `insert into chart_row (id, film, formula_id, parts, ei, temperature_c, seconds, source, note, by_person)
     select r.id, r.film, r."formulaId", array(select p::text::numeric from jsonb_array_elements(r.parts) p), r.ei, r."temperatureC", r.seconds, r.source, r.note, $2
     from jsonb_to_recordset($1::jsonb) ${record}`,
    [flat(fresh), by],
    tx,
  )
  const written = await db.rows(
    `update chart_row c set seconds = r.seconds, source = r.source, note = r.note, by_person = $2, version = c.version + 1 from jsonb_to_recordset($1::jsonb) ${record} where c.id = r.id and c.version = r.version returning c.id`,
    [flat(changed), by],
    tx,
  )
  if (written.length !== changed.length) throw changedMeanwhile('A row of the chart')
}
