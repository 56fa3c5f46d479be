import type { BottleUse, Plan } from './load'
import { colourRollsOf, loadCarryMl } from './loaded'
import { savedFrom } from './stepFacts'

/* What a plan does to its bottles, step by step. A step that takes what an earlier one saved takes nothing from a bottle. */

/**
 * What leaves each bottle when the liquids are measured out, step by step: what is diluted or used once.
 * @example
 * usesAtStart(run).map((use) => [use.bottleId, use.kind, use.ml]) // → [['d1', 'dilute-out', -150]]
 */
export const usesAtStart = (plan: Plan): BottleUse[] =>
  plan.steps.flatMap((step, i) =>
    step.bottle?.oneShot && savedFrom(step) === null
      ? [{ step: i, bottleId: step.bottle.id, kind: 'dilute-out' as const, ml: -(step.partsMl[0] ?? 0), waterInMl: 0, rolls: 0 }]
      : [],
  )

/**
 * What a finished run did to the bottles whose liquid was poured back, step by step: its rolls, and the carry-out. Film that goes in dry takes liquid
 * away; film that comes wet brings in as much as it carries out, so that the volume stays and the strength falls.
 * @example
 * usesAtEnd(run).map((use) => [use.bottleId, use.kind, use.rolls]) // → [['f1', 'use', 1]]
 */
export function usesAtEnd(plan: Plan): BottleUse[] {
  const [carry, colour] = [loadCarryMl(plan), colourRollsOf(plan)]
  return plan.steps.flatMap((step, i) => {
    if (!step.bottle || step.bottle.oneShot) return []
    const wet = plan.steps.slice(0, i).some((earlier) => earlier.liquid !== 'air' && earlier.liquid !== 'light')
    return [
      {
        step: i,
        bottleId: step.bottle.id,
        kind: 'use' as const,
        ml: wet ? 0 : -carry,
        waterInMl: wet ? carry : 0,
        rolls: plan.rolls,
        ...(colour > 0 ? { colourRolls: colour } : {}),
      },
    ]
  })
}

/**
 * What a plan wants of each bottle, step by step: ml that leave it or stand in the tank, and roll equivalents that go through.
 * @example
 * wantsOf(run).map((want) => [want.bottleId, want.ml]) // → [['d1', 150], ['f1', 300]]
 */
export const wantsOf = (
  plan: Plan,
): { stepKey: string; bottleId: string; parts: number[]; ml: number; equivalents: number; oneShot: boolean }[] =>
  plan.steps.flatMap((step) =>
    step.bottle && !(step.bottle.oneShot && savedFrom(step) !== null)
      ? [
          {
            stepKey: step.key,
            bottleId: step.bottle.id,
            parts: step.bottle.parts,
            ml: step.partsMl[0] ?? 0,
            equivalents: plan.rolls,
            oneShot: step.bottle.oneShot,
          },
        ]
      : [],
  )
