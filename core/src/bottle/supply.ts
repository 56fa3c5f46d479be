import { daysAfter } from '../calendar/days'
import { goodUntil } from './goodUntil'
import { orderOfUse } from './orderOfUse'

/** A bottle as supply sees it. */
export interface SupplyBottle {
  id: string
  madeAt: number
  /** first poured from or used, ms; null while untouched */
  openedAt: number | null
  rollsLeft: number
  /** days until it is too old; null where nothing says */
  daysLeft: number | null
}

export interface Supply {
  /** bottles in order of use: the oldest open one first */
  order: string[]
  rollsLeft: number
  /** ms of the first day that cannot be served; null where what there is lasts beyond the horizon */
  runsOutAt: number | null
  /** 'use': poured away by then; 'age': too old by then */
  because: 'use' | 'age' | null
}

const horizonDays = 120

/**
 * How long the bottles of one formula last: day by day of the calendar in `zone` what the recent rate takes, and the planned rolls of that day on top of it, are
 * taken from the bottles in order of use, each as long as it keeps. Rate in rolls a day; times in ms.
 * @example
 * supplyOf([{ id: 'a', madeAt: 0, openedAt: null, rollsLeft: 10, daysLeft: null }], 2, [], 0, 'UTC').runsOutAt // → 432000000
 */
export function supplyOf(
  bottles: SupplyBottle[],
  rollsPerDay: number,
  planned: { at: number; rolls: number }[],
  now: number,
  zone: string,
): Supply {
  const order = orderOfUse(bottles)
  const held = order.map((bottle) => ({
    left: bottle.rollsLeft,
    until: goodUntil(bottle, now) ?? Infinity,
  }))
  const answer = { order: order.map((bottle) => bottle.id), rollsLeft: order.reduce((sum, bottle) => sum + bottle.rollsLeft, 0) }
  const begins = [now, ...daysAfter(now, horizonDays, zone)]
  for (const [day, next] of begins.slice(1).entries()) {
    const at = begins[day] ?? now
    const booked = planned.reduce((sum, one) => sum + (one.at >= at && one.at < next ? one.rolls : 0), 0)
    let wanted = rollsPerDay + booked
    const aged = held.some((bottle) => bottle.left > 1e-9 && bottle.until < at)
    for (const bottle of held) {
      if (bottle.until < at) continue
      const taken = Math.min(bottle.left, wanted)
      bottle.left -= taken
      wanted -= taken
    }
    if (wanted > 1e-9) return { ...answer, runsOutAt: at, because: aged ? 'age' : 'use' }
  }
  return { ...answer, runsOutAt: null, because: null }
}
