import type { FormulaUse } from './use'

/** What a roll takes of a formula's stock by its own figures, ml, and why: reused to its capacity, or used once. */
export interface StockPerRoll {
  ml: number
  because: 'capacity' | 'once'
}

/**
 * Stock (ml) one roll uses up by a formula's own figures; null where they do not say. What is reused is shared by the rolls of its capacity; what is used once takes the
 * least a roll needs.
 * @example
 * stockPerRoll({ school: 'counted', capacityRollsPerL: 20, minConcentrateMlPerRoll: 0 }) // → { ml: 50, because: 'capacity' }
 * stockPerRoll({ school: 'one-shot', capacityRollsPerL: null, minConcentrateMlPerRoll: 6 }) // → { ml: 6, because: 'once' }
 */
export function stockPerRoll(
  use: Pick<FormulaUse, 'school' | 'capacityRollsPerL' | 'minConcentrateMlPerRoll'> | undefined,
): StockPerRoll | null {
  if (!use) return null
  if (use.school !== 'one-shot' && use.capacityRollsPerL) return { ml: 1000 / use.capacityRollsPerL, because: 'capacity' }
  return use.minConcentrateMlPerRoll > 0 ? { ml: use.minConcentrateMlPerRoll, because: 'once' } : null
}
