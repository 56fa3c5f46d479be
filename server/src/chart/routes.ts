import { api, type ChartRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { pageOf } from '../http/page'
import { notFound, stale } from '../http/refusal'
import { route, type House } from '../http/route'

export const chartRows = `select c.id, c.version, c.film, c.formula_id as "formulaId", c.parts, c.ei, c.temperature_c as "temperatureC", c.seconds, c.source, c.note,
  coalesce(p.name, '') as by, case when c.tried_at is null then null else jsonb_build_object('at', (extract(epoch from c.tried_at) * 1000)::bigint,
    'by', coalesce(t.name, 'someone who left'), 'note', c.tried_note) end as tried
  from chart_row c left join person p on p.id = c.by_person left join person t on t.id = c.tried_by`

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

  const rowOf = (id: string, tx?: Transaction) => db.one<ChartRow>(`${chartRows} where c.id = $1`, [id], tx)

  /** The row after a change that named its version; a stale one is answered with how it stands. */
  async function changed(id: string, done: unknown[], tx: Transaction | undefined): Promise<ChartRow> {
    const row = await rowOf(id, tx)
    if (!row) throw notFound('row of the chart')
    if (done.length === 0) throw stale(row)
    return row
  }

  route(router, house, api.chart.change, async ({ params, body, who, tx }) => {
    // what was tried was tried with the figures as they were
    const done = await db.rows(
      `update chart_row set film = $3, formula_id = $4, parts = $5, ei = $6, temperature_c = $7, seconds = $8, source = $9, note = $10, by_person = $11, version = version + 1,
         tried_at = case when (temperature_c, seconds, film, formula_id, parts, ei) is not distinct from ($7::numeric, $8::numeric, $3, $4::uuid, $5::numeric[], $6::int) then tried_at end,
         tried_by = case when (temperature_c, seconds, film, formula_id, parts, ei) is not distinct from ($7::numeric, $8::numeric, $3, $4::uuid, $5::numeric[], $6::int) then tried_by end
       where id = $1 and version = $2 returning id`,
      [
        params.id,
        body.version,
        body.film,
        body.formulaId,
        body.parts,
        body.ei,
        body.temperatureC,
        body.seconds,
        body.source,
        body.note,
        who.id,
      ],
      tx,
    )
    return changed(params.id, done, tx)
  })

  route(router, house, api.chart.tried, async ({ params, body, who, now, tx }) => {
    const done = await db.rows(
      'update chart_row set tried_at = $3, tried_by = $4, tried_note = $5, version = version + 1 where id = $1 and version = $2 returning id',
      [params.id, body.version, new Date(now), who.id, body.note],
      tx,
    )
    return changed(params.id, done, tx)
  })

  route(router, house, api.chart.remove, async ({ params, body, tx }) => {
    const row = await rowOf(params.id, tx)
    if (!row) throw notFound('row of the chart')
    const gone = await db.rows('delete from chart_row where id = $1 and version = $2 returning id', [params.id, body.version], tx)
    if (gone.length === 0) throw stale(row)
    return { done: true as const }
  })
}
