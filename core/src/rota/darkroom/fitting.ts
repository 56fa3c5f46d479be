import { DomainError } from '../../error'
import type { OrderWish } from '../../order/order'
import type { Plan } from '../../process/load'
import { planFor } from '../../process/planFor'
import { vesselFor } from '../../process/propose/vessel'
import type { RunRequest } from '../../process/shelf'
import { wantsOf } from '../../process/uses'
import { proposedFor, type Proposed, type RotaBottle, type RotaHouse } from './proposed'

export const usualAgitation = '10-4inv-30'

export const requestOf = ({ kind: _, ...proposed }: Proposed, films: OrderWish[], vesselId: string): RunRequest => ({
  ...proposed,
  ...{ vesselId, agitation: usualAgitation, critical: films.some((wish) => wish.critical) },
  films: films.map(({ film, format, ei, pushStops }) => ({ film, format, ei, pushStops })),
})

/** What a request comes to with what stands in the house. */
export function plannedWith(house: RotaHouse, request: RunRequest): Plan {
  const process = house.processes.find((one) => one.versionId === request.processVersionId)
  if (!process) throw new DomainError('no-process', 'The process that is wished for is not there any more.')
  return planFor(request, {
    ...{ process: { ...process.body, id: process.versionId }, vessels: house.vessels, bottles: house.bottles, chart: house.chart },
    ...(house.partOf ? { partOf: house.partOf } : {}),
  })
}

/** what another bottle, or fewer films, would answer */
const tooLittle = ['plan-volume', 'plan-capacity']

/** One request for all of them, where they go through the same baths; null where they do not. */
function together(house: RotaHouse, films: OrderWish[]): RunRequest | null {
  const each = films.map((wish) => proposedFor(house, wish))
  const [first] = each
  const [wish] = films
  if (!first || !wish || each.some((one) => JSON.stringify(one.baths) !== JSON.stringify(first.baths))) return null
  const vessel = vesselFor(house.vessels, wish.format, { films: films.length, kind: first.kind })
  if (!vessel) return null
  return requestOf({ ...first, chartRowIds: [...new Set(each.flatMap((one) => one.chartRowIds))] }, films, vessel.id)
}

/** An answer, or null where it is refused. */
function ifItCan<T>(ask: () => T): T | null {
  try {
    return ask()
  } catch (error) {
    if (!(error instanceof DomainError)) throw error
    return null
  }
}

/** The house with what a plan wants of its bottles taken from them. */
function after(house: RotaHouse, plan: Plan): RotaHouse {
  const wants = wantsOf(plan)
  const taken = (bottle: RotaBottle): RotaBottle => {
    const mine = wants.filter((want) => want.bottleId === bottle.id)
    if (mine.length === 0) return bottle
    const ml = mine.reduce((sum, want) => sum + (want.oneShot ? want.ml : 0), 0)
    const rolls = mine.reduce((sum, want) => sum + (want.oneShot ? 0 : want.equivalents), 0)
    const { volumeMl, rollsLeft } = bottle.state
    return { ...bottle, state: { ...bottle.state, volumeMl: volumeMl - ml, rollsLeft: rollsLeft === null ? null : rollsLeft - rolls } }
  }
  return { ...house, bottles: house.bottles.map(taken) }
}

/** The house after what was decided before; what cannot be worked out any more takes nothing. */
export const afterRequests = (house: RotaHouse, requests: RunRequest[]): RotaHouse =>
  requests.reduce((there, request) => {
    const plan = ifItCan(() => plannedWith(there, request))
    return plan ? after(there, plan) : there
  }, house)

/** Films of a load as they go into bottles: the first bottles that have enough for all of them; null where none have. */
function inBottles(house: RotaHouse, films: OrderWish[]): { request: RunRequest; plan: Plan } | null {
  let left = house
  for (let tries = house.bottles.length; tries >= 0; tries--) {
    const there = left
    const request = ifItCan(() => together(there, films))
    const plan = request && ifItCan(() => plannedWith(there, request))
    if (!plan) return null
    const short = new Set(
      plan.findings.flatMap(({ rule, step = -1 }) => (tooLittle.includes(rule) ? [plan.steps[step]?.bottle?.id ?? ''] : [])),
    )
    if (short.size === 0) return { request, plan }
    left = { ...left, bottles: left.bottles.filter((bottle) => !short.has(bottle.id)) }
  }
  return null
}

/** Films that share a load, with the place of each in the group. */
export interface FittedLoad {
  films: number[]
  request: RunRequest
}

/**
 * A group of films as loads that the bottles bear, after what was fitted before them: in one where a set of bottles has enough for all, else in halves. What no bottle bears even by
 * itself is a load all the same: its plan says what is missing.
 */
export function fitted(house: RotaHouse, films: OrderWish[]): { loads: FittedLoad[]; house: RotaHouse } {
  const fit = (which: number[], there: RotaHouse): { loads: FittedLoad[]; house: RotaHouse } => {
    const mine = which.map((i) => films[i] as OrderWish)
    const found = inBottles(there, mine)
    if (found) return { loads: [{ films: which, request: found.request }], house: after(there, found.plan) }
    if (which.length > 1) {
      const half = Math.ceil(which.length / 2)
      const first = fit(which.slice(0, half), there)
      const second = fit(which.slice(half), first.house)
      return { loads: [...first.loads, ...second.loads], house: second.house }
    }
    // what is used up by those before it is said by its plan, with the bottle it would have had
    const request = ifItCan(() => together(there, mine)) ?? ifItCan(() => together(house, mine))
    return { loads: request ? [{ films: which, request }] : [], house: there }
  }
  return fit(
    films.map((_, i) => i),
    house,
  )
}
