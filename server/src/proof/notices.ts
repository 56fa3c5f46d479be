import { api, type Notice } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { notFound } from '../http/refusal'
import { route, type House } from '../http/route'

/** What people are told about their films. Everyone sees their own. */
export function noticeRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.proof.notices, async ({ query, who }) =>
    pageOf(
      await db.rows<Notice>(
        `select id, at, text, roll_id as "rollId", read_at is not null as read from notice where person_id = $1 and ($3::uuid is null or id < $3) order by id desc limit $2`,
        [who.id, query.limit + 1, query.after ?? null],
      ),
      query.limit,
    ),
  )

  route(router, house, api.proof.read, async ({ params, who, now, tx }) => {
    const seen = await db.rows(
      'update notice set read_at = coalesce(read_at, $3) where id = $1 and person_id = $2 returning id',
      [params.id, who.id, new Date(now)],
      tx,
    )
    if (seen.length === 0) throw notFound('notice')
    return { done: true as const }
  })
}
