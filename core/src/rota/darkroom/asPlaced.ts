import { DomainError } from '../../error'
import type { Finding } from '../../finding'
import type { Plan } from '../../process/load'
import { boundOf } from '../bounds'
import { checkEvening } from '../checkEvening'
import type { PlacedLoad, RotaPlan, RotaProblem, UnplacedReason } from '../problem'
import { timesOf } from '../timed'
import { asProblem } from './asProblem'
import type { DarkroomEvening, TestBefore } from './evening'
import { recompiled, sameTimes, type Kept } from './recompiled'
import { planWith } from './turns'

/** An evening as somebody has placed its loads. */
export interface PlacedEvening {
  rota: RotaPlan
  problem: RotaProblem
  /** what each load is with its bottles as they are by its turn; of what is begun, what it was begun as */
  plans: Record<string, Plan>
  /** by load, what speaks against it: what no bottle bears, or what cannot be made at all */
  against: Record<string, Finding[]>
  /** what is wrong with the places themselves */
  breaches: Finding[]
  tests: TestBefore[]
}

/** times by which what follows from the order, and the order from it, is looked at again */
const mostTurns = 8

/** Sums of placed loads, as `checkEvening` works them out. */
function rotaOf(problem: RotaProblem, placed: PlacedLoad[], unplaced: RotaPlan['unplaced']): RotaPlan {
  const timed = placed.flatMap((one) => {
    const load = problem.loads.find((each) => each.id === one.load)
    return load ? [timesOf(load, one)] : []
  })
  const lateS = timed.reduce((sum, { load, endS }) => sum + load.weight * Math.max(0, endS - load.dueS), 0)
  const endS = timed.length === 0 ? problem.opensS : Math.max(...timed.map((one) => one.endS))
  const bound = boundOf(
    problem,
    timed.map((one) => one.load),
  )
  return { placed, unplaced, lateS, endS, bound: { lateS: Math.min(bound.lateS, lateS), endS: Math.min(bound.endS, endS) }, rounds: 0 }
}

/**
 * An evening with its loads where somebody put them: what each is in its turn, and what is wrong with it, in the places and in the bottles. What is begun is where it is; loads
 * without a place are left out.
 * @example
 * asPlaced(darkroomEvening, [{ load: 'l1', startS: 64_000, vessel: 'tank', bath: 'tub', person: 0 }]).breaches[0].rule // → 'rota-ready'
 */
export function asPlaced(evening: DarkroomEvening, places: PlacedLoad[], reasons: Record<string, UnplacedReason> = {}): PlacedEvening {
  const against: Record<string, Finding[]> = {}
  let kept = evening.loads.flatMap((load): Kept => {
    try {
      return [{ load, plan: planWith(evening, load, []) }]
    } catch (error) {
      if (!(error instanceof DomainError)) throw error
      against[load.id] = [{ rule: error.code, severity: 'error', message: error.message }]
      return []
    }
  })
  const there = new Set(kept.map((one) => one.load.id))
  const usable = new Set([...evening.vessels.map((one) => one.id), ...evening.room.baths.map((one) => one.id)])
  // a tank or bath that is out of order is no place
  const mine = places.filter((one) => there.has(one.load) && usable.has(one.vessel) && (one.bath === null || usable.has(one.bath)))
  let problem = asProblem(evening, kept)
  let now = recompiled(evening, kept, mine, problem)
  for (let turns = mostTurns; turns > 0; turns--) {
    kept = now.kept
    const next = asProblem(evening, kept)
    const settled = sameTimes(problem, next, mine)
    problem = next
    if (settled) break
    now = recompiled(evening, kept, mine, problem)
  }
  const begun = evening.begun ?? []
  const begunPlaces = begun.map(({ pin }): PlacedLoad => {
    const inBath = problem.loads.find((load) => load.id === pin.load)?.steps.some((step) => step.inBath)
    const bath = inBath ? (pin.bath ?? problem.baths[0]?.id ?? null) : null
    return {
      ...{ load: pin.load, startS: pin.startS, vessel: pin.vessel, bath, person: pin.person ?? 0 },
      ...(pin.waits ? { waits: pin.waits } : {}),
    }
  })
  const placed = [...mine, ...begunPlaces]
  const unplaced = kept.flatMap(({ load: { id } }) =>
    mine.some((one) => one.load === id) ? [] : [{ load: id, reason: reasons[id] ?? ('full' as const) }],
  )
  for (const { load, plan } of kept) {
    const errors = plan.findings.filter((one) => one.severity === 'error' && one.rule !== 'plan-test-due')
    if (errors.length > 0) against[load.id] = errors
  }
  const rota = rotaOf(problem, placed, unplaced)
  return {
    ...{ rota, problem, against, tests: now.tests },
    plans: Object.fromEntries([...kept.map(({ load, plan }) => [load.id, plan]), ...begun.map(({ load, plan }) => [load.id, plan])]),
    breaches: checkEvening(problem, rota),
  }
}
