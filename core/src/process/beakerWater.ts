import { blendBeaker } from '../water/blendBeaker'
import type { PlanStep } from './load'
import { savedFrom } from './stepFacts'

/**
 * The water of a step's beaker as so much hot and so much cold from the taps (°C), so that with its concentrate at room temperature it has the temperature of the step;
 * `'unreached'` where the taps alone do not reach it, null where there is no water to take: a working bath, or what an earlier step saved. ml.
 * @example
 * beakerWater({ ...run.steps[0], temperatureC: 20 }, { hotC: 54, coldC: 12, roomC: 21 }) // → { hotMl: 25, coldMl: 125, waterC: 19 }
 */
export function beakerWater(
  step: PlanStep,
  taps: { hotC: number; coldC: number; roomC: number },
): { hotMl: number; coldMl: number; waterC: number } | 'unreached' | null {
  const [first = 0, ...rest] = step.partsMl
  const waterMl = step.bottle ? rest.reduce((sum, ml) => sum + ml, 0) : step.volumeMl
  if (savedFrom(step) !== null || waterMl <= 0) return null
  return blendBeaker({ concentrateMl: step.bottle ? first : 0, waterMl, targetC: step.temperatureC, ...taps }) ?? 'unreached'
}
