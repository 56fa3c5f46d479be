import { DateTime } from 'luxon'
import type { Weeks } from '@selvrin/core'
import { zoneOf } from '../darkroom/zone'
import { ordersWhere } from '../order/rows'
import { tellOfOrder } from '../order/telling'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'

const dayWords = (day: string, zone: string): string => DateTime.fromISO(day, { zone }).setLocale('en-GB').toFormat('cccc d LLLL')

/** The day each order was spread to. */
export const daysOf = ({ openings }: Pick<Weeks, 'openings'>): Map<string, string> =>
  new Map(openings.flatMap(({ day, orders }) => orders.map((order): [string, string] => [order, day])))

/**
 * Promises orders the day they were spread to, and tells their owners: those that have no day yet, and those that come later than they were promised; with `all` every one whose day is another.
 */
export async function promiseDays(db: Database, result: Weeks, { now, all }: { now: number; all: boolean }): Promise<void> {
  const zone = await zoneOf(db)
  const days = daysOf(result)
  const orders = await ordersWhere(db, { id: [...days.keys()], state: 'waiting' })
  const keeps = ({ id, promisedFor: was }: { id: string; promisedFor: string | null }): boolean =>
    was !== null && (all ? was === days.get(id) : was >= (days.get(id) as string))
  const changed = orders.filter((order) => !keeps(order))
  for (const day of new Set(changed.map((order) => days.get(order.id) as string)))
    await changeAll(db.FilmOrder, { promisedFor: day }, { id: changed.flatMap(({ id }) => (days.get(id) === day ? [id] : [])) })
  for (const { id, number, count, film, memberId, promisedFor: was } of changed) {
    if (memberId === null) continue
    const day = dayWords(days.get(id) as string, zone)
    const text = `Order ${number}, ${count} × ${film}: ${was === null ? 'promised for' : `not on ${dayWords(was, zone)}, but on`} ${day}.`
    await tellOfOrder(db, { orderId: id, personId: memberId, text, now })
  }
}
