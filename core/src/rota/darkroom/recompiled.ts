import type { Plan } from '../../process/load'
import type { PlacedLoad, RotaProblem } from '../problem'
import { planStarts } from './asProblem'
import type { DarkroomEvening, DecidedLoad } from './evening'
import { inTurn, planWith, type Timed } from './turns'

/** Loads with what each is by now. */
export type Kept = { load: DecidedLoad; plan: Plan }[]

/** What every load is by its turn, where those that are placed pour when they do; the others are what they were. */
export function recompiled(evening: DarkroomEvening, kept: Kept, placed: PlacedLoad[], problem: RotaProblem) {
  const byLoad = new Map(kept.map((one) => [one.load.id, one]))
  const timed = placed.flatMap(({ load: id, startS, waits, vessel }): (Timed & { vessel: string })[] => {
    const one = byLoad.get(id)
    const load = problem.loads.find((each) => each.id === id)
    return one && load ? [{ ...one, vessel, starts: planStarts(load, one.plan.steps.length, startS, waits) }] : []
  })
  const { bottles, tests } = inTurn(evening, timed)
  const plans = new Map(timed.map(({ load, vessel }) => [load.id, planWith(evening, load, bottles.get(load.id) ?? [], vessel)]))
  return { timed, tests, plans: Object.fromEntries(plans), kept: kept.map((one) => ({ ...one, plan: plans.get(one.load.id) ?? one.plan })) }
}

/** Whether the loads that are placed have the times and hands in one problem that they have in the other. */
export function sameTimes(a: RotaProblem, b: RotaProblem, placed: PlacedLoad[]): boolean {
  const there = new Set(placed.map((one) => one.load))
  const of = ({ loads, resources }: RotaProblem): string => JSON.stringify([loads.filter((load) => there.has(load.id)), resources])
  return of(a) === of(b)
}
