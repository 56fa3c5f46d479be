import type { FilmOrder } from '@selvrin/core/contract'
import { DateTime } from 'luxon'
import { tellOfOrder } from '../order/telling'
import type { Database } from '../table/database'

interface Times {
  beginsAt: number | null
  hangsAt: number | null
}

const at = (ms: number, zone: string, format: string): string => DateTime.fromMillis(ms, { zone }).setLocale('en-GB').toFormat(format)

/** What the owner of an order is told of its times; null where there is nothing to tell. */
function wordsFor({ count, film, number, beginsAt: was }: FilmOrder, { beginsAt, hangsAt }: Times, zone: string): string | null {
  const films = `Order ${number}, ${count} × ${film}`
  if (beginsAt === null) return was === null ? null : `${films}: its time is not settled any more. You are told when it is.`
  const hangs = hangsAt === null ? '' : `, hangs about ${at(hangsAt, zone, 'HH:mm')}`
  return `${films}: into the tank ${at(beginsAt, zone, 'ccc d LLL, HH:mm')}${hangs}${was === null ? '' : ', another time than before'}.`
}

/** s by which a time may move without anybody being told */
const sameS = 60

/** Tells an order's owner that its time is another, once: what they have not seen yet says the newest. */
export async function tellOwner(db: Database, order: FilmOrder, times: Times, { zone, now }: { zone: string; now: number }): Promise<void> {
  if (order.memberId === null) return
  if (times.beginsAt !== null && order.beginsAt !== null && Math.abs(times.beginsAt - order.beginsAt) < 1000 * sameS) return
  const text = wordsFor(order, times, zone)
  if (text === null) return
  await tellOfOrder(db, { orderId: order.id, personId: order.memberId, text, now })
}
