import { api } from '@selvrin/core/contract'
import type { Router } from 'express'
import { notFound, Refusal } from '../http/refusal'
import { route, type House } from '../http/route'
import { bottlePage } from './rows'
import { takeLinesBack, type Line } from './takeBack'

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
    await takeLinesBack(
      db,
      group,
      { by: who.id, now, reason: body.reason, fromId: params.id, ids: new Map([[params.entryId, body.newId]]) },
      tx,
    )
    return bottlePage(db, params.id, now, tx)
  })
}
