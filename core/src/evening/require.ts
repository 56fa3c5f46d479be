import { startOfDay } from '../calendar/days'
import { conflict, impossible } from '../error'
import type { OrderState } from '../order/order'
import { asPlaced, type PlacedEvening } from '../rota/darkroom/asPlaced'
import type { DarkroomEvening } from '../rota/darkroom/evening'
import { meets, type InTheWay } from '../rota/meets'
import type { PlacedLoad, UnplacedReason } from '../rota/problem'
import type { EveningBody, EveningLoad } from './body'
import { darkroomOf, placedOf, runOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'
import { requirePrinting } from './printing'
import { firstNames, meetingWords, type EveningNames } from './words'

/** An order as far as an evening has to know it. */
export interface EveningOrder {
  id: string
  number: number
  memberId: string | null
  member: string
  film: string
  format: string
  ei: number
  pushStops: number
  count: number
  state: OrderState
}

/**
 * An evening with its loads where they are, at a time (ms): what each is in its turn, and what is wrong.
 * @example
 * eveningAsIs(eveningOfOne, eveningHouse, [], 0).breaches // → []
 */
export function eveningAsIs(
  body: EveningBody,
  house: EveningHouse,
  runs: LoadRun[],
  now: number,
): PlacedEvening & { evening: DarkroomEvening } {
  const midnight = startOfDay(body.opensAt, house.zone)
  const open = body.loads.filter((load) => !runOf(load, runs))
  const places = open.flatMap((load): PlacedLoad[] => {
    const placed = load.place && placedOf(load.id, load.place, body, midnight)
    return placed ? [placed] : []
  })
  const reasons = Object.fromEntries(
    open.flatMap((load): [string, UnplacedReason][] => (load.unplaced && load.unplaced !== 'bottle' ? [[load.id, load.unplaced]] : [])),
  )
  const evening = darkroomOf(body, house, runs, { now })
  return { ...asPlaced(evening, places, reasons), evening }
}

/**
 * What things of an evening are called: a load by its owners, people by the names given.
 * @example
 * namesInEvening(eveningOfOne, { house: eveningHouse, orders: [], people: {}, plans: {} }).load('x') // → 'a load that is not there'
 */
export function namesInEvening(
  body: EveningBody,
  {
    house,
    orders,
    people,
    plans,
  }: { house: EveningHouse; orders: EveningOrder[]; people: Record<string, string>; plans: PlacedEvening['plans'] },
): EveningNames {
  const owner = (id: string): string => orders.find((order) => order.id === id)?.member ?? 'someone who left'
  const shorter = firstNames(body.loads.flatMap((load) => load.orders.map(owner)))
  const vesselName = (id: string): string => house.vessels.find((one) => one.id === id)?.name ?? 'That tank'
  return {
    ...{ midnight: startOfDay(body.opensAt, house.zone), zone: house.zone },
    load: (id) => {
      const load = body.loads.find((one) => one.id === id)
      return load ? ownersOf(load.orders.map(owner)) : 'a load that is not there'
    },
    shortly: (id) => ownersOf((body.loads.find((one) => one.id === id)?.orders ?? []).map((order) => shorter(owner(order)))),
    vessel: vesselName,
    bath: (id) => house.room.baths.find((one) => one.id === id)?.name ?? 'The bath',
    person: (index) => people[body.people[index]?.personId ?? ''] ?? 'Somebody',
    plan: (load) => plans[load],
  }
}

/** Owners, each once, with how many films where it is more than one. */
function ownersOf(names: string[]): string {
  const counts = new Map<string, number>()
  for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1)
  return [...counts].map(([name, count]) => (count === 1 ? name : `${name} ×${count}`)).join(', ')
}

interface Known {
  house: EveningHouse
  runs: LoadRun[]
  orders: EveningOrder[]
  /** names by id */
  people: Record<string, string>
  /** ms */
  now: number
}

/**
 * Whether loads that are no runs yet hold what was ordered, as it was ordered, and no film twice. `begun` are loads that count, and are not looked at.
 * @throws Refused 'load-films', 'order-gone', 'order-closed', 'order-changed', 'order-twice'
 * @example
 * requireOrders(eveningOfOne.loads, [{ ...eveningOrder, count: 1, state: 'withdrawn' }]) // throws 'order-closed'
 */
