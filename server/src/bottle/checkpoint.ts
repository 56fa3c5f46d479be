import { carryOf, emptyCarry, type BottleEntry, type BottleFacts, type Carry, type UsedFormula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { usedFormula } from '../formula/used'

export interface Checkpoint {
  carry: Carry | null
}

/** A line of the ledger as core takes it. */
export interface StoredEntry extends BottleEntry {
  bottleId: string
  seq: number
}

/** As many lines may stand behind a checkpoint before a write moves it up. */
const mostTail = 40
/** ledgers held in memory together while checkpoints are rebuilt */
const rebuiltAtOnce = 20

const tailRows = `
  select e.id, e.bottle_id as "bottleId", e.seq, e.kind, e.at, e.ml, e.rolls, e.paper, e.water_in_ml as "waterInMl", e.colour_rolls as "colourRolls", e.reverses, e.brings, e.celsius,
    e.container, e.two_bath as "twoBath", e.test
  from unnest($1::uuid[]) as b(id) left join bottle_checkpoint c on c.bottle_id = b.id
    cross join lateral (
      select * from bottle_entry e where e.bottle_id = b.id and (e.at, e.seq) > (coalesce(c.carried_at, '-infinity'::timestamptz), coalesce(c.carried_seq, 0)) order by e.at, e.seq
    ) e`

/** The lines of each bottle behind its checkpoint, oldest first. */
export async function tailsOf(db: Database, ids: string[], tx?: Transaction): Promise<Map<string, StoredEntry[]>> {
  const tails = new Map<string, StoredEntry[]>(ids.map((id) => [id, []]))
  for (const entry of await db.rows<StoredEntry>(tailRows, [ids], tx)) tails.get(entry.bottleId)?.push(entry)
  return tails
}

/** The whole ledger of one bottle, oldest first. */
export const wholeLedger = (db: Database, id: string, tx?: Transaction): Promise<StoredEntry[]> =>
  db.rows<StoredEntry>(
    `select id, bottle_id as "bottleId", seq, kind, at, ml, rolls, paper, water_in_ml as "waterInMl", colour_rolls as "colourRolls", reverses, brings, celsius, container,
       two_bath as "twoBath", test from bottle_entry where bottle_id = $1 order by at, seq`,
    [id],
    tx,
  )

export const carryFrom = (formula: UsedFormula, bottle: BottleFacts, tail: BottleEntry[], carry: Carry | null): Carry =>
  carryOf(formula, bottle, tail, carry ?? emptyCarry())

/** Moves the checkpoints of locked bottles up where many lines have come since. Inside a transaction that holds the lock only. */
export async function settle(db: Database, ids: string[], tx: Transaction | undefined): Promise<void> {
  const long = await db.rows<{
    id: string
    carry: Carry | null
    body: FormulaBody
    ownUse: FormulaBody['use'] | null
    sizeMl: number
    parts: number[] | null
    madeAt: number
    retiredAt: number | null
  }>(
    `select b.id, c.carry, v.body, b.own_use as "ownUse", b.size_ml as "sizeMl", b.parts, b.made_at as "madeAt", b.retired_at as "retiredAt"
     from bottle_checkpoint c join bottle b on b.id = c.bottle_id join formula_version v on v.id = b.formula_version_id
     where c.bottle_id = any($1::uuid[]) and c.entries - c.carried > $2`,
    [ids, mostTail],
    tx,
  )
  if (long.length === 0) return
  const tails = await tailsOf(
    db,
    long.map((one) => one.id),
    tx,
  )
  for (const one of long) {
    const tail = tails.get(one.id) ?? []
    const last = tail.at(-1)
    if (!last) continue
    const carry = carryFrom(usedFormula('', one.body, one.ownUse), one, tail, one.carry)
    await db.run(
      'update bottle_checkpoint set carry = $2, carried = entries, carried_at = (select at from bottle_entry where id = $3), carried_seq = $4 where bottle_id = $1',
      [one.id, JSON.stringify(carry), last.id, last.seq],
      tx,
    )
  }
}

/** Makes every checkpoint anew from the ledgers; with `all` false only those that have fallen far behind, as after an upgrade. */
export async function rebuildCheckpoints(db: Database, all: boolean): Promise<void> {
  await db.transaction(async (tx) => {
    const bottles = await db.rows<{ id: string }>('select id from bottle order by id for update', [], tx)
    if (all) await db.rows('select rebuild_checkpoints()', [], tx)
    for (let i = 0; i < bottles.length; i += rebuiltAtOnce)
      await settle(
        db,
        bottles.slice(i, i + rebuiltAtOnce).map((one) => one.id),
        tx,
      )
  })
}

/** Forgets what bottles' older lines came to, where they are to be read in another way from now on. */
export const forgetCheckpoints = (db: Database, ids: string[], tx: Transaction | undefined): Promise<void> =>
  db.run(
    'update bottle_checkpoint set carried = 0, carried_at = null, carried_seq = null, carry = null where bottle_id = any($1::uuid[])',
    [ids],
    tx,
  )
