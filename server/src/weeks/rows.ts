import type { WeeksPage } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { nameOf } from '../house/left'
import { ordersWhere } from '../order/rows'
import { placesWhere } from '../printing/places'
import type { Database } from '../table/database'
import { daysOf } from './promising'

const countedBy = (places: { day: string }[]): Record<string, number> =>
  places.reduce<Record<string, number>>((all, { day }) => ({ ...all, [day]: (all[day] ?? 0) + 1 }), {})

/** How far the spread is, what the last one came to, and the orders that are named in it and still wait. */
export async function weeksPage(db: Database, now: number): Promise<WeeksPage> {
  const row = await db.Weeks.findOne({ include: [{ association: 'asker', attributes: ['name'] }], rejectOnEmpty: true })
  const { version, state, done, of, askedAt, finishedAt, result, error } = row
  const named = result ? [...daysOf(result).keys(), ...result.without, ...result.left.map((one) => one.order)] : []
  return {
    ...{ version, state, done, of, askedAt, finishedAt, result, error },
    askedBy: row.askedBy === null ? null : nameOf(row.asker),
    printing: countedBy(await placesWhere(db, { untilAt: { [Op.gt]: now } })),
    orders: await ordersWhere(db, { id: named, state: 'waiting' }),
  }
}
