import { api, type RunSummary } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { route, type House } from '../http/route'
import { endingRoutes } from './ending'
import { filmRoutes } from './films'
import { planningRoutes } from './planning'
import { keepEvents, lockRun, runRow, runSummaries } from './rows'
import { vesselRoutes } from './vessels'

export function runRoutes(router: Router, house: House): void {
  const { db } = house
  vesselRoutes(router, house)
  planningRoutes(router, house)
  endingRoutes(router, house)
  filmRoutes(router, house)

  route(router, house, api.run.list, async ({ query }) =>
    pageOf(
      await db.rows<RunSummary>(
        `${runSummaries} where ($1::text is null or r.state = $1) and ($2::uuid is null or r.number < (select number from run where id = $2)) order by r.number desc limit $3`,
        [query.state ?? null, query.after ?? null, query.limit + 1],
      ),
      query.limit,
    ),
  )

  route(router, house, api.run.get, ({ params }) => runRow(db, params.id))

  route(router, house, api.run.record, async ({ params, body, who, tx }) => {
    await lockRun(db, params.id, ['running', 'done', 'abandoned'], tx)
    await keepEvents(db, params.id, body.events, who.id, tx)
    return { kept: body.events.map((event) => event.id) }
  })
}
