import { carryOf, emptyCarry, type BottleEntry, type BottleFacts, type Carry, type UsedFormula } from '@selvrin/core'
import type { FormulaBody } from '@selvrin/core/contract'
import { col } from 'sequelize'
import { usedFormula } from '../formula/used'
import type { Database } from '../table/database'
import { linesBehind, rebuildSums, type StoredEntry } from './queries'

/** As many lines may stand behind a checkpoint before a write moves it up. */
export const mostTail = 6
/** ledgers held in memory together while checkpoints are rebuilt */
const rebuiltAtOnce = 20

/** What a checkpoint is reckoned from. */
interface Ledgered extends BottleFacts {
  id: string
  formulaId: string
  body: FormulaBody
  ownUse: FormulaBody['use'] | null
  tail: StoredEntry[]
  carry: Carry | null
}

/** The lines of each bottle behind its checkpoint, oldest first. */
async function tailsOf(db: Database, ids: string[]): Promise<Map<string, StoredEntry[]>> {
  const tails = new Map<string, StoredEntry[]>(ids.map((id) => [id, []]))
  for (const entry of await linesBehind(db, { ids, whole: false })) tails.get(entry.bottleId)?.push(entry)
  return tails
}

/** The whole ledger of one bottle, oldest first. */
export const wholeLedger = (db: Database, id: string): Promise<StoredEntry[]> => linesBehind(db, { ids: [id], whole: true })

export const carryFrom = (formula: UsedFormula, bottle: BottleFacts, tail: BottleEntry[], carry: Carry | null): Carry =>
  carryOf(formula, bottle, tail, carry ?? emptyCarry())

/** Moves the checkpoint of a locked bottle up to its last line. */
export async function moveUp(db: Database, { id, formulaId, body, ownUse, tail, carry, ...bottle }: Ledgered): Promise<void> {
  const last = tail.at(-1)
  if (!last) return
  const reached = carryFrom(usedFormula(formulaId, body, ownUse), bottle, tail, carry)
  const facts = { carry: reached, carried: col('entries') as never, carriedAt: last.at, carriedSeq: last.seq }
  await db.BottleCheckpoint.update(facts, { where: { bottleId: id } })
}

/** Moves the checkpoints of locked bottles up where many lines have come since. Inside a transaction that holds the lock only. */
export async function settle(db: Database, ids: string[]): Promise<void> {
  const counts = await db.BottleCheckpoint.findAll({ attributes: ['bottleId', 'entries', 'carried'], where: { bottleId: ids }, raw: true })
  const long = counts.filter((one) => one.entries - one.carried > mostTail).map((one) => one.bottleId)
  if (long.length === 0) return
  const checkpoints = await db.BottleCheckpoint.findAll({
    where: { bottleId: long },
    include: { association: 'bottle', include: [{ association: 'madeOf' }] },
  })
  const tails = await tailsOf(db, long)
  for (const { bottleId: id, bottle, carry } of checkpoints)
    if (bottle?.madeOf)
      await moveUp(db, {
        ...bottle.get(),
        id,
        formulaId: bottle.madeOf.formulaId,
        body: bottle.madeOf.body,
        tail: tails.get(id) ?? [],
        carry,
      })
}

/** Makes every checkpoint anew from the ledgers; with `all` false only those that have fallen far behind, as after an upgrade. */
export async function rebuildCheckpoints(db: Database, all: boolean): Promise<void> {
  await db.transaction(async () => {
    const bottles = await db.Bottle.findAll({ attributes: ['id'], order: [['id', 'asc']], lock: true, raw: true })
    if (all) await rebuildSums(db)
    for (let i = 0; i < bottles.length; i += rebuiltAtOnce)
      await settle(
        db,
        bottles.slice(i, i + rebuiltAtOnce).map((one) => one.id),
      )
  })
}

/** Forgets what bottles' older lines came to, where they are to be read in another way from now on. */
export const forgetCheckpoints = (db: Database, ids: string[]): Promise<unknown> =>
  db.BottleCheckpoint.update({ carried: 0, carriedAt: null, carriedSeq: null, carry: null }, { where: { bottleId: ids } })
