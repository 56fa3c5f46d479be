import { DomainError, requirePositive } from '../error'

/** Share by which a print darkens in drying, as less exposure: what is usual, and between what. Rounded literature values. */
export const usualDryDown = { fibre: { usual: 0.1, from: 0.08, to: 0.12 }, rc: { usual: 0.02, from: 0, to: 0.04 } }

/**
 * s for a print that shall look dry as the wet one looked that was exposed so long: t·(1 − d).
 * @throws DomainError 'out-of-range'
 * @example
 * dryTime(20, 0.1) // → 18
 */
export function dryTime(wetS: number, share: number): number {
  requirePositive({ 'An exposure': wetS })
  if (!(share >= 0 && share < 0.5))
    throw new DomainError('out-of-range', `A print darkens by 0 to 50 % of its exposure, not ${100 * share}.`)
  return wetS * (1 - share)
}
