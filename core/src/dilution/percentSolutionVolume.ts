import { requireAmounts, requirePositive } from '../error'

/**
 * Millilitres of a percent solution (% w/v: g in 100 ml of finished solution) that hold `grams`: 0.5 g from a 10 % solution is 5 ml.
 * @example
 * percentSolutionVolume(0.5, 10) // → 5
 */
export function percentSolutionVolume(grams: number, percent: number): number {
  requireAmounts({ 'The weight': grams })
  requirePositive({ 'The percentage': percent })
  return (100 * grams) / percent
}
