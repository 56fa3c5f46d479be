import { bottleState, type BottleEntry, type Family, type UsedFormula } from '@selvrin/core'
import type { Bottle, BottlePage, FormulaBody, LedgerEntry } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'

interface BottleRow {
  id: string
  version: number
  label: string
  code: string
  formulaId: string
  formulaNumber: number
  body: FormulaBody
  sizeMl: number
  parts: number[] | null
  madeAt: number
  madeBy: string
  retiredAt: number | null
  retiredWhy: string | null
  ph: number | null
  batchNote: string
  mixedFrom: string | null
}

interface EntryRow extends BottleEntry {
  bottleId: string
  by: string
  note: string
  runId: string | null
  runNumber: number | null
}

const bottleRows = `
  select b.id, b.version, b.letter || b.number as label, b.code, v.formula_id as "formulaId", v.number as "formulaNumber", v.body, b.size_ml as "sizeMl", b.parts,
    b.made_at as "madeAt", coalesce(p.name, 'someone who left') as "madeBy", b.retired_at as "retiredAt", b.retired_why as "retiredWhy", batch.ph, coalesce(batch.note, '') as "batchNote",
    (select o.letter || o.number from bottle o where o.id = b.from_bottle_id) as "mixedFrom"
  from bottle b join formula_version v on v.id = b.formula_version_id left join person p on p.id = b.made_by left join batch on batch.id = b.batch_id`

const entryRows = `
  select e.id, e.bottle_id as "bottleId", e.kind, e.at, coalesce(p.name, 'someone who left') as by, e.ml, e.rolls, e.paper, e.water_in_ml as "waterInMl", e.note,
    e.run_id as "runId", r.number as "runNumber", e.reverses
  from bottle_entry e left join person p on p.id = e.by_person left join run r on r.id = e.run_id
  where e.bottle_id = any($1::uuid[]) order by e.at, e.written_at`

/** A formula body as core takes it. */
export const usedFormula = (id: string, body: FormulaBody): UsedFormula => ({ id, ...body }) as UsedFormula

function bottleOf(row: BottleRow, entries: BottleEntry[], now: number): Bottle {
  const { body, ph: _ph, mixedFrom: _mixedFrom, batchNote: _batchNote, ...rest } = row
  // a line written by someone a moment later than this request began counts all the same
  const at = entries.reduce((latest, entry) => Math.max(latest, entry.at), now)
  return {
    ...rest,
    name: body.name,
    family: body.family as Family,
    use: body.use,
    rangeC: body.rangeC,
    temperatureCoefficient: body.temperatureCoefficient,
    usualS: body.usualS,
    state: bottleState(usedFormula(row.formulaId, body), row, entries, at),
  }
}

async function entriesByBottle(db: Database, ids: string[], tx?: Transaction): Promise<Map<string, EntryRow[]>> {
  const byBottle = new Map<string, EntryRow[]>(ids.map((id) => [id, []]))
  for (const entry of await db.rows<EntryRow>(entryRows, [ids], tx)) byBottle.get(entry.bottleId)?.push(entry)
  return byBottle
}

async function withStates(db: Database, rows: BottleRow[], now: number, tx?: Transaction): Promise<Bottle[]> {
  const entries = await entriesByBottle(
    db,
    rows.map((row) => row.id),
    tx,
  )
  return rows.map((row) => bottleOf(row, entries.get(row.id) ?? [], now))
}

/** Bottles of the shelf by label, with their states: two statements, however many there are. */
export async function bottleList(
  db: Database,
  ask: { retired: boolean; limit: number; after: string | null },
  now: number,
): Promise<Bottle[]> {
  const rows = await db.rows<BottleRow>(
    `${bottleRows} where ($1::boolean or b.retired_at is null) and ($2::uuid is null or (b.letter, b.number) > (select letter, number from bottle where id = $2))
     order by b.letter, b.number limit $3`,
    [ask.retired, ask.after, ask.limit],
  )
  return withStates(db, rows, now)
}

export async function bottlesById(db: Database, ids: string[], now: number, tx?: Transaction): Promise<Bottle[]> {
  return withStates(db, await db.rows<BottleRow>(`${bottleRows} where b.id = any($1::uuid[])`, [ids], tx), now, tx)
}

export async function bottleById(db: Database, id: string, now: number, tx?: Transaction): Promise<Bottle> {
  const [bottle] = await bottlesById(db, [id], now, tx)
  if (!bottle) throw notFound('bottle')
  return bottle
}

/** A bottle with its ledger, newest line first, each with the volume after it. */
export async function bottlePage(db: Database, id: string, now: number, tx?: Transaction): Promise<BottlePage> {
  const row = await db.one<BottleRow>(`${bottleRows} where b.id = $1`, [id], tx)
  if (!row) throw notFound('bottle')
  const entries = (await entriesByBottle(db, [id], tx)).get(id) ?? []
  const reversedBy = new Map(entries.flatMap((entry) => (entry.reverses ? [[entry.reverses, entry.id]] : [])))
  let balanceMl = 0
  const ledger = entries.map((entry): LedgerEntry => {
    balanceMl += entry.ml
    const { bottleId: _bottleId, waterInMl: _waterInMl, ...line } = entry
    return { ...line, reversedBy: reversedBy.get(entry.id) ?? null, balanceMl }
  })
  return { ...bottleOf(row, entries, now), ledger: ledger.reverse(), ph: row.ph, mixedFrom: row.mixedFrom, batchNote: row.batchNote }
}

/** Locks the bottles' rows, always in the same order, so that sums read after it hold until the end of the transaction. */
export async function lockBottles(db: Database, ids: string[], tx: Transaction | undefined): Promise<void> {
  const locked = await db.rows('select id from bottle where id = any($1::uuid[]) order by id for update', [ids], tx)
  if (locked.length < new Set(ids).size) throw notFound('bottle')
}

export interface NewEntry {
  id: string
  bottleId: string
  kind: BottleEntry['kind']
  at: number
  by: string
  ml: number
  rolls?: number
  paper?: number
  waterInMl?: number
  runId?: string
  reverses?: string
  note?: string
}

export const writeEntry = (db: Database, entry: NewEntry, tx: Transaction | undefined): Promise<void> =>
  db.run(
    `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, rolls, paper, water_in_ml, run_id, reverses, note) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
    [
      entry.id,
      entry.bottleId,
      entry.kind,
      new Date(entry.at),
      entry.by,
      entry.ml,
      entry.rolls ?? 0,
      entry.paper ?? 0,
      entry.waterInMl ?? 0,
      entry.runId ?? null,
      entry.reverses ?? null,
      entry.note ?? '',
    ],
    tx,
  )

/** Refuses to take more than a locked bottle holds, saying what is left. */
export function requireVolume(bottle: Bottle, ml: number): void {
  if (ml > bottle.state.volumeMl + 1e-6)
    throw new Refusal(
      409,
      'not-enough',
      `${bottle.label} holds ${bottle.state.volumeMl.toFixed(0)} ml, not the ${ml.toFixed(0)} ml wanted. Take less, or another bottle.`,
      { current: bottle },
    )
}
