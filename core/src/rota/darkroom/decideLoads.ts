import { DomainError } from '../../error'
import type { OrderWish } from '../../order/order'
import { planFor } from '../../process/planFor'
import { filmsIn, vesselFor } from '../../process/propose/vessel'
import type { RunRequest } from '../../process/shelf'
import { developsFirst } from '../../process/stepFacts'
import { groupOrders } from '../groupOrders'
import type { Order } from '../problem'
import type { DecidedLoad } from './evening'
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

const agitation = '10-4inv-30'
/** s in the closet a film on a reel takes. House default. */
const loadingEachS = 150

/** s of the developing of one roll by itself: what may go into one tank with it follows from that. */
function secondsOf(house: RotaHouse, wish: OrderWish, proposed: Proposed): number {
  const process = house.processes.find((one) => one.versionId === proposed.processVersionId)
  const vessel = vesselFor(house.vessels, wish.format, { films: 1, kind: proposed.kind })
  if (!process || !vessel)
    throw new DomainError('no-vessel', `No ${proposed.kind === 'rotary' ? 'drum' : 'tank'} here takes ${wish.format}.`)
  const { versionId, body } = process
  const plan = planFor(requestOf(proposed, [wish], vessel.id), {
    ...{ process: { ...body, id: versionId }, vessels: house.vessels, bottles: house.bottles, chart: house.chart },
    ...(house.partOf ? { partOf: house.partOf } : {}),
  })
  return Math.round(plan.steps.find(developsFirst)?.seconds ?? 0)
}

const requestOf = ({ kind: _, ...proposed }: Proposed, films: OrderWish[], vesselId: string): RunRequest => ({
  ...proposed,
  ...{ vesselId, agitation, critical: films.some((wish) => wish.critical) },
  films: films.map(({ film, format, ei, pushStops }) => ({ film, format, ei, pushStops })),
})

/** Which piece of an order a name is of: 'o1#2' is the second of those it was cut into. */
const orderOf = (piece: string): string => piece.replace(/#\d+$/, '')

/**
 * What goes into one tank together this evening, of rolls that wait: everything of a load but its time, its vessel standing for those like it. Orders of which no load can be made
 * are left, with what is missing. Times are whole seconds since `midnight`.
 * @example
 * decideLoads([], { processes: [], vessels: [], chart: [], bottles: [] }, { midnight: 0, opensS: 64_800, closesS: 79_200 }) // → { decided: [], left: [] }
 */
export function decideLoads(waiting: Waiting[], house: RotaHouse, { midnight, opensS, closesS }: Hours): Decision {
  const left: Decision['left'] = []
  const proposals = new Map<string, { wish: OrderWish; proposed: Proposed; order: Order }>()
  for (const { id, wish } of waiting) {
    try {
      const proposed = proposedFor(house, wish)
      const { baths, kind, processVersionId, options, temperatureC } = proposed
      const inDay = (at: number | null, otherwise: number): number => (at === null ? otherwise : Math.round((at - midnight) / 1000))
      const order: Order = {
        ...{ id, memberId: '', kind, film: wish.film, format: wish.format, rolls: wish.count, ei: wish.ei, temperatureC, agitation },
        // in one tank only what goes through the same bottles
        ...{ process: JSON.stringify([processVersionId, options]), developer: JSON.stringify(baths), parts: [] },
        ...{ seconds: secondsOf(house, wish, proposed), pushStops: wish.pushStops, critical: wish.critical },
        ...{
          readyS: Math.max(opensS, inDay(wish.earliest, opensS)),
          dueS: Math.min(closesS, Math.max(opensS, inDay(wish.wantedBy, closesS))),
        },
      }
      proposals.set(id, { wish, proposed, order })
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      left.push({ order: id, message: error.message })
    }
  }
  const formats = [...new Set([...proposals.values()].map(({ order }) => order.format))]
  const decided = formats.flatMap((format) => {
    const vessels = house.vessels.map((vessel) => ({ kinds: [vessel.kind], rolls: filmsIn(vessel, format) }))
    const orders = [...proposals.values()].flatMap(({ order }) => (order.format === format ? [order] : []))
    const most = (kind: string): number => Math.max(...vessels.map(({ kinds, rolls }) => (kinds.includes(kind as never) ? rolls : 0)))
    return groupOrders(orders, vessels).map(({ id, orders: pieces, rolls, readyS, dueS, weight, kind }) => {
      const films = pieces.flatMap((piece) => {
        const whole = proposals.get(orderOf(piece))?.order.rolls ?? 0
        const [, number] = /#(\d+)$/.exec(piece) ?? []
        const here = number === undefined ? whole : Math.min(most(kind), whole - (Number(number) - 1) * most(kind))
        return Array<string>(here).fill(orderOf(piece))
      })
      const each = films.map((order) => proposals.get(order) as NonNullable<ReturnType<typeof proposals.get>>)
      const [{ proposed }] = each as [(typeof each)[0]]
      const chartRowIds = [...new Set(each.flatMap((one) => one.proposed.chartRowIds))]
      const vesselId = vesselFor(house.vessels, format, { films: rolls, kind: proposed.kind })?.id ?? ''
      const request = requestOf(
        { ...proposed, chartRowIds },
        each.map((one) => one.wish),
        vesselId,
      )
      return { load: { id, request, readyS, dueS, weight, loadingS: loadingEachS * films.length }, films }
    })
  })
  return { decided: decided.sort((a, b) => a.load.dueS - b.load.dueS || (a.load.id < b.load.id ? -1 : 1)), left }
}
