import { startOfDay } from '../calendar/days'
import { impossible } from '../error'
import type { PlanRequest } from '../process/request'
import { decideLoads, type Waiting } from '../rota/darkroom/decideLoads'
import { afterRequests, fitted } from '../rota/darkroom/fitting'
import type { OrderWish } from '../order/order'
import type { EveningBody, EveningLoad } from './body'
import type { EveningHouse } from './house'

/** Rolls that wait, and whose they are. */
export interface WaitingOrder extends OrderWish {
  id: string
  number: number
  memberId: string | null
  member: string
}

/**
 * Orders as loads of an evening that have no place in it yet, together as far as they go together, in bottles as they are after what is in it already; what no load can be made of is
 * left, with why. `newId` makes an id.
 * @example
 * loadsFor([], eveningOfOne, eveningHouse, () => 'x') // → { loads: [], left: [] }
 */
export function loadsFor(
  waiting: WaitingOrder[],
  { opensAt, closesAt, loads: there }: Pick<EveningBody, 'opensAt' | 'closesAt' | 'loads'>,
  house: EveningHouse,
  newId: () => string,
): { loads: EveningLoad[]; left: { order: string; message: string }[] } {
  const midnight = startOfDay(opensAt, house.zone)
  const inS = (at: number): number => Math.round((at - midnight) / 1000)
  const byId = new Map(waiting.map((order) => [order.id, order]))
  const gone = waiting.filter((order) => order.memberId === null)
  const asked = waiting.flatMap((order): Waiting[] => (order.memberId === null ? [] : [{ id: order.id, wish: order }]))
  const { processes, chart, partOf } = house
  const usable = house.vessels.filter((one) => !house.out.includes(one.id))
  const bottles = house.bottles.map((one) => one.shelf)
  const { decided, left } = decideLoads(
    asked,
    afterRequests(
      { processes, chart, partOf, vessels: usable, bottles },
      there.map((load) => load.request),
    ),
    { midnight, opensS: inS(opensAt), closesS: inS(closesAt) },
  )
  const loads = decided.map(({ load, films }): EveningLoad => {
    const { request, readyS, dueS, weight, loadingS } = load
    return {
      ...{
        id: newId(),
        orders: films,
        readyAt: midnight + 1000 * readyS,
        dueAt: midnight + 1000 * dueS,
        weight: Math.min(1000, weight),
        loadingS,
      },
      request: {
        ...request,
        films: request.films.map((film, i) => ({ ...film, id: newId(), memberId: byId.get(films[i] ?? '')?.memberId ?? '' })),
      } as PlanRequest,
      ...{ fixed: false, overruled: null, place: null, unplaced: null },
    }
  })
  return {
    loads,
    left: [...left, ...gone.map(({ id }) => ({ order: id, message: 'Its owner left: nobody is there to be told, or to hand it to.' }))],
  }
}

/**
 * A load as it comes into another evening: without a place, and wanted within its hours.
 * @example
 * inEvening(eveningOfOne.loads[0], { opensAt: 100, closesAt: 200 }).dueAt // → 200
 */
export const inEvening = (load: EveningLoad, { opensAt, closesAt }: Pick<EveningBody, 'opensAt' | 'closesAt'>): EveningLoad => ({
  ...load,
  readyAt: opensAt,
  dueAt: Math.min(closesAt, Math.max(opensAt, load.dueAt)),
  ...{ fixed: false, place: null, unplaced: null },
})

/**
 * A load in other bottles: those that have enough for it after everything else that is in the evening; null where none have.
 * @example
 * rebottled(eveningOfOne.loads[0], eveningOfOne, eveningHouse, []) // → null
 */
export function rebottled(load: EveningLoad, body: EveningBody, house: EveningHouse, orders: WaitingOrder[]): EveningLoad | null {
  const wishes = load.orders.map((id) => orders.find((order) => order.id === id))
  if (wishes.some((wish) => wish === undefined)) return null
  const { processes, chart, partOf } = house
  const vessels = house.vessels.filter((one) => !house.out.includes(one.id))
  const there = afterRequests(
    { processes, chart, partOf, vessels, bottles: house.bottles.map((one) => one.shelf) },
    body.loads.flatMap((one) => (one.id === load.id ? [] : [one.request])),
  )
  const made = fitted(there, wishes as WaitingOrder[]).loads
  const [only] = made
  if (made.length !== 1 || !only) return null
  if (JSON.stringify(only.request.baths) === JSON.stringify(load.request.baths)) return null
  return { ...load, request: { ...only.request, films: load.request.films } as PlanRequest }
}

const keepFilms = (load: EveningLoad, keep: (order: string) => boolean): EveningLoad => {
  const there = load.orders.map(keep)
  return {
    ...load,
    orders: load.orders.filter((_, i) => there[i]),
    loadingS: Math.round((load.loadingS * there.filter(Boolean).length) / load.orders.length),
    request: { ...load.request, films: load.request.films.filter((_, i) => there[i]) },
  }
}

/**
 * A load in two: the films of one order apart, without a place yet.
 * @throws Refused 'one-order' where there is nothing to part
 * @example
 * splitLoad(eveningOfOne.loads[0], 'o1', 'new') // throws 'one-order'
 */
export function splitLoad(load: EveningLoad, order: string, newId: string): [EveningLoad, EveningLoad] {
  if (new Set(load.orders).size < 2) throw impossible('one-order', 'All of it is one order: there is nothing to part.')
  return [
    keepFilms(load, (one) => one !== order),
    { ...keepFilms(load, (one) => one === order), id: newId, fixed: false, place: null, unplaced: null },
  ]
}

/** What two loads must have alike to be one: the same process in the same bottles, with the same time. */
const alike = ({ request }: EveningLoad): string => {
  const { processVersionId, options, baths, temperatureC, agitation, films } = request
  return JSON.stringify([
    processVersionId,
    options,
    baths,
    temperatureC,
    agitation,
    films[0]?.format.startsWith('135'),
    films[0]?.pushStops,
  ])
}

/**
 * Two loads as one, where the first has its place. Whether a tank takes it, and whether the times go together, its plan says.
 * @throws Refused 'not-alike', 'critical'
 * @example
 * mergedLoads(eveningOfOne.loads[0], { ...eveningOfOne.loads[0], orders: ['o2'] }).orders // → ['o1', 'o2']
 */
export function mergedLoads(one: EveningLoad, other: EveningLoad): EveningLoad {
  if (one.request.critical || other.request.critical) throw impossible('critical', 'Somebody’s only negatives go alone.')
  if (alike(one) !== alike(other))
    throw impossible(
      'not-alike',
      'They go through other bottles, at another temperature, or are of another format: they cannot be one load.',
    )
  return {
    ...one,
    orders: [...one.orders, ...other.orders],
    readyAt: Math.max(one.readyAt, other.readyAt),
    dueAt: Math.min(one.dueAt, other.dueAt),
    weight: Math.min(1000, one.weight + other.weight),
    loadingS: one.loadingS + other.loadingS,
    request: {
      ...one.request,
      films: [...one.request.films, ...other.request.films],
      chartRowIds: [...new Set([...one.request.chartRowIds, ...other.request.chartRowIds])],
    },
  }
}
