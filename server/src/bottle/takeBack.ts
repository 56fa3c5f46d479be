import { standing, type BottleEntry } from '@selvrin/core'
import type { Transaction } from 'sequelize'
import { v7 as uuid } from 'uuid'
import type { Database } from '../database/connection'
import { notFound, Refusal } from '../http/refusal'
import { afterTakenBack } from '../proof/consequences'
import { wholeLedger } from './checkpoint'
import { lockBottles, writeEntry } from './ledger'
import { bottleById } from './rows'

export interface Line {
  id: string
  bottleId: string
  kind: BottleEntry['kind']
  ml: number
  proofId: string | null
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

/** Takes lines of one or more ledgers back together, with all that followed from them; refused where later lines need them. `ids` names the reversing lines. */
export async function takeLinesBack(
  db: Database,
  lines: Line[],
  call: { by: string; now: number; reason: string; fromId?: string; ids?: Map<string, string> },
  tx: Transaction | undefined,
): Promise<void> {
  const bottleIds = [...new Set(lines.map((line) => line.bottleId))]
  await lockBottles(db, bottleIds, tx)
  const gone = await db.rows('select id from bottle_entry where reverses = any($1::uuid[])', [lines.map((line) => line.id)], tx)
  if (gone.length > 0) throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  const mine = new Set(lines.map((line) => line.id))
  for (const bottleId of bottleIds) {
    const broken = brokenBy(await wholeLedger(db, bottleId, tx), mine)
    if (broken === null) continue
    const where = bottleId === call.fromId ? '' : ` in ${(await bottleById(db, bottleId, call.now, tx)).label}`
    throw new Refusal(
      409,
      'needed',
      `That line cannot be taken back: the ${broken} after it${where} would have come from nothing. Take that one back first.`,
    )
  }
  for (const line of lines)
    await writeEntry(
      db,
      {
        id: call.ids?.get(line.id) ?? uuid(),
        bottleId: line.bottleId,
        kind: 'reverse',
        at: call.now,
        by: call.by,
        ml: -line.ml,
        reverses: line.id,
        note: call.reason,
      },
      tx,
    )
  await afterTakenBack(db, { proofIds: lines.flatMap((line) => line.proofId ?? []), by: call.by, now: call.now, reason: call.reason }, tx)
  const back = lines.filter((line) => line.kind === 'retire').map((line) => line.bottleId)
  if (back.length > 0)
    await db.run('update bottle set retired_at = null, retired_why = null, version = version + 1 where id = any($1::uuid[])', [back], tx)
  // a bottle that only came to be by what is taken back is none any more
  const made = lines.filter((line) => line.kind === 'fill').map((line) => line.bottleId)
  if (made.length > 0)
    await db.run(
      'update bottle set retired_at = $2, retired_why = $3, version = version + 1 where id = any($1::uuid[]) and retired_at is null',
      [made, new Date(call.now), `Its filling was taken back: ${call.reason}`],
      tx,
    )
}

/** Takes one line of a bottle's ledger back, and what was written together with it. */
export async function reverseEntry(
  db: Database,
  asked: { bottleId: string; entryId: string; newId: string; reason: string; by: string; now: number },
  tx: Transaction | undefined,
): Promise<void> {
  const named = await db.one<Line & { groupId: string | null; reverses: string | null }>(
    'select id, bottle_id as "bottleId", kind, ml, proof_id as "proofId", group_id as "groupId", reverses from bottle_entry where id = $1 and bottle_id = $2',
    [asked.entryId, asked.bottleId],
    tx,
  )
  if (!named) throw notFound('line of the ledger')
  if (named.reverses !== null) throw new Refusal(409, 'reversed', 'That line has been taken back already.')
  if (named.kind === 'move' || named.kind === 'change' || named.kind === 'move-up')
    throw new Refusal(422, 'not-undone', 'That is not taken back but done anew: move it, or change how it is used, again.')
  const group = named.groupId
    ? await db.rows<Line>(
        `select id, bottle_id as "bottleId", kind, ml, proof_id as "proofId" from bottle_entry where group_id = $1 and kind <> 'reverse' order by seq`,
        [named.groupId],
        tx,
      )
    : [named]
  const ids = new Map([[asked.entryId, asked.newId]])
  await takeLinesBack(db, group, { by: asked.by, now: asked.now, reason: asked.reason, fromId: asked.bottleId, ids }, tx)
}
