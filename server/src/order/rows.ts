import type { FilmOrder, OrderLine } from '@selvrin/core/contract'
import { col, fn, Op, where, type Order, type WhereOptions } from 'sequelize'
import { newestFormulas } from '../formula/queries'
import { nameOf, withName } from '../house/left'
import { notFound, Refusal } from '../house/refusal'
import type { Who } from '../http/who'
import { newestProcesses } from '../process/queries'
import type { Database } from '../table/database'

const include = [withName('member'), withName(), { association: 'photo', attributes: ['at'] }]
const whole = { after: null, limit: null }

/** Whose owner waits, then what was promised or is wanted soonest, then what came first. */
export const byWish: Order = [
  ['present', 'desc'],
  ['promisedFor', 'asc nulls last'],
  ['wantedBy', 'asc nulls last'],
  ['id', 'asc'],
]
/** Orders as they are shown, in the order of their ids where no other is asked for. */
export async function ordersWhere(
  db: Database,
  which: WhereOptions,
  { order = [['id', 'asc']], limit }: { order?: Order; limit?: number } = {},
): Promise<FilmOrder[]> {
  const rows = await db.FilmOrder.findAll({ include, where: which, order, ...(limit === undefined ? {} : { limit }) })
  if (rows.length === 0) return []
  const processIds = [...new Set(rows.map((row) => row.processId))]
  const processes = new Map((await newestProcesses(db, { ids: processIds, ...whole })).map((one) => [one.id, one.body.name]))
  const wished = [...new Set(rows.flatMap((row) => row.developer?.formulaId ?? []))]
  const formulas = new Map(
    wished.length === 0 ? [] : (await newestFormulas(db, { ids: wished, ...whole })).map((one) => [one.id, one.body.name] as const),
  )
  return rows.map((row) => ({
    ...row.get(),
    ...{ member: nameOf(row.member), by: nameOf(row.by), at: row.handedAt, photo: row.photo != null },
    processName: processes.get(row.processId) ?? '',
    developerName: row.developer ? (formulas.get(row.developer.formulaId) ?? '') : '',
  }))
}

export async function orderRow(db: Database, id: string): Promise<FilmOrder> {
  const [order] = await ordersWhere(db, { id })
  if (!order) throw notFound('order')
  return order
}

/** An order for whoever may see it: its owner, and every technician. */
export async function ownOrder(db: Database, id: string, who: Who): Promise<FilmOrder> {
  const order = await orderRow(db, id)
  if (who.role !== 'technician' && order.memberId !== who.id) throw new Refusal(403, 'not-yours', 'That order is someone else’s.')
  return order
}

/** Ids of orders of which every word says something. */
export async function ordersLike(db: Database, which: WhereOptions, words: string[], limit: number): Promise<string[]> {
  const mine = (column: string) => col(`${db.FilmOrder.name}.${column}`)
  const said = fn('plain', fn('concat_ws', ' ', 'order', mine('number'), mine('film'), mine('note'), col('member.name')))
  const rows = await db.FilmOrder.findAll({
    attributes: ['id'],
    include: [{ association: 'member', attributes: [] }],
    where: { [Op.and]: [which, ...words.map((word) => where(said, { [Op.like]: word }))] },
    order: [['id', 'desc']],
    limit,
    subQuery: false,
    raw: true,
  })
  return rows.map((row) => row.id)
}

/** What happened to an order, the last first. */
export async function traceOf(db: Database, orderId: string): Promise<OrderLine[]> {
  const rows = await db.OrderChange.findAll({ include: [withName()], where: { orderId }, order: [['at', 'desc']] })
  return rows.map(({ id, at, what, changes, why, by }) => ({ id, at, what, changes, why, by: nameOf(by) }))
}
