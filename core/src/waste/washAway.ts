import type { Plan, PlanStep } from '../process/load'
import { loadCarryMl } from '../process/loaded'
import { silverG } from '../bottle/silver'
import { colourRollsOf } from '../process/loaded'
import { firstWashes } from './firstWash'

const fixing: PlanStep['kind'][] = ['fix', 'bleach-fix', 'monobath', 'refix']
/** What a step does to what is carried on: a fill of water, another bath that takes its share, running water after which nothing is caught, nothing. */
function stagesOf(step: PlanStep): ('water' | 'bath' | 'running')[] {
  if (step.liquid === 'air' || step.liquid === 'light') return []
  if (step.liquid !== 'water') return ['bath']
  const filled = step.kind !== 'wash' || step.changes !== undefined || step.agitation.inversions !== undefined
  return filled ? Array.from({ length: step.changes ?? 1 }, () => 'water' as const) : ['running']
}

/**
 * The fills of water after the last fixing bath (g/L of silver in it) that carry too much silver for the drain: ml and g of them together; null where a plan has none. Running
 * water is not caught: a first fill before it would be.
 * @example
 * washAway(run, { bathGPerL: 3, limitMgPerL: 1 })?.ml // → 600
 */
export function washAway(
  plan: Pick<Plan, 'steps' | 'films' | 'vessel'>,
  { bathGPerL, limitMgPerL }: { bathGPerL: number; limitMgPerL: number },
): { ml: number; silverG: number; fills: number } | null {
  const fixed = plan.steps.findLastIndex((step) => fixing.includes(step.kind))
  if (fixed < 0) return null
  const stages = plan.steps.slice(fixed + 1).flatMap(stagesOf)
  const end = stages.indexOf('running')
  const before = end < 0 ? stages : stages.slice(0, end)
  const fillMl = plan.vessel.coversMl
  const fills = firstWashes({ bathGPerL, carryMl: loadCarryMl(plan), fillMl, fills: before.length, limitMgPerL })
  const caught = fills.filter((one, i) => one.toDrum && before[i] === 'water')
  if (caught.length === 0) return null
  return {
    ...{ fills: caught.length, ml: caught.length * fillMl },
    silverG: caught.reduce((sum, { silver }) => sum + (silver / 1000) * (fillMl / 1000), 0),
  }
}

/**
 * g/L of silver in the bath a run's films were fixed in: that of its bottle where it goes back, that of its rolls alone where it is used once; null where nobody knows.
 * @example
 * silverInBath(run, { id: 'f1', oneShot: false }, 3.1) // → 3.1
 */
export function silverInBath(plan: Plan, bath: { id: string; oneShot?: boolean | undefined }, ofBottle: number | null): number | null {
  if (!bath.oneShot) return ofBottle
  const ml = plan.steps.find((step) => step.bottle?.id === bath.id)?.volumeMl ?? 0
  return ml > 0 ? (1000 * silverG({ rolls: plan.rolls, colourRolls: colourRollsOf(plan), paper: 0 })) / ml : null
}
