import { requireChangeable, requireWish, wishChanges, orderWish } from '@selvrin/core'
import type { api, FilmOrder } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { stale } from '../house/refusal'
import { saveNext } from '../http/changing'
import type { Handler } from '../http/route'
import type { Attributes } from 'sequelize'
import type { Database, Row } from '../table/database'
import { requireNamed, soon } from './handIn'
import { orderRow, ownOrder } from './rows'

const wishOf = (order: FilmOrder) =>
  orderWish.parse(Object.fromEntries(Object.keys(orderWish.shape).map((key) => [key, order[key as never]])))

/** Sets what is wanted of an order, where it still is what its writer saw: that its times or its day are others meanwhile is no reason against it. */
async function setWish(db: Database, id: string, seen: number, values: Partial<Attributes<Row<'FilmOrder'>>>): Promise<void> {
  const row = await db.FilmOrder.findByPk(id, { lock: true, rejectOnEmpty: true })
  requireChangeable(row)
  if (row.wishVersion !== seen) throw stale(await orderRow(db, id))
  await saveNext(row.set({ ...values, wishVersion: seen + 1 }))
}

/** Something else is wanted of rolls that lie in the rack; what it was is kept beside it. */
export const change: Handler<typeof api.order.change> = async ({ db, jobs, params, body: { wishVersion, ...wish }, who, now }) => {
  const order = await ownOrder(db, params.id, who)
  requireChangeable(order)
  const changes = wishChanges(wishOf(order), wish)
  // a time that is over by now was not when it was said
  if (changes.some(({ field }) => field === 'wantedBy' || field === 'earliest')) requireWish(wish, now)
  await requireNamed(db, wish)
  await setWish(db, order.id, wishVersion, wish)
  if (changes.length > 0)
    await db.OrderChange.create({ id: uuid(), orderId: order.id, at: now, byPerson: who.id, what: 'changed', changes })
  await jobs?.ask('weeks', soon)
  return orderRow(db, order.id)
}

/** Rolls go back to their owner as they are: their place in the rack is free, what was wanted stays on the record. */
export const withdraw: Handler<typeof api.order.withdraw> = async ({ db, jobs, params, body: { wishVersion, why }, who, now }) => {
  const order = await ownOrder(db, params.id, who)
  requireChangeable(order)
  await setWish(db, order.id, wishVersion, { state: 'withdrawn', rack: null, why })
  await db.OrderChange.create({ id: uuid(), orderId: order.id, at: now, byPerson: who.id, what: 'withdrawn', why })
  await jobs?.ask('weeks', soon)
  return orderRow(db, order.id)
}
