import { timeAtAny } from '../development/chartTime'
import type { Plan, PlanStep } from '../process/load'

/** What the time of a step follows when its bath drifts: the development chart of the load, or the step's own table. */
function driftOf({ drift, developing }: Pick<Plan, 'drift' | 'developing'>, { time, factors = [] }: Pick<PlanStep, 'time' | 'factors'>) {
  if (time === 'chart') return drift && developing ? { ...drift, factors: developing.steps.slice(1) } : null
  if (!('table' in time)) return null
  return { chart: time.table.map(({ c, s }) => ({ temperatureC: c, seconds: s })), k: undefined, factors }
}

/**
 * s a step takes at °C, as its time follows the chart of the load or its own table; null where its time follows nothing.
 * @example
 * timeAtOf(run, { time: { s: 60 } }) // → null
 */
export function timeAtOf(
  plan: Pick<Plan, 'drift' | 'developing'>,
  step: Pick<PlanStep, 'time' | 'factors'>,
): ((celsius: number) => number) | null {
  const course = driftOf(plan, step)
  if (!course) return null
  const factor = course.factors.reduce((product, one) => product * one.factor, 1)
  const charted = timeAtAny(course.chart, course.k)
  return (celsius) => charted(celsius) * factor
}
