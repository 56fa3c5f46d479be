import type { Plan, PlanStep } from './load'
import { loadCarryMl } from './loaded'
import { washResidual } from './washResidual'

/** L a minute of running water, or one vessel volume where that is more; and how long film is washed in it, s. Domain figures. */
const flowL = 3
const runningS = 600
/** Below that, fills do not reach what is in the gelatine. °C */
const coldestFillC = 15
const fixing: PlanStep['kind'][] = ['fix', 'bleach-fix', 'monobath', 'refix']

export interface WashFigures {
  /** fills and dumps of the final wash, ml in each, and the share of what was carried in that they leave; null without any */
  fills: { count: number; ml: number; left: number } | null
  /** s of running water, and the share of what is in the layer that it leaves; null without any, or where it is too cold to wash */
  running: { seconds: number; left: number | null } | null
  /** L of water of this plan, and of the other way to wash: in running water, or in three fills */
  waterL: number
  otherL: number
  /** what speaks against it, in words */
  warnings: string[]
}

const isRunning = (step: PlanStep): boolean => step.changes === undefined && step.agitation.inversions === undefined

/**
 * What the washing after the last fixing bath leaves, and the water it takes, with the other way beside it. null where a plan washes nothing.
 * @example
 * washFigures(run)?.fills // → { count: 3, ml: 300, left: 0.000108 }
 */
export function washFigures(plan: Pick<Plan, 'steps' | 'films' | 'vessel'>): WashFigures | null {
  const fixed = plan.steps.findLastIndex((step) => fixing.includes(step.kind))
  if (fixed < 0) return null
  const after = plan.steps.slice(fixed + 1)
  const washes = after.filter((step) => step.liquid === 'water' && (step.kind === 'wash' || step.kind === 'rinse'))
  if (washes.length === 0) return null
  const carryMl = loadCarryMl(plan)
  const fillMl = plan.vessel.coversMl
  const filled = washes.filter((step) => step.kind === 'rinse' || !isRunning(step))
  const count = filled.reduce((sum, step) => sum + (step.changes ?? 1), 0)
  const runs = washes.filter((step) => !filled.includes(step))
  const flow = Math.max(flowL, fillMl / 1000)
  const litresOf = (fills: number, seconds: number): number => (fills * fillMl) / 1000 + (seconds / 60) * flow
  const seconds = runs.reduce((sum, step) => sum + step.seconds, 0)
  const aid = after.some((step) => step.kind === 'wash-aid')
  const running = runs.length > 0 ? { seconds, left: runningLeft(runs, aid) } : null
  const cold = filled.some((step) => step.temperatureC < coldestFillC)
  return {
    fills: count > 0 ? { count, ml: fillMl, left: washResidual({ carryMl, fillMl, fills: count }) } : null,
    running,
    waterL: litresOf(count, seconds),
    otherL: runs.length > 0 ? litresOf(3, 0) : litresOf(0, runningS),
    warnings: [
      ...(cold ? [`Fills wash from ${coldestFillC} °C on: colder water leaves what is in the gelatine.`] : []),
      ...(running?.left === null ? ['Water below 10 °C does not wash: bring it to 10 °C at least, better to 15.'] : []),
    ],
  }
}

/** The share running water leaves, step after step; null where one of them is too cold to wash. */
function runningLeft(runs: PlanStep[], aid: boolean): number | null {
  if (runs.some((step) => step.temperatureC < 10)) return null
  return runs.reduce((left, { seconds, temperatureC }) => left * washResidual({ seconds, material: 'film', aid, waterC: temperatureC }), 1)
}
