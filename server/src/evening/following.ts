import { asPlacedTimes, eveningAsIs, orderCosts, type EveningBody, type EveningHouse, type LoadRun } from '@selvrin/core'
import type { FilmOrder } from '@selvrin/core/contract'
import { jarsWithSums } from '../jar/queries'
import { changeAll } from '../table/all'
import type { Database } from '../table/database'
import { reserve } from './reserving'
import { tellOwner } from './telling'

/** What follows from another plan: reservations on bottles; on every order when its load begins and when its films hang, and those that are in it no more are free. */
export async function follow(
  db: Database,
  { id: eveningId, before, after }: { id: string; before: EveningBody; after: EveningBody },
  { house, runs, orders }: { house: EveningHouse; runs: LoadRun[]; orders: FilmOrder[] },
  { now, told = true }: { now: number; told?: boolean },
): Promise<void> {
  const asIs = eveningAsIs(after, house, runs, now)
  const times = asPlacedTimes(after, asIs, house.zone)
  const costs = orderCosts(after, { house, jars: await jarsWithSums(db, { ids: null, after: null, limit: null }), plans: asIs.plans })
  await reserve(db, eveningId, { body: after, runs, asIs })
  const named = [...new Set([...before.loads, ...after.loads].flatMap((load) => load.orders))]
  for (const id of named) {
    const order = orders.find((one) => one.id === id)
    if (!order || (order.state !== 'waiting' && order.state !== 'planned')) continue
    const { beginsAt, hangsAt } = times[id] ?? { beginsAt: null, hangsAt: null }
    const inIt = after.loads.some((load) => load.orders.includes(id))
    const state = inIt ? ('planned' as const) : ('waiting' as const)
    // whoever is not moved hears nothing
    const cost = costs[id] === undefined ? null : Math.round(10_000 * costs[id]) / 10_000
    if (order.state === state && order.beginsAt === beginsAt && order.hangsAt === hangsAt && order.cost === cost) continue
    await changeAll(db.FilmOrder, { state, beginsAt, hangsAt, cost }, { id })
    if (told) await tellOwner(db, order, { beginsAt, hangsAt }, { zone: house.zone, now })
  }
}
