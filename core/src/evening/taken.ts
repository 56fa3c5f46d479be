import { startOfDay } from '../calendar/days'
import type { DarkroomPlan } from '../rota/darkroom/evening'
import type { EveningBody, EveningLoad, LoadPlace } from './body'

/**
 * An evening with the places a plan gives its loads; what has none in it has none, with why. Loads the plan does not name stay as they are.
 * @example
 * withPlaces(eveningOfOne, { rota: { placed: [], unplaced: [{ load: eveningOfOne.loads[0].id, reason: 'full' }] }, left: [] }, 'UTC').loads[0].unplaced // → 'full'
 */
export function withPlaces(
  body: EveningBody,
  { rota, left }: { rota: Pick<DarkroomPlan['rota'], 'placed' | 'unplaced'>; left: { load: string }[] },
  zone: string,
): EveningBody {
  const midnight = startOfDay(body.opensAt, zone)
  const placeOf = (load: EveningLoad): LoadPlace | null => {
    const placed = rota.placed.find((one) => one.load === load.id)
    const person = placed && body.people[placed.person]
    if (!placed || !person) return null
    return {
      ...{ startAt: midnight + 1000 * placed.startS, vesselId: placed.vessel, personId: person.personId, bathId: placed.bath },
      waits: placed.waits?.some((wait) => wait > 0) ? placed.waits : null,
    }
  }
  const named = new Set([...rota.placed.map((one) => one.load), ...rota.unplaced.map((one) => one.load), ...left.map((one) => one.load)])
  return {
    ...body,
    loads: body.loads.map((load) => {
      if (!named.has(load.id)) return load
      const place = placeOf(load)
      // what a bottle does not bear has no place in it either
      return { ...load, place, unplaced: place ? null : (rota.unplaced.find((one) => one.load === load.id)?.reason ?? 'bottle') }
    }),
  }
}

/** A load that has another place than before. */
export interface MovedLoad {
  load: string
  /** ms; null where it had, or has, none */
  before: number | null
  after: number | null
  /** it begins when it did, elsewhere or led by somebody else */
  sameTime: boolean
}

/**
 * What is otherwise in one evening than in another, load by load: what would move if it were taken.
 * @example
 * movedIn(eveningOfOne, eveningOfOne) // → []
 */
export function movedIn(before: EveningBody, after: EveningBody): MovedLoad[] {
  const was = new Map(before.loads.map((load) => [load.id, load]))
  return after.loads.flatMap((load): MovedLoad[] => {
    const old = was.get(load.id)?.place ?? null
    if (JSON.stringify(old) === JSON.stringify(load.place)) return []
    const [from, to] = [old?.startAt ?? null, load.place?.startAt ?? null]
    return [{ load: load.id, before: from, after: to, sameTime: from !== null && from === to }]
  })
}

/**
 * Who has to be told: the orders of loads that begin at another time, each once.
 * @example
 * ordersMoved(eveningOfOne, eveningOfOne) // → []
 */
export function ordersMoved(before: EveningBody, after: EveningBody): string[] {
  const moved = new Set(movedIn(before, after).flatMap((one) => (one.sameTime ? [] : [one.load])))
  return [...new Set(after.loads.flatMap((load) => (moved.has(load.id) ? load.orders : [])))]
}
