import type { OrderWish } from '../order/order'
import { vesselFor } from '../process/propose/vessel'
import type { Plan } from '../process/load'
import type { Tank } from '../process/shelf'
import { likeness } from '../rota/darkroom/asProblem'
import { candidateOf, groupsOf, loadingEachS, type Candidate, type Group, type Waiting } from '../rota/darkroom/decideLoads'
import { plannedWith, requestOf } from '../rota/darkroom/fitting'
import type { RotaHouse } from '../rota/darkroom/proposed'
import { firstEnds } from '../rota/firstPlan'
import { loadOf, type LoadRooms } from '../rota/loadOf'
import type { RotaLoad, RotaProblem } from '../rota/problem'

/** An opening that could have orders: its evening as it is planned, without them. */
export interface Held {
  /** ms of the midnight its seconds are counted from */
  midnight: number
  /** with what is in it already, pinned where it has its place */
  problem: RotaProblem
  /** s before which nothing more can begin */
  fromS: number
}

/** What is the same of orders that are developed alike. */
const kindOf = ({ earliest: _, wantedBy: __, present: ___, note: ____, count: _____, ...wish }: OrderWish): string => JSON.stringify(wish)

/** A load as it would be in an opening. */
export interface HeldLoad extends Group {
  plan: Plan
  load: RotaLoad
}

/**
 * What openings hold of a house in which nothing runs out: orders go together as they would on an evening, and what goes together is placed as a first plan places it. What is the same
 * for many orders is worked out once.
 */
export class Holding {
  private readonly alone = new Map<string, Candidate>()
  private readonly plans = new Map<string, { plan: Plan; load: RotaLoad }>()

  constructor(
    private readonly house: RotaHouse,
    private readonly orders: Map<string, OrderWish>,
    private readonly rooms: LoadRooms,
  ) {}

  kind = (id: string): string => kindOf(this.wish(id))
  private wish = (id: string): OrderWish => this.orders.get(id) as OrderWish

  /**
   * What an order comes to by itself.
   * @throws DomainError with what is missing for it
   */
  require({ id, wish }: Waiting): void {
    const key = `${this.kind(id)} ${wish.count}`
    if (!this.alone.has(key)) this.alone.set(key, candidateOf(this.house, { id, wish }, { midnight: 0, opensS: 0, closesS: 0 }))
  }

  /** An order as one of an opening's. */
  private candidate(id: string, { midnight, problem, fromS }: Held): Candidate {
    const wish = this.wish(id)
    const alike = this.alone.get(`${this.kind(id)} ${wish.count}`) as Candidate
    const inDay = (at: number | null, otherwise: number): number => (at === null ? otherwise : Math.round((at - midnight) / 1000))
    const { opensS, closesS } = problem
    return {
      ...alike,
      wish,
      order: {
        ...{ ...alike.order, id, readyS: Math.max(opensS, fromS, inDay(wish.earliest, opensS)) },
        dueS: Math.min(closesS, Math.max(opensS, inDay(wish.wantedBy, closesS))),
      },
    }
  }

  private readonly vessels = new Map<string, Tank | null>()
  private vessel(format: string, films: number, kind: Tank['kind']): Tank | null {
    const key = `${format} ${films} ${kind}`
    const known = this.vessels.get(key)
    if (known !== undefined) return known
    const found = vesselFor(this.house.vessels, format, { films, kind })
    this.vessels.set(key, found)
    return found
  }

