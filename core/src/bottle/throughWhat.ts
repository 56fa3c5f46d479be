import { formats } from '../dilution/rollEquivalents'
import type { FormulaUse } from '../formula/use'

/** A bath as far as it matters what goes through it. */
export interface Bath {
  family: string
  use: Pick<FormulaUse, 'fixes'>
}

/**
 * What usually goes through a bath, as one of the formats.
 * @example
 * usualFormat({ family: 'fixer', use: { fixes: 'fibre-paper' } }) // → 'fibre-8x10in'
 * usualFormat({ family: 'film-developer', use: {} }) // → '135-36'
 */
export function usualFormat({ family, use }: Bath): string {
  if (use.fixes === 'fibre-paper') return 'fibre-8x10in'
  return family === 'print-developer' || use.fixes === 'rc-paper' ? 'paper-8x10in' : '135-36'
}

/**
 * Whether prints go through a bath: it is counted in prints of 8×10 in, not in rolls.
 * @example
 * takesPrints({ family: 'print-developer', use: {} }) // → true
 */
export const takesPrints = (bath: Bath): boolean => formats[usualFormat(bath)]?.paper === true

/**
 * Whether a bottle is liquid that is poured back as it is; a concentrate never is, and neither is what is used once.
 * @example
 * isReused({ parts: null, use: { school: 'counted', dilutions: [[1, 4]] } }) // → false
 * isReused({ parts: [1, 4], use: { school: 'counted', dilutions: [[1, 4]] } }) // → true
 */
export const isReused = ({ parts, use }: { parts: number[] | null; use: Pick<FormulaUse, 'school' | 'dilutions'> }): boolean =>
  use.school !== 'one-shot' && (parts !== null || use.dilutions.some((dilution) => dilution.length === 1))

/**
 * Whole rolls a full bottle of a counted bath is good for, as its label says; null where they are not counted in it.
 * @example
 * rollsOfFull({ sizeMl: 1000, parts: [1, 4], use: { school: 'counted', dilutions: [[1, 4]], capacityRollsPerL: 20 } }) // → 20
 */
export function rollsOfFull({
  sizeMl,
  parts,
  use,
}: {
  sizeMl: number
  parts: number[] | null
  use: Pick<FormulaUse, 'school' | 'dilutions' | 'capacityRollsPerL'>
}): number | null {
  if (use.school !== 'counted' || use.capacityRollsPerL === null || !isReused({ parts, use })) return null
  return Math.floor((use.capacityRollsPerL * sizeMl) / 1000)
}
