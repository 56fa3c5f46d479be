import { requireAmounts, requirePositive } from '../error'

/** m³ of air an hour through an opening of m² at m/s. */
const perHour = 3600
/** share of what was in the air that is left when it counts as gone: one per cent */
const leftShare = 0.01
/** pairs of gloves for each of them at an opening. Rounded literature value. */
const pairsEach = 2

/**
 * How often an hour the air of a room changes.
 * @throws DomainError 'out-of-range'
 * @example
 * airChanges({ mPerS: 0.5, areaM2: 0.09, roomM3: 28.8 }) // → 5.625
 */
export function airChanges({ mPerS, areaM2, roomM3 }: { mPerS: number; areaM2: number; roomM3: number }): number {
  requireAmounts({ 'The speed of the air': mPerS })
  requirePositive({ 'The opening': areaM2, 'The room': roomM3 })
  return (perHour * mPerS * areaM2) / roomM3
}

/**
 * Minutes until a hundredth of what was in the air is left.
 * @throws DomainError 'out-of-range'
 * @example
 * Math.round(10 * clearedMinutes(10)) / 10 // → 27.6
 */
export function clearedMinutes(changesPerHour: number): number {
  requirePositive({ 'The changes an hour': changesPerHour })
  return (60 * Math.log(1 / leftShare)) / changesPerHour
}

/**
 * Least pairs of gloves of one size that should lie there.
 * @example
 * glovesLeast({ people: 3, openings: 4 }) // → 24
 */
export const glovesLeast = ({ people, openings }: { people: number; openings: number }): number => pairsEach * people * openings
