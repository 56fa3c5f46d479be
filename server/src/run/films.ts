import { api, type Roll } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { rollRow, rollsOf } from './rows'

/** The films that were developed, and how they came out. */
export function filmRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.run.rolls, async ({ query, who }) =>
    pageOf(
      await rollsOf(db, { memberId: who.role === 'technician' ? null : who.id, limit: query.limit + 1, after: query.after ?? null }),
      query.limit,
    ),
  )

  route(router, house, api.run.judge, async ({ params, body, who, tx }): Promise<Roll> => {
    const roll = await rollRow(db, params.id, tx)
    if (who.role !== 'technician' && roll.memberId !== who.id) throw new Refusal(403, 'not-yours', 'You can judge your own films only.')
    const changed = await db.rows(
      'update roll set result = $3, contrast = $4, note = $5, version = version + 1 where id = $1 and version = $2 returning id',
      [params.id, body.version, body.result, body.contrast, body.note],
      tx,
    )
    if (changed.length === 0) throw stale(roll)
    return rollRow(db, params.id, tx)
  })

  route(router, house, api.run.clearMark, async ({ params, body, who, now, tx }) => {
    const cleared = await db.rows(
      'update roll_mark set cleared_at = $3, cleared = $4, cleared_by = $5 where id = $2 and roll_id = $1 and cleared_at is null returning id',
      [params.id, params.markId, new Date(now), body.what, who.id],
      tx,
    )
    if (cleared.length === 0) throw new Refusal(409, 'cleared', 'That mark has been cleared already, or is not on this film.')
    return rollRow(db, params.id, tx)
  })
}
