import { api, type Shelf, type WasteRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import { v7 as uuid } from 'uuid'
import { pageOf } from '../http/page'
import { stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { consumptionOf, suppliesOf } from './supply'

const shelfRows = 'select id, version, name, celsius, position from shelf'

export function shelfRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.shelf.list, async ({ query }) =>
    pageOf(
      await db.rows<Shelf>(
        `${shelfRows} where ($2::uuid is null or position > (select position from shelf where id = $2)) order by position limit $1`,
        [query.limit + 1, query.after ?? null],
      ),
      query.limit,
    ),
  )

  route(router, house, api.shelf.add, async ({ body, tx }) => {
    await db.run('insert into shelf (id, name, celsius) values ($1, $2, $3)', [body.id, body.name, body.celsius], tx)
    return (await db.one<Shelf>(`${shelfRows} where id = $1`, [body.id], tx)) as Shelf
  })

  route(router, house, api.shelf.change, async ({ params, body, who, now, tx }) => {
    const before = await db.one<Shelf>(`${shelfRows} where id = $1 for update`, [params.id], tx)
    if (before?.version !== body.version) throw stale(before ?? null)
    await db.run('update shelf set name = $2, celsius = $3, version = version + 1 where id = $1', [params.id, body.name, body.celsius], tx)
    // what stands there is warmer or cooler from now on: a line in each ledger
    if (before.celsius !== body.celsius) {
      await db.rows('select id from bottle where shelf_id = $1 and retired_at is null order by id for update', [params.id], tx)
      const standing = await db.rows<{ id: string }>(
        'select id from bottle where shelf_id = $1 and retired_at is null order by id',
        [params.id],
        tx,
      )
      await db.run(
        `insert into bottle_entry (id, bottle_id, kind, at, by_person, ml, celsius, note) select t.id, t.bottle_id, v.kind, v.at, v.by_person, v.ml, v.celsius, v.note from unnest($1::uuid[], $2::uuid[]) as t(id, bottle_id)
           cross join (values ('move', $3::timestamptz, $4::uuid, 0::numeric, $5::numeric, $6)) as v(kind, at, by_person, ml, celsius, note)`,
        [
          standing.map(() => uuid()),
          standing.map((one) => one.id),
          new Date(now),
          who.id,
          body.celsius,
          `${body.name} is at ${body.celsius} °C now`,
        ],
        tx,
      )
    }
    return (await db.one<Shelf>(`${shelfRows} where id = $1`, [params.id], tx)) as Shelf
  })

  route(router, house, api.shelf.remove, async ({ params, body, tx }) => {
    await db.run('update bottle set shelf_id = null where shelf_id = $1 and retired_at is not null', [params.id], tx)
    const gone = await db.rows('delete from shelf where id = $1 and version = $2 returning id', [params.id, body.version], tx)
    if (gone.length === 0) throw stale((await db.one<Shelf>(`${shelfRows} where id = $1`, [params.id], tx)) ?? null)
    return { done: true as const }
  })

  route(router, house, api.shelf.supply, async ({ now }) => ({ supplies: await suppliesOf(db, now), consumption: await consumptionOf(db) }))

  route(router, house, api.shelf.waste, async ({ query }) =>
    pageOf(
      await db.rows<WasteRow>(
        `select w.id, w.at, coalesce(p.name, 'someone who left') as by, w.family, w.ml, w.silver_g as "silverG", w.bottle_id as "bottleId", b.letter || b.number as label, w.note
         from waste_entry w join bottle b on b.id = w.bottle_id left join person p on p.id = w.by_person
         where ($2::uuid is null or (w.at, w.id) < (select at, id from waste_entry where id = $2))
           and not exists (select from bottle_entry v where v.reverses = w.entry_id) order by w.at desc, w.id desc limit $1`,
        [query.limit + 1, query.after ?? null],
      ),
      query.limit,
    ),
  )
}
