import { standing, type BottleEntry } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { v7 as uuid } from 'uuid'
import { afterTakenBack } from '../film/consequences'
import { notFound, Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { wholeLedger } from './checkpoint'
import { lockBottles, writeEntries } from './ledger'
import { bottleById, bottlePage } from './rows'

export interface Line {
  id: string
  bottleId: string
  kind: BottleEntry['kind']
  ml: number
  proofId: string | null
}
interface Call {
  by: string
  now: number
  reason: string
  /** the bottle it is asked for from */
  fromId?: string
  /** names of the reversing lines */
  ids?: Map<string, string>
}

/** The first line that would leave less than nothing behind if those had not been; null where the reversal holds. */
function brokenBy(entries: BottleEntry[], without: Set<string>): string | null {
  let held = 0
  for (const entry of standing(entries).filter((one) => !without.has(one.id))) {
    held += entry.ml
    if (held < -1e-6) return `${entry.kind.replace('-', ' ')} of ${Math.abs(entry.ml).toFixed(0)} ml`
  }
  return null
}

async function requireNotNeeded(db: Database, lines: Line[], { fromId, now }: Call): Promise<void> {
  const mine = new Set(lines.map((line) => line.id))
  for (const bottleId of new Set(lines.map((line) => line.bottleId))) {
    const broken = brokenBy(await wholeLedger(db, bottleId), mine)
    if (broken === null) continue
    const where = bottleId === fromId ? '' : ` in ${(await bottleById(db, bottleId, now)).label}`
    throw new Refusal(
      409,
      'needed',
      `That line cannot be taken back: the ${broken} after it${where} would have come from nothing. Take that one back first.`,
    )
  }
}

/** Bottles come back into use whose retirement is taken back; one that only came to be by what is taken back is none any more. */
async function bringBack(db: Database, lines: Line[], { now, reason }: Call): Promise<void> {
  const of = (kind: Line['kind']) => lines.filter((line) => line.kind === kind).map((line) => line.bottleId)
  const back = of('retire')
  if (back.length > 0) await changeAll(db.Bottle, { retiredAt: null, retiredWhy: null }, { id: back })
  const made = of('fill')
  const gone = { retiredAt: now, retiredWhy: `Its filling was taken back: ${reason}` }
  if (made.length > 0) await changeAll(db.Bottle, gone, { id: made, retiredAt: null })
}

/** Takes lines of one or more ledgers back together, with all that followed from them; refused where later lines need them. */
export async function takeLinesBack(db: Database, lines: Line[], call: Call): Promise<void> {
  const { by, now, reason } = call
  await lockBottles(db, [...new Set(lines.map((line) => line.bottleId))])
  const ids = lines.map((line) => line.id)
  if ((await db.BottleEntry.count({ where: { reverses: ids } })) > 0)
    throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  await requireNotNeeded(db, lines, call)
  const back = { kind: 'reverse' as const, at: now, by, note: reason }
  await writeEntries(
    db,
    lines.map(({ id, bottleId, ml }) => ({ ...back, id: call.ids?.get(id) ?? uuid(), bottleId, ml: -ml, reverses: id })),
  )
  await afterTakenBack(db, { proofIds: lines.flatMap((line) => line.proofId ?? []), by, now, reason })
  await bringBack(db, lines, call)
}

interface Asked {
  bottleId: string
  entryId: string
  newId: string
  reason: string
  by: string
  now: number
}

/** Takes one line of a bottle's ledger back, and what was written together with it. */
export async function reverseEntry(db: Database, { bottleId, entryId, newId, reason, by, now }: Asked): Promise<void> {
  const named = await db.BottleEntry.findOne({ where: { id: entryId, bottleId }, raw: true })
  if (!named) throw notFound('line of the ledger')
  if (named.reverses !== null) throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  if (named.kind === 'move' || named.kind === 'change' || named.kind === 'move-up')
    throw new Refusal(422, 'not-undone', 'That is not taken back but done anew: move it, or change how it is used, again.')
  const group = named.groupId
    ? await db.BottleEntry.findAll({ where: { groupId: named.groupId, kind: { [Op.ne]: 'reverse' } }, order: [['seq', 'asc']], raw: true })
    : [named]
  await takeLinesBack(db, group, { by, now, reason, fromId: bottleId, ids: new Map([[entryId, newId]]) })
}

export const takeBack: Handler<typeof api.bottle.reverse> = async ({ db, params, body, who, now }) => {
  await reverseEntry(db, { bottleId: params.id, entryId: params.entryId, ...body, by: who.id, now })
  return bottlePage(db, params.id, now)
}
