import type { ChemicalId } from '../chemical/chemical'
import type { Formula } from './formula'
import type { Line } from './lines'

/**
 * The chemical and % w/v of a formula that is a plain percent solution: one weighed chemical in water; null for every other.
 * @example
 * stockSolutionOf({ ...stopBath, additions: [{ chemical: 'potassium-bromide', grams: 100 }] }) // → { chemical: 'potassium-bromide', percent: 10 }
 */
export function stockSolutionOf(formula: Formula): { chemical: ChemicalId; percent: number } | null {
  const [only, ...more] = formula.additions
  if (!only || more.length > 0 || only.grams === undefined || formula.finalMl <= 0) return null
  return { chemical: only.chemical, percent: (100 * only.grams) / formula.finalMl }
}

/**
 * Whether a formula is the stock solution a line is drawn from, at its strength.
 * @example
 * isStockFor(developer, metolLine) // → false
 */
export function isStockFor(formula: Formula, line: Line): boolean {
  const solution = stockSolutionOf(formula)
  return solution?.chemical === line.chemical.id && Math.abs(solution.percent - (line.addition.percent ?? 0)) < 0.01
}
