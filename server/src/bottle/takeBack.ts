import { decideReversing, requireReversible, wouldHold, type EntryKind, type NewLine, type Throughput, type WouldHold } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { takeWasteBack } from '../drum/waste'
import { afterTakenBack } from '../film/consequences'
import { notFound } from '../house/refusal'
import type { Handler } from '../http/route'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { lockBottles, writeEntries } from './ledger'
import { linesBehind } from './queries'
import { bottlePage, bottlesById } from './rows'
import { entriesOf } from './write'

export interface Line {
  id: string
  bottleId: string
  kind: EntryKind
  ml: number
  throughput: Throughput[]
  proofId: string | null
}
interface Call {
  by: string
  now: number
  reason: string
  /** the bottle it is asked for from */
  asked?: string
  /** names of the reversing lines */
  ids?: Map<string, string>
}

/** Every line of the bottles those lines are of. */
async function ledgersOf(db: Database, bottleIds: string[]) {
  const rows = await db.Bottle.findAll({ attributes: ['id', 'letter', 'number'], where: { id: bottleIds }, raw: true })
  const lines = await linesBehind(db, { ids: bottleIds, whole: true })
  return rows.map(({ id, letter, number }) => ({
    bottleId: id,
    label: `${letter}${number}`,
    entries: lines.filter((line) => line.bottleId === id),
  }))
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

const bottlesIn = (lines: Line[]): string[] => [...new Set(lines.map((line) => line.bottleId))]

/** What taking those lines back would write; refused where later lines need them. */
async function reversalOf(db: Database, lines: Line[], { reason, asked, ids }: Pick<Call, 'reason' | 'asked' | 'ids'>): Promise<NewLine[]> {
  const reversed = await db.BottleEntry.findAll({ attributes: ['reverses'], where: { reverses: lines.map((line) => line.id) }, raw: true })
  const over = new Set(reversed.map((line) => line.reverses))
  // rows of the ledger are no plain objects: what is wanted of them is named
  const standing = lines.map(({ id, bottleId, kind, ml }) => ({ id, bottleId, kind, ml, over: over.has(id) }))
  return decideReversing(standing, await ledgersOf(db, bottlesIn(lines)), { reason, asked, ids })
}

/** What each bottle would hold if those lines were taken back, with the lines that would be. */
export async function wouldTakeBack(db: Database, lines: Line[], { asked, now }: { asked?: string; now: number }): Promise<WouldHold[]> {
  const decided = await reversalOf(db, lines, { reason: '', ...(asked === undefined ? {} : { asked }) })
  const would = wouldHold(await bottlesById(db, bottlesIn(lines), now), { lines: decided })
  // said by what is taken back: that a line is, everyone knows
  const taken = (bottleId: string) =>
    lines.filter((line) => line.bottleId === bottleId).map(({ kind, throughput }) => ({ kind, throughput }))
  return would.map((one) => ({ ...one, lines: taken(one.bottleId) }))
}

/** Takes lines of one or more ledgers back together, with all that followed from them. */
export async function takeLinesBack(db: Database, lines: Line[], call: Call): Promise<void> {
  const { by, now, reason } = call
  await lockBottles(db, bottlesIn(lines))
  await writeEntries(db, entriesOf(await reversalOf(db, lines, call), { by, now }))
  await afterTakenBack(db, { proofIds: lines.flatMap((line) => line.proofId ?? []), by, now, reason })
  await bringBack(db, lines, call)
  await takeWasteBack(db, { entryIds: lines.map((line) => line.id) }, { by, now, why: reason })
}

interface Asked {
  bottleId: string
  entryId: string
  newId: string
  reason: string
  by: string
  now: number
}

/** A line of a bottle's ledger that may be taken back, with what was written together with it. */
async function groupOf(db: Database, { bottleId, entryId }: Pick<Asked, 'bottleId' | 'entryId'>): Promise<Line[]> {
  const named = await db.BottleEntry.findOne({ where: { id: entryId, bottleId }, raw: true })
  if (!named) throw notFound('line of the ledger')
  requireReversible({ kind: named.kind, over: named.reverses !== null })
  return named.groupId
    ? await db.BottleEntry.findAll({ where: { groupId: named.groupId, kind: { [Op.ne]: 'reverse' } }, order: [['seq', 'asc']], raw: true })
    : [named]
}

/** Takes one line of a bottle's ledger back, and what was written together with it. */
export async function reverseEntry(db: Database, { bottleId, entryId, newId, reason, by, now }: Asked): Promise<void> {
  await takeLinesBack(db, await groupOf(db, { bottleId, entryId }), { by, now, reason, asked: bottleId, ids: new Map([[entryId, newId]]) })
}

export const wouldReverse: Handler<typeof api.bottle.wouldReverse> = async ({ db, params: { id, entryId }, now }) => ({
  would: await wouldTakeBack(db, await groupOf(db, { bottleId: id, entryId }), { asked: id, now }),
})

export const takeBack: Handler<typeof api.bottle.reverse> = async ({ db, params, body, who, now }) => {
  await reverseEntry(db, { bottleId: params.id, entryId: params.entryId, ...body, by: who.id, now })
  return bottlePage(db, params.id, now)
}
