import { api, type Shelf, type WasteRow } from '@selvrin/core/contract'
import type { Router } from 'express'
import { pageOf } from '../http/page'
import { stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { addShelf, changeShelf, shelfById, shelfRows } from './shelves'
import { consumptionOf, suppliesOf } from './supply'

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
    await addShelf(db, body, tx)
    return (await shelfById(db, body.id, tx)) as Shelf
  })

  route(router, house, api.shelf.change, async ({ params, body, who, now, tx }) => {
    const changed = await changeShelf(db, { id: params.id, ...body }, { by: who.id, now }, tx)
    if (!changed) throw stale((await shelfById(db, params.id, tx)) ?? null)
    return changed
  })

  route(router, house, api.shelf.remove, async ({ params, body, tx }) => {
    await db.run('update bottle set shelf_id = null where shelf_id = $1 and retired_at is not null', [params.id], tx)
    const gone = await db.rows('delete from shelf where id = $1 and version = $2 returning id', [params.id, body.version], tx)
    if (gone.length === 0) throw stale((await shelfById(db, params.id, tx)) ?? null)
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
