import { DomainError } from '../../error'
import type { OrderWish } from '../../order/order'
import { filmsIn, vesselFor } from '../../process/propose/vessel'
import { developsFirst } from '../../process/stepFacts'
import { groupOrders } from '../groupOrders'
import type { Order } from '../problem'
import type { DecidedLoad } from './evening'
import { fitted, plannedWith, requestOf, usualAgitation } from './fitting'
import { proposedFor, type Proposed, type RotaHouse } from './proposed'

/** Rolls that wait, with what is wanted of them. */
export interface Waiting {
  id: string
  wish: OrderWish
}

interface Hours {
  /** ms of the midnight from which seconds are counted */
  midnight: number
  /** s */
  opensS: number
  closesS: number
}

export interface Decision {
  /** each load with the order of each of its films, in their order */
  decided: { load: DecidedLoad; films: string[] }[]
  /** orders of which no load can be made, and why */
  left: { order: string; message: string }[]
}

/** s in the closet a film on a reel takes. House default. */
export const loadingEachS = 150

/** s of the developing of one roll by itself: what may go into one tank with it follows from that. */
function secondsOf(house: RotaHouse, wish: OrderWish, proposed: Proposed): number {
  const vessel = vesselFor(house.vessels, wish.format, { films: 1, kind: proposed.kind })
  if (!vessel) throw new DomainError('no-vessel', `No ${proposed.kind === 'rotary' ? 'drum' : 'tank'} here takes ${wish.format}.`)
  const plan = plannedWith(house, requestOf(proposed, [wish], vessel.id))
  return Math.round(plan.steps.find(developsFirst)?.seconds ?? 0)
}

/** Which piece of an order a name is of: 'o1#2' is the second of those it was cut into. */
const orderOf = (piece: string): string => piece.replace(/#\d+$/, '')

/** An order as it would be by itself, with what it was proposed. */
export interface Candidate {
  wish: OrderWish
  proposed: Proposed
  order: Order
}

/**
 * An order by itself, with what it comes to with what stands in the house.
 * @throws DomainError with what is missing
 */
export function candidateOf(house: RotaHouse, { id, wish }: Waiting, { midnight, opensS, closesS }: Hours): Candidate {
  const proposed = proposedFor(house, wish)
  const { baths, kind, processVersionId, options, temperatureC } = proposed
  const inDay = (at: number | null, otherwise: number): number => (at === null ? otherwise : Math.round((at - midnight) / 1000))
  const { film, format, count: rolls, ei, pushStops, critical } = wish
  const order: Order = {
    ...{ id, memberId: '', kind, film, format, rolls, ei, temperatureC, agitation: usualAgitation, pushStops, critical },
    // in one tank only what goes through the same bottles
    ...{ process: JSON.stringify([processVersionId, options]), developer: JSON.stringify(baths), parts: [] },
    seconds: secondsOf(house, wish, proposed),
    readyS: Math.max(opensS, inDay(wish.earliest, opensS)),
    dueS: Math.min(closesS, Math.max(opensS, inDay(wish.wantedBy, closesS))),
  }
  return { wish, proposed, order }
}

/** Films that could share a tank, each by its order. */
export interface Group {
  id: string
  films: string[]
  readyS: number
  dueS: number
}

/** Who goes together by times and tanks, format by format; whoever is due first comes first. */
export function groupsOf(house: Pick<RotaHouse, 'vessels'>, candidates: Map<string, Candidate>): Group[] {
  const formats = [...new Set([...candidates.values()].map(({ order }) => order.format))]
  const groups = formats.flatMap((format) => {
    const vessels = house.vessels.map((vessel) => ({ kinds: [vessel.kind], rolls: filmsIn(vessel, format) }))
    const orders = [...candidates.values()].flatMap(({ order }) => (order.format === format ? [order] : []))
    const most = (kind: string): number => Math.max(...vessels.map(({ kinds, rolls }) => (kinds.includes(kind as never) ? rolls : 0)))
    return groupOrders(orders, vessels).map(({ id, orders: pieces, readyS, dueS }): Group => {
      const films = pieces.flatMap((piece) => {
        const { rolls = 0, kind = 'hand' } = candidates.get(orderOf(piece))?.order ?? {}
        const [, number] = /#(\d+)$/.exec(piece) ?? []
        const here = number === undefined ? rolls : Math.min(most(kind), rolls - (Number(number) - 1) * most(kind))
        return Array<string>(here).fill(orderOf(piece))
      })
      return { id, films, readyS, dueS }
    })
  })
  return groups.sort((a, b) => a.dueS - b.dueS || (a.id < b.id ? -1 : 1))
}

/**
 * What goes into one tank together this evening, of rolls that wait: everything of a load but its time, its vessel standing for those like it. A load is no larger than its bottles have
 * enough for, and whoever is due first takes of the bottles first. Orders of which no load can be made are left, with what is missing. Times are whole seconds since `midnight`.
 * @example
 * decideLoads([], { processes: [], vessels: [], chart: [], bottles: [] }, { midnight: 0, opensS: 64_800, closesS: 79_200 }) // → { decided: [], left: [] }
 */
export function decideLoads(waiting: Waiting[], house: RotaHouse, hours: Hours): Decision {
  const left: Decision['left'] = []
  const candidates = new Map<string, Candidate>()
  for (const one of waiting) {
    try {
      candidates.set(one.id, candidateOf(house, one, hours))
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      left.push({ order: one.id, message: error.message })
    }
  }
  let there = house
  const decided = groupsOf(house, candidates).flatMap(({ id, films, readyS, dueS }) => {
    const wishes = films.map((order) => (candidates.get(order) as Candidate).wish)
    const made = fitted(there, wishes)
    there = made.house
    return made.loads.map(({ films: which, request }, i) => {
      const mine = which.map((each) => films[each] as string)
      const weight = which.reduce((sum, each) => sum + (wishes[each]?.critical ? 10 : 1), 0)
      const load = { id: i === 0 ? id : `${id}+${i}`, request, readyS, dueS, weight, loadingS: loadingEachS * mine.length }
      return { load, films: mine }
    })
  })
  return { decided, left }
}
