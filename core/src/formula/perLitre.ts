import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import type { Formula } from './formula'
import { linesOf } from './lines'

/**
 * g of each product in a litre of the finished solution, lines of the same chemical taken together.
 * @example
 * perLitre(scaleFormula(developer, 500)).metol // → 2
 */
export function perLitre(formula: Formula, catalogue: Catalogue = builtIn): Record<ChemicalId, number> {
  const grams: Record<ChemicalId, number> = {}
  for (const line of linesOf(formula, catalogue)) grams[line.chemical.id] = (grams[line.chemical.id] ?? 0) + line.gramsPerLitre
  return grams
}
