import { requireOrders, runOf } from '@selvrin/core'
import type { eveningApi } from '@selvrin/core/contract'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { planRun } from '../run/planning'
import { ordersBegin } from '../order/following'
import { openEvening } from './changing'

/** A load becomes a run, at the tank it has its place in: all that was planned is looked at again with what is on the shelf now. */
export const beginLoad: Handler<typeof eveningApi.begin> = async ({ db, params, body: { version }, who, now }) => {
  const { evening, runs, orders } = await openEvening(db, params.id, now)
  const load = evening.body.loads.find((one) => one.id === params.loadId)
  if (!load)
    throw new Refusal(409, 'load-gone', 'That load is not in this evening any more. The board shows how it is now.', { current: evening })
  const run = runOf(load, runs)
  if (run) return { runId: run.id }
  if (evening.version !== version)
    throw new Refusal(409, 'stale', 'Someone changed this evening meanwhile. The board shows how it is now.', { current: evening })
  if (!load.place) throw new Refusal(409, 'no-place', 'This load has no place in the evening yet. Arrange it, or give it one.')
  requireOrders([load], orders)
  const request = { ...load.request, vesselId: load.place.vesselId }
  await planRun(
    db,
    { id: load.id, request, orders: load.orders, ...(load.overruled === null ? {} : { overrule: load.overruled }) },
    who,
    now,
  )
  await ordersBegin(db, load.orders)
  return { runId: load.id }
}