  /** What a group would be in the tank that takes it. */
  private loadOf({ id, films, readyS, dueS }: Group, candidates: Map<string, Candidate>): HeldLoad | null {
    const mine = films.map((film) => candidates.get(film) as Candidate)
    const [first] = mine
    if (!first) return null
    const vessel = this.vessel(first.wish.format, films.length, first.proposed.kind)
    if (!vessel) return null
    const rows = [...new Set(mine.flatMap((one) => one.proposed.chartRowIds))]
    const key = JSON.stringify([vessel.id, films.map((film) => this.kind(film)).sort()])
    let known = this.plans.get(key)
    if (!known) {
      const wishes = mine.map((one) => one.wish)
      const plan = plannedWith(this.house, requestOf({ ...first.proposed, chartRowIds: rows }, wishes, vessel.id))
      const times = { id: '', readyS: 0, dueS: 0, weight: 1, loadingS: loadingEachS * films.length, rooms: this.rooms }
      known = { plan, load: { ...loadOf(plan, times), kind: likeness(vessel) } }
      this.plans.set(key, known)
    }
    const weight = mine.reduce((sum, one) => sum + (one.wish.critical ? 10 : 1), 0)
    return { id, films, readyS, dueS, plan: known.plan, load: { ...known.load, id: `order ${id}`, readyS, dueS, weight } }
  }

  /** The loads that orders come to in an opening; null where one has no tank. */
  loads(held: Held, ids: string[]): HeldLoad[] | null {
    // whoever came into it first, it comes to the same
    const candidates = new Map([...ids].sort().map((id) => [id, this.candidate(id, held)]))
    const loads = groupsOf(this.house, candidates).map((group) => this.loadOf(group, candidates))
    return loads.some((load) => load === null) ? null : (loads as HeldLoad[])
  }

  /** Which of the orders end after they are wanted there, in ms; null where not all have a place. */
  lateIn(held: Held, ids: string[]): Set<string> | null {
    const loads = this.loads(held, ids)
    if (!loads || !mayFit(held.problem, loads)) return null
    const ends = firstEnds({ ...held.problem, loads: [...held.problem.loads, ...loads.map((one) => one.load)] })
    const late = new Set<string>()
    for (const { films, load } of loads) {
      const end = ends.get(load.id)
      if (end === undefined) return null
      for (const film of films) {
        const { wantedBy } = this.wish(film)
        if (wantedBy !== null && held.midnight + 1000 * end > wantedBy) late.add(film)
      }
    }
    return late
  }
}

const handsOnS = ({ steps }: RotaLoad): number =>
  steps.reduce((sum, step) => sum + step.handsOn.reduce((s, [from, to]) => s + to - from, 0), 0)

/** s of hands that all loads of a problem want. */
export const wantedHandsS = (loads: RotaLoad[]): number => loads.reduce((sum, load) => sum + handsOnS(load), 0)
/** s of hands there are from opening until it is cleaned up. */
export const thereHandsS = ({ hands, opensS, closesS, cleanS = 0 }: RotaProblem): number => hands * Math.max(0, closesS - cleanS - opensS)

const usesS = ({ steps }: RotaLoad, id: string): number => steps.reduce((sum, { s, uses }) => sum + (uses?.includes(id) ? s : 0), 0)
const wholeS = ({ steps }: RotaLoad): number => steps.reduce((sum, step) => sum + step.s, 0)

/** Whether the hands, the tanks and the places there are could do it at all, by their seconds: most of what does not fit is seen by that. */
function mayFit(problem: RotaProblem, more: HeldLoad[]): boolean {
  const { resources = [], vessels, opensS, closesS, cleanS = 0 } = problem
  const loads = [...problem.loads, ...more.map((one) => one.load)]
  const openS = Math.max(0, closesS - cleanS - opensS)
  const kinds = new Set(loads.map((load) => load.kind))
  return (
    wantedHandsS(loads) <= thereHandsS(problem) &&
    resources.every(({ id, places }) => loads.reduce((sum, load) => sum + usesS(load, id), 0) <= places * openS) &&
    [...kinds].every((kind) => {
      const mine = vessels.filter((vessel) => vessel.kinds.includes(kind))
      const resetS = Math.min(...mine.map((vessel) => vessel.resetS))
      // the last of each may dry after closing
      const there = mine.length * (openS + resetS)
      return loads.reduce((sum, load) => sum + (load.kind === kind ? wholeS(load) + resetS : 0), 0) <= there
    })
  )
}
