import { requireAmounts, requirePositive } from '../error'
import { washResidual } from '../process/washResidual'

/** mg of silver in a litre that a wash may carry away. House default; the local rules decide. */
export const washLimitMgPerL = 1

/** One fill of a wash: how much silver it carries away, and whether that is too much for the drain. */
export interface WashFill {
  /** mg/L */
  silver: number
  toDrum: boolean
}

/**
 * The silver in each of the first fills of a wash after a fixing bath (g/L) that ml of it were carried out of, until they are below the limit (mg/L).
 * @throws DomainError 'out-of-range'
 * @example
 * firstWashes({ bathGPerL: 3, carryMl: 15, fillMl: 300, fills: 3 }).map((one) => one.toDrum) // → [true, true, false]
 */
export function firstWashes({
  bathGPerL,
  carryMl,
  fillMl,
  fills,
  limitMgPerL = washLimitMgPerL,
}: {
  bathGPerL: number
  carryMl: number
  fillMl: number
  fills: number
  limitMgPerL?: number
}): WashFill[] {
  requireAmounts({ 'The silver of the bath': bathGPerL, 'What is carried over': carryMl, 'The number of fills': fills })
  requirePositive({ 'A fill': fillMl })
  return Array.from({ length: fills }, (_, i) => {
    const silver = 1000 * bathGPerL * washResidual({ carryMl, fillMl, fills: i + 1 })
    return { silver, toDrum: silver > limitMgPerL }
  })
}
