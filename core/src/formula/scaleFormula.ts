import { requireAmounts, requirePositive } from '../error'
import type { Formula } from './formula'

const isWhole = (factor: number): boolean => factor >= 0.5 && Math.abs(factor - Math.round(factor)) < 1e-9

/**
 * The same formula for another final volume: every amount, the starting and the final volume in proportion. Temperatures and percentages stay; a fraction of a pack is marked as one.
 * @example
 * scaleFormula(developer, 2500).additions[0].grams // → 5
 */
export function scaleFormula<F extends Formula>(formula: F, finalMl: number): F {
  requirePositive({ 'The volume wanted': finalMl, 'The formula’s volume': formula.finalMl })
  requireAmounts({ 'The starting volume': formula.startMl })
  const factor = finalMl / formula.finalMl
  return {
    ...formula,
    finalMl,
    startMl: formula.startMl * factor,
    additions: formula.additions.map((addition) => ({
      ...addition,
      ...(addition.grams === undefined ? {} : { grams: addition.grams * factor }),
      ...(addition.millilitres === undefined ? {} : { millilitres: addition.millilitres * factor }),
      // what is no whole number of packs is a part of one
      ...(addition.wholePack && !isWhole(factor) ? { wholePack: false } : {}),
    })),
  }
}
