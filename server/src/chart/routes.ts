import { api, type ChartRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { route, type House } from '../http/route'

export const chartRows = `select c.id, c.film, c.formula_id as "formulaId", c.parts, c.ei, c.temperature_c as "temperatureC", c.seconds, c.source, c.note,
  coalesce(p.name, '') as by from chart_row c left join person p on p.id = c.by_person`

export function chartRoutes(router: Router, house: House): void {
  const { db } = house
  route(router, house, api.chart.list, async ({ query }) =>
    pageOf(
      await db.rows<ChartRow>(`${chartRows} where ($2::uuid is null or c.id > $2) order by c.id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )
  route(router, house, api.chart.add, async ({ body, who, tx }) => {
    await db.run(
      'insert into chart_row (id, film, formula_id, parts, ei, temperature_c, seconds, source, note, by_person) values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)',
      [body.id, body.film, body.formulaId, body.parts, body.ei, body.temperatureC, body.seconds, body.source, body.note, who.id],
      tx,
    )
    return (await db.one<ChartRow>(`${chartRows} where c.id = $1`, [body.id], tx)) as ChartRow
  })
}
