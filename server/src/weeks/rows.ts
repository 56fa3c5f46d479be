import type { WeeksPage } from '@selvrin/core/contract'
import { nameOf } from '../house/left'
import { ordersWhere } from '../order/rows'
import type { Database } from '../table/database'
import { daysOf } from './promising'

/** How far the spread is, what the last one came to, and the orders that are named in it and still wait. */
export async function weeksPage(db: Database): Promise<WeeksPage> {
  const row = await db.Weeks.findOne({ include: [{ association: 'asker', attributes: ['name'] }], rejectOnEmpty: true })
  const { version, state, done, of, askedAt, finishedAt, result, error } = row
  const named = result ? [...daysOf(result).keys(), ...result.without, ...result.left.map((one) => one.order)] : []
  return {
    ...{ version, state, done, of, askedAt, finishedAt, result, error },
    askedBy: row.askedBy === null ? null : nameOf(row.asker),
    orders: await ordersWhere(db, { id: named, state: 'waiting' }),
  }
}
