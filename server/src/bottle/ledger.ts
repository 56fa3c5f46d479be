import type { BottleState, BottleEntry, Brought, TestMark, BathPlace } from '@selvrin/core'
import type { LedgerEntry } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'
import { notFound } from '../http/refusal'
import { settle } from './checkpoint'

/** Locks the bottles' rows, always in the same order, so that sums read after it hold until the end of the transaction. */
export async function lockBottles(db: Database, ids: string[], tx: Transaction | undefined): Promise<void> {
  const locked = await db.rows('select id from bottle where id = any($1::uuid[]) order by id for update', [ids], tx)
  if (locked.length < new Set(ids).size) throw notFound('bottle')
  await settle(db, ids, tx)
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
  colourRolls?: number
  waterInMl?: number
  celsius?: number | null
  container?: BottleEntry['container']
  brings?: Brought | null
  twoBath?: BathPlace | null
  test?: TestMark | null
  otherBottleId?: string | null
  proofId?: string | null
  /** lines that were written together are taken back together */
  groupId?: string | null
  runId?: string | null
  /** step of the run it belongs to */
  step?: number | null
  reverses?: string | null
  note?: string
}

const json = (value: object | null | undefined): string | null => (value ? JSON.stringify(value) : null)

export const writeEntry = (db: Database, entry: NewEntry, tx: Transaction | undefined): Promise<void> =>
  db.run(
    `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, rolls, paper, water_in_ml, run_id, reverses, note, colour_rolls, celsius, container, brings, two_bath, test,
       other_bottle_id, proof_id, group_id, step) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22)`,
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
      entry.colourRolls ?? 0,
      entry.celsius ?? null,
      entry.container ?? null,
      json(entry.brings),
      json(entry.twoBath),
      json(entry.test),
      entry.otherBottleId ?? null,
      entry.proofId ?? null,
      entry.groupId ?? null,
      entry.step ?? null,
    ],
    tx,
  )

/** What liquid taken from a bottle in that state takes along. */
export const broughtFrom = (state: BottleState): Brought => ({
  strength: state.strength,
  rollsPerL: state.rollsPerL,
  silverGPerL: state.silverGPerL ?? 0,
  aged: state.aged,
  ...(state.tests.length > 0 ? { tests: state.tests } : {}),
  ...(state.fixS === null ? {} : { fixS: state.fixS }),
  ...(state.clearingTimes.length > 0 ? { clearingTimes: state.clearingTimes } : {}),
  ...(state.clearingRead.length > 0 ? { clearingRead: state.clearingRead } : {}),
})

/** What working strength made of a stock has behind it: it is fresh, but what the stock failed it has failed too. */
export const dilutedFrom = ({ tests }: BottleState): Brought | undefined => {
  const failed = tests.filter((one) => one.failed)
  return failed.length > 0 ? { strength: 1, rollsPerL: 0, silverGPerL: 0, aged: 0, tests: failed } : undefined
}

/** What was poured away, of which family and with how much silver; its drum comes with the Sink. */
export const writeWaste = (
  db: Database,
  waste: {
    at: number
    by: string
    family: string
    ml: number
    silverGPerL: number | null
    bottleId: string
    entryId: string
    note: string
  },
  tx: Transaction | undefined,
): Promise<void> =>
  db.run(
    'insert into waste_entry (id, at, by_person, family, ml, silver_g, bottle_id, entry_id, note) values ($1, $2, $3, $4, $5, $6, $7, $8, $9)',
    [
      uuid(),
      new Date(waste.at),
      waste.by,
      waste.family,
      waste.ml,
      ((waste.silverGPerL ?? 0) * waste.ml) / 1000,
      waste.bottleId,
      waste.entryId,
      waste.note,
    ],
    tx,
  )

const pageLines = 100

/** Lines of a ledger, newest first, each with the volume after it: reckoned back from the present sum, so that it costs a page, not a history. */
export async function ledgerPage(
  db: Database,
  bottleId: string,
  after: string | null,
  tx?: Transaction,
): Promise<{ rows: LedgerEntry[]; more: boolean }> {
  const from = await db.one<{ ml: number }>(
    after === null
      ? 'select ml from bottle_checkpoint where bottle_id = $1'
      : `select c.ml - (select coalesce(sum(e.ml), 0) from bottle_entry e, bottle_entry a where a.id = $2 and e.bottle_id = $1 and (e.at, e.seq) >= (a.at, a.seq)) as ml
         from bottle_checkpoint c where c.bottle_id = $1`,
    after === null ? [bottleId] : [bottleId, after],
    tx,
  )
  const lines = await db.rows<Omit<LedgerEntry, 'balanceMl'>>(
    `select e.id, e.kind, e.at, coalesce(p.name, 'someone who left') as by, e.ml, e.rolls, e.paper, e.note, e.run_id as "runId", r.number as "runNumber", e.other_bottle_id as "otherId",
       o.letter || o.number as "otherLabel", e.proof_id as "proofId", e.test, e.reverses, v.id as "reversedBy"
     from bottle_entry e left join person p on p.id = e.by_person left join run r on r.id = e.run_id left join bottle o on o.id = e.other_bottle_id
       left join bottle_entry v on v.reverses = e.id
     where e.bottle_id = $1 and ($2::uuid is null or (e.at, e.seq) < (select at, seq from bottle_entry where id = $2)) order by e.at desc, e.seq desc limit $3`,
    [bottleId, after, pageLines + 1],
    tx,
  )
  let balanceMl = from?.ml ?? 0
  const rows = lines.slice(0, pageLines).map((line): LedgerEntry => {
    const shown = { ...line, balanceMl }
    balanceMl -= line.ml
    return shown
  })
  return { rows, more: lines.length > pageLines }
}
