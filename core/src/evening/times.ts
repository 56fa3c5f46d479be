import { startOfDay } from '../calendar/days'
import type { PlacedEvening } from '../rota/darkroom/asPlaced'
import { timesOf } from '../rota/timed'
import type { EveningBody } from './body'

/** When an order's first load begins, and when the last of its films hangs, ms; null where one of its loads has no place. */
export interface OrderTimes {
  beginsAt: number | null
  hangsAt: number | null
}

/**
 * What the owner of each order is told of an evening, by its id.
 * @example
 * asPlacedTimes(eveningOfOne, eveningAsIs(eveningOfOne, eveningHouse, [], 0), 'UTC') // → { o1: { beginsAt: 928800000, hangsAt: 930270000 } }
 */
export function asPlacedTimes(
  body: EveningBody,
  { rota, problem }: Pick<PlacedEvening, 'rota' | 'problem'>,
  zone: string,
): Record<string, OrderTimes> {
  const midnight = startOfDay(body.opensAt, zone)
  const times: Record<string, OrderTimes> = {}
  for (const { id, orders } of body.loads) {
    const placed = rota.placed.find((one) => one.load === id)
    const load = problem.loads.find((one) => one.id === id)
    const timed = placed && load ? timesOf(load, placed) : null
    for (const order of new Set(orders)) {
      const known = times[order]
      if (!timed || (known && known.beginsAt === null)) {
        times[order] = { beginsAt: null, hangsAt: null }
        continue
      }
      // it hangs from when it is in the dryer; without one, when all is over
      const dries = load?.steps.findIndex((step) => step.uses?.includes('dryer')) ?? -1
      const hangsS = dries < 0 ? timed.endS : (timed.starts[dries] ?? timed.endS)
      const [beginsAt, hangsAt] = [midnight + 1000 * timed.placed.startS, midnight + 1000 * hangsS]
      times[order] = {
        beginsAt: Math.min(beginsAt, known?.beginsAt ?? Infinity),
        hangsAt: Math.max(hangsAt, known?.hangsAt ?? -Infinity),
      }
    }
  }
  return times
}
