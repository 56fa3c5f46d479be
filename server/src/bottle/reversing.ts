import { standing, type BottleEntry } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { notFound, Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { wholeLedger } from './checkpoint'
import { afterTakenBack } from '../proof/consequences'
import { lockBottles, writeEntry } from './ledger'
import { bottleById, bottlePage } from './rows'

/** The first line that would leave less than nothing behind if those had not been; null where the reversal holds. */
function brokenBy(entries: BottleEntry[], without: Set<string>): string | null {
  let held = 0
  for (const entry of standing(entries).filter((one) => !without.has(one.id))) {
    held += entry.ml
    if (held < -1e-6) return `${entry.kind.replace('-', ' ')} of ${Math.abs(entry.ml).toFixed(0)} ml`
  }
  return null
}

interface Line {
  id: string
  bottleId: string
  kind: BottleEntry['kind']
  ml: number
  proofId: string | null
}

/** Taking lines back: what was written together is taken back together, and nothing that later lines need. */
export function reversingRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.bottle.reverse, async ({ params, body, who, now, tx }) => {
    const named = await db.one<Line & { groupId: string | null; reverses: string | null }>(
      'select id, bottle_id as "bottleId", kind, ml, proof_id as "proofId", group_id as "groupId", reverses from bottle_entry where id = $1 and bottle_id = $2',
      [params.entryId, params.id],
      tx,
    )
    if (!named) throw notFound('line of the ledger')
    const group = named.groupId
      ? await db.rows<Line>(
          `select id, bottle_id as "bottleId", kind, ml, proof_id as "proofId" from bottle_entry where group_id = $1 and kind <> 'reverse' order by seq`,
          [named.groupId],
          tx,
        )
      : [named]
    if (named.kind === 'move' || named.kind === 'change' || named.kind === 'move-up')
      throw new Refusal(422, 'not-undone', 'That is not taken back but done anew: move it, or change how it is used, again.')
    const bottleIds = [...new Set(group.map((line) => line.bottleId))]
    await lockBottles(db, bottleIds, tx)
    const gone = await db.rows('select id from bottle_entry where reverses = any($1::uuid[])', [group.map((line) => line.id)], tx)
    if (named.reverses !== null || gone.length > 0) throw new Refusal(409, 'reversed', 'That line has been taken back already.')
    const mine = new Set(group.map((line) => line.id))
    for (const bottleId of bottleIds) {
      const broken = brokenBy(await wholeLedger(db, bottleId, tx), mine)
      if (broken === null) continue
      const where = bottleId === params.id ? '' : ` in ${(await bottleById(db, bottleId, now, tx)).label}`
      throw new Refusal(
        409,
        'needed',
        `That line cannot be taken back: the ${broken} after it${where} would have come from nothing. Take that one back first.`,
      )
    }
    for (const line of group)
      await writeEntry(
        db,
        {
          id: line.id === params.entryId ? body.newId : uuid(),
          bottleId: line.bottleId,
          kind: 'reverse',
          at: now,
          by: who.id,
          ml: -line.ml,
          reverses: line.id,
          note: body.reason,
        },
        tx,
      )
    await afterTakenBack(db, { proofIds: group.flatMap((line) => line.proofId ?? []), by: who.id, now, reason: body.reason }, tx)
    const back = group.filter((line) => line.kind === 'retire').map((line) => line.bottleId)
    if (back.length > 0)
      await db.run('update bottle set retired_at = null, retired_why = null, version = version + 1 where id = any($1::uuid[])', [back], tx)
    // a bottle that only came to be by what is taken back is none any more
    const made = group.filter((line) => line.kind === 'fill').map((line) => line.bottleId)
    if (made.length > 0)
      await db.run(
        'update bottle set retired_at = $2, retired_why = $3, version = version + 1 where id = any($1::uuid[]) and retired_at is null',
        [made, new Date(now), `Its filling was taken back: ${body.reason}`],
        tx,
      )
    return bottlePage(db, params.id, now, tx)
  })
}
