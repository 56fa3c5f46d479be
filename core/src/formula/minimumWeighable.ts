import { requirePositive } from '../error'
import type { Chemical } from '../chemical/chemical'
import type { Addition } from './formula'

/**
 * The smallest weight in g a scale of that readability weighs to a relative tolerance, at two standard deviations:
 * m = 2 · 0.41 · d / t, the pharmacopoeia's rule for the lower limit of a balance. 0.1 g at 5 % is 1.64 g.
 * @example
 * minimumWeighable(0.01, 0.02) // → 0.41
 */
export function minimumWeighable(readabilityG: number, tolerance: number): number {
  requirePositive({ 'The readability': readabilityG, 'The tolerance': tolerance })
  return (2 * 0.41 * readabilityG) / tolerance
}

/**
 * How far off a weighed amount may be, as a share of it: developing agents and restrainers 2 %, alkali 3 %, the rest 5 %. Rounded literature values.
 * @example
 * weighingTolerance({ chemical: 'metol', grams: 2 }, catalogue.metol) // → 0.02
 */
export function weighingTolerance(addition: Addition, chemical: Chemical): number {
  const { role } = addition
  if (role === 'developer' || role === 'restrainer') return 0.02
  if (role === 'alkali') return 0.03
  if (role !== undefined) return 0.05
  if (chemical.natures.some((nature) => nature === 'developing-agent' || nature === 'restrainer')) return 0.02
  return chemical.natures.includes('alkali') ? 0.03 : 0.05
}
