import { requireChangeable, requireWish, wishChanges, orderWish } from '@selvrin/core'
import type { api, FilmOrder } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { asSeen, saveSeen } from '../http/changing'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { requireNamed, soon } from './handIn'
import { orderRow, ownOrder } from './rows'

const wishOf = (order: FilmOrder) =>
  orderWish.parse(Object.fromEntries(Object.keys(orderWish.shape).map((key) => [key, order[key as never]])))

/** A row to be set, as its writer saw it. */
const rowOf = (db: Database, { id, version }: FilmOrder) => asSeen(db.FilmOrder, { id, version })

/** Something else is wanted of rolls that lie in the rack; what it was is kept beside it. */
export const change: Handler<typeof api.order.change> = async ({ db, jobs, params, body: { version, ...wish }, who, now }) => {
  const order = await ownOrder(db, params.id, who)
  requireChangeable(order)
  const changes = wishChanges(wishOf(order), wish)
  // a time that is over by now was not when it was said
  if (changes.some(({ field }) => field === 'wantedBy' || field === 'earliest')) requireWish(wish, now)
  await requireNamed(db, wish)
  await saveSeen(rowOf(db, order).set(wish), version, () => orderRow(db, order.id))
  if (changes.length > 0)
    await db.OrderChange.create({ id: uuid(), orderId: order.id, at: now, byPerson: who.id, what: 'changed', changes })
  await jobs?.ask('weeks', soon)
  return orderRow(db, order.id)
}

/** Rolls go back to their owner as they are: their place in the rack is free, what was wanted stays on the record. */
export const withdraw: Handler<typeof api.order.withdraw> = async ({ db, jobs, params, body: { version, why }, who, now }) => {
  const order = await ownOrder(db, params.id, who)
  requireChangeable(order)
  await saveSeen(rowOf(db, order).set({ state: 'withdrawn', rack: null, why }), version, () => orderRow(db, order.id))
  await db.OrderChange.create({ id: uuid(), orderId: order.id, at: now, byPerson: who.id, what: 'withdrawn', why })
  await jobs?.ask('weeks', soon)
  return orderRow(db, order.id)
}
