import { openStates } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { Op, type Order } from 'sequelize'
import { newestFormulas } from '../formula/queries'
import { pageOf, wordsOf } from '../http/page'
import { answers, type Handler } from '../http/route'
import { change, withdraw } from './change'
import { handIn } from './handIn'
import { getPhoto, photoOf, putPhoto } from './photo'
import { ordersLike, ordersWhere, ownOrder, traceOf } from './rows'

const newest: Order = [['id', 'desc']]
/** Orders newest first; a member's own, or everyone's. */
const list: Handler<typeof api.order.list> = async ({ db, query: { limit, after, which, find }, who }) => {
  const where = {
    state: which === 'open' ? { [Op.in]: [...openStates] } : { [Op.notIn]: [...openStates] },
    ...(who.role === 'technician' ? {} : { memberId: who.id }),
    ...(after === undefined ? {} : { id: { [Op.lt]: after } }),
  }
  if (find === '') return pageOf(await ordersWhere(db, where, { order: newest, limit: limit + 1 }), limit)
  return pageOf(await ordersWhere(db, { id: await ordersLike(db, where, wordsOf(find), limit + 1) }, { order: newest }), limit)
}

/** Every film the chart knows, with the developers it has times for. */
const choices: Handler<typeof api.order.choices> = async ({ db }) => {
  const rows = await db.ChartRow.findAll({ attributes: ['film', 'ei', 'formulaId', 'parts'], order: ['film', 'ei'], raw: true })
  const ids = [...new Set(rows.map((row) => row.formulaId))]
  const names = new Map(
    ids.length === 0 ? [] : (await newestFormulas(db, { ids, after: null, limit: null })).map((one) => [one.id, one.body.name]),
  )
  const charted = rows.map(({ film, ei, formulaId, parts }) => ({ film, ei, formulaId, developer: names.get(formulaId) ?? '', parts }))
  return { charted: [...new Map(charted.map((one) => [JSON.stringify(one), one])).values()] }
}

/** Rolls that are handed in. */
export const orderRoutes = [
  answers(api.order.choices, choices),
  answers(api.order.list, list),
  answers(api.order.get, async ({ db, params, who }) => ({
    ...(await ownOrder(db, params.id, who)),
    trace: await traceOf(db, params.id),
  })),
  answers(api.order.handIn, handIn),
  answers(api.order.change, change),
  answers(api.order.withdraw, withdraw),
  answers(api.order.putPhoto, putPhoto, { before: photoOf }),
  answers(api.order.getPhoto, getPhoto),
]
