import type { ChemicalId } from '../chemical/chemical'
import type { Formula } from './formula'

/** The chemical and % w/v of a formula that is a plain percent solution: one weighed chemical in water; null for every other. */
export function stockSolutionOf(formula: Formula): { chemical: ChemicalId; percent: number } | null {
  const [only, ...more] = formula.additions
  if (!only || more.length > 0 || only.grams === undefined || formula.finalMl <= 0) return null
  return { chemical: only.chemical, percent: (100 * only.grams) / formula.finalMl }
}
