import { consumptionOf } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { asSeen, destroySeen } from '../http/changing'
import { pageOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { usedUp, wasteRows } from './queries'
import { addShelf, changeShelf, shelfById } from './shelves'
import { suppliesOf } from './supply'
import { changeAll } from '../table/all'

/** All of them: a room has a handful, and their order is no id's. */
const listShelves: Handler<typeof api.shelf.list> = async ({ db, query }) => {
  const shelves = (await db.Shelf.findAll({ order: [['position', 'asc']] })).map((row) => row.get())
  return pageOf(shelves.slice(shelves.findIndex((shelf) => shelf.id === query.after) + 1), query.limit)
}

const removeShelf: Handler<typeof api.shelf.remove> = async ({ db, params, body }) => {
  await changeAll(db.Bottle, { shelfId: null }, { shelfId: params.id, retiredAt: { [Op.not]: null } })
  await destroySeen(asSeen(db.Shelf, { id: params.id, version: body.version }), body.version, () => shelfById(db, params.id))
  return { done: true as const }
}

export const shelfRoutes = [
  answers(api.shelf.list, listShelves),
  answers(api.shelf.add, ({ db, body }) => addShelf(db, body)),
  answers(api.shelf.change, ({ db, params, body, who, now }) => changeShelf(db, { id: params.id, ...body }, { by: who.id, now })),
  answers(api.shelf.remove, removeShelf),
  answers(api.shelf.supply, async ({ db, now }) => ({ supplies: await suppliesOf(db, now), consumption: consumptionOf(await usedUp(db)) })),
  answers(api.shelf.waste, async ({ db, query }) =>
    pageOf(await wasteRows(db, { ids: null, after: query.after ?? null, limit: query.limit + 1 }), query.limit),
  ),
]