export function requireOrders(loads: EveningLoad[], orders: EveningOrder[], begun: EveningLoad[] = []): void {
  const byId = new Map(orders.map((order) => [order.id, order]))
  const counted = new Map<string, number>()
  for (const load of begun) for (const id of load.orders) counted.set(id, (counted.get(id) ?? 0) + 1)
  for (const load of loads) {
    if (load.orders.length !== load.request.films.length)
      throw impossible('load-films', 'A load has to say of each of its films which order it came in.')
    load.orders.forEach((id, i) => {
      counted.set(id, (counted.get(id) ?? 0) + 1)
      const order = byId.get(id)
      if (!order) throw conflict('order-gone', 'An order in this evening is not there any more. Take it out of its load.')
      const film = load.request.films[i]
      if (order.state === 'withdrawn' || order.state === 'done')
        throw conflict(
          'order-closed',
          `Order ${order.number} of ${order.member} ${order.state === 'done' ? 'is developed already' : 'was withdrawn'}.`,
        )
      const { film: name, format, ei, pushStops, memberId } = order
      if (
        film &&
        (film.film !== name || film.format !== format || film.ei !== ei || film.pushStops !== pushStops || film.memberId !== memberId)
      )
        throw conflict(
          'order-changed',
          `Order ${order.number} of ${order.member} was changed meanwhile. Take it out of its load, and put it in again.`,
        )
    })
  }
  for (const [id, count] of counted) {
    const order = byId.get(id)
    if (order && count > order.count)
      throw impossible(
        'order-twice',
        `Order ${order.number} of ${order.member} has ${order.count} films, and ${count} are in this evening.`,
      )
  }
}

/** What comes in was in no other evening. */
function requireWaiting(before: EveningBody, after: EveningBody, orders: EveningOrder[]): void {
  const there = new Set(before.loads.flatMap((load) => load.orders))
  for (const id of new Set(after.loads.flatMap((load) => load.orders))) {
    const order = orders.find((one) => one.id === id)
    if (order && !there.has(id) && order.state !== 'waiting')
      throw conflict(
        'order-elsewhere',
        `Order ${order.number} of ${order.member} is in another evening already. Take it out of that one first.`,
      )
  }
}

/** What has a run is what it is: it is neither moved nor taken out. */
function requireBegun(before: EveningBody, after: EveningBody, { runs, orders }: Known): void {
  for (const load of before.loads) {
    const run = runOf(load, runs)
    if (!run) continue
    const now = after.loads.find((one) => one.id === load.id)
    if (JSON.stringify(now) !== JSON.stringify(load))
      throw conflict(
        'load-begun',
        `${ownersOf(load.orders.map((id) => orders.find((one) => one.id === id)?.member ?? '?'))} is run ${run.number} by now: it stays where it is.`,
      )
  }
}

const meetingsOf = ({ problem, rota, evening }: ReturnType<typeof eveningAsIs>): Map<string, InTheWay[]> => {
  const begun = new Set((evening.begun ?? []).map((one) => one.load.id))
  return new Map(rota.placed.flatMap((one) => (begun.has(one.load) ? [] : [[one.load, meets(problem, rota.placed, one)] as const])))
}

/**
 * Whether an evening may become another: what is begun stays, every film is there once and as it was ordered, and nothing stands where something is in its way, or in a bottle
 * that does not bear it, that did not before.
 * @throws Refused 'order-closed', 'order-changed', 'order-twice', 'load-begun', 'rota-meets', 'load-against' with who and what
 * @example
 * requireEvening(eveningOfOne, eveningOfOne, { house: eveningHouse, runs: [], orders: [eveningOrder], people: {}, now: 0 }) // → undefined
 */
export function requireEvening(before: EveningBody, after: EveningBody, known: Known): void {
  const { house, runs, orders, people, now } = known
  if (after.closesAt <= after.opensAt) throw impossible('closes', 'It closes before it opens.', { field: 'closesAt' })
  requireOrders(
    after.loads.filter((load) => isMovable(load, runs)),
    orders,
    after.loads.filter((load) => !isMovable(load, runs)),
  )
  requirePrinting(before, after, { ...house, people })
  requireWaiting(before, after, orders)
  requireBegun(before, after, known)
  const was = eveningAsIs(before, house, runs, now)
  const is = eveningAsIs(after, house, runs, now)
  const names = namesInEvening(after, { house, orders, people, plans: is.plans })
  const stepsOf = (load: string): number => is.problem.loads.find((one) => one.id === load)?.steps.length ?? 0
  const [metBefore, met] = [meetingsOf(was), meetingsOf(is)]
  const isSame = (load: EveningLoad): boolean => {
    const old = before.loads.find((one) => one.id === load.id)
    return old !== undefined && JSON.stringify(old.place) === JSON.stringify(load.place)
  }
  // what was moved is named, not what it was moved upon
  for (const load of [...after.loads].sort((a, b) => Number(isSame(a)) - Number(isSame(b)))) {
    if (!load.place || runOf(load, runs)) continue
    const [meeting] = met.get(load.id) ?? []
    const same = isSame(load)
    if (meeting && !(same && (metBefore.get(load.id) ?? []).length > 0))
      throw impossible('rota-meets', `${names.load(load.id)} cannot be there. ${meetingWords(meeting, names, stepsOf)}`)
    const [finding] = load.overruled === null ? (is.against[load.id] ?? []) : []
    if (finding && !(same && was.against[load.id])) throw impossible('load-against', `${names.load(load.id)}: ${finding.message}`)
  }
}

/**
 * Whether a load is one of those that can still be moved.
 * @example
 * isMovable(eveningOfOne.loads[0], []) // → true
 */
export const isMovable = (load: EveningLoad, runs: LoadRun[]): boolean => runOf(load, runs) === undefined
