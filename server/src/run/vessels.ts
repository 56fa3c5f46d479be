import { api, type Vessel } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { notFound, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { vesselRows } from './rows'

/** Tanks and drums. */
export function vesselRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.run.vessels, async ({ query }) =>
    pageOf(
      await db.rows<Vessel>(`${vesselRows} where ($2::uuid is null or id > $2) order by id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  route(router, house, api.run.addVessel, async ({ body, tx }) => {
    await db.run(
      'insert into vessel (id, name, kind, format, reels, covers_ml, carry_ml) values ($1, $2, $3, $4, $5, $6, $7)',
      [body.id, body.name, body.kind, body.format, body.coversMl.length, body.coversMl, body.carryMl],
      tx,
    )
    return (await db.one<Vessel>(`${vesselRows} where id = $1`, [body.id], tx)) as Vessel
  })

  route(router, house, api.run.changeVessel, async ({ params, body, tx }) => {
    const changed = await db.rows(
      `update vessel set name = $3, kind = $4, format = $5, reels = $6, covers_ml = $7, carry_ml = $8, version = version + 1
       where id = $1 and version = $2 returning id`,
      [params.id, body.version, body.name, body.kind, body.format, body.coversMl.length, body.coversMl, body.carryMl],
      tx,
    )
    const vessel = await db.one<Vessel>(`${vesselRows} where id = $1`, [params.id], tx)
    if (!vessel) throw notFound('tank')
    if (changed.length === 0) throw stale(vessel)
    return vessel
  })
}
