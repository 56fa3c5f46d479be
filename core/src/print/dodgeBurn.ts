import { DomainError, requirePositive } from '../error'
import type { Finding } from '../finding'

/**
 * s that a place is burned in for so many stops of the base; negative: held back for so long of it. T·(2^s − 1), which is −T·(1 − 2^s) where s is negative.
 * @throws DomainError 'out-of-range'
 * @example
 * dodgeBurn({ baseS: 16, stops: 1 / 3 }) // → 4.1587
 */
export function dodgeBurn({ baseS, stops }: { baseS: number; stops: number }): number {
  requirePositive({ 'The base exposure': baseS })
  if (!Number.isFinite(stops) || Math.abs(stops) > 6)
    throw new DomainError('out-of-range', `A place is changed by 6 stops at most, not ${stops}.`)
  return baseS * (2 ** stops - 1)
}

/** A place of a print that has more or less than the rest, in stops of the base; what is burned in at another grade goes by that grade's own base, s. */
export interface PlacePlan {
  name: string
  stops: number
  ownBaseS?: number | undefined
}
/** The same in s, as it is done: what is held back during the base, what is burned in after it. */
export interface PlaceTime {
  name: string
  stops: number
  seconds: number
  when: 'during' | 'after'
}

/**
 * What is done to the places of a print whose base is `baseS`: in s, in the order of the plan. Places held back one after another must fit into the base.
 * @throws DomainError 'out-of-range'
 * @example
 * placeTimes(20, [{ name: 'face', stops: -1 }, { name: 'sky', stops: 1 }]).times.map((one) => one.seconds) // → [10, 20]
 */
export function placeTimes(baseS: number, places: PlacePlan[]): { times: PlaceTime[]; heldBackS: number; findings: Finding[] } {
  const times = places.map(({ name, stops, ownBaseS }): PlaceTime => ({
    ...{ name, stops },
    seconds: Math.abs(dodgeBurn({ baseS: stops > 0 ? (ownBaseS ?? baseS) : baseS, stops })),
    when: stops > 0 ? 'after' : 'during',
  }))
  const heldBackS = times.reduce((sum, one) => sum + (one.when === 'during' ? one.seconds : 0), 0)
  const findings: Finding[] =
    heldBackS > baseS
      ? [
          {
            ...{ rule: 'print-dodges', severity: 'warning' },
            message: `What is held back takes ${heldBackS.toFixed(1)} s, and the exposure is ${baseS.toFixed(1)} s: two at once, or stop the lens down.`,
          },
        ]
      : []
  return { times, heldBackS, findings }
}
