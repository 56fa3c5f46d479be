import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { linesOf } from '../formula/lines'
import type { Formula } from '../formula/formula'
import { jarFactor, type ShelfJar } from './asOnShelf'

/**
 * Whole batches of a formula, at its own volume, that the jars of one product are enough for; null where the formula does not use it.
 * @example
 * batchesLeft(developer, 'metol', jars) // → 25
 */
export function batchesLeft(formula: Formula, chemical: ChemicalId, jars: ShelfJar[], catalogue: Catalogue = builtIn): number | null {
  const needed = linesOf(formula, catalogue).reduce((sum, line) => sum + (line.chemical.id === chemical ? line.grams : 0), 0)
  if (needed === 0) return null
  const held = jars.reduce((sum, jar) => sum + (jar.chemical === chemical ? jar.grams / jarFactor(chemical, jar, catalogue) : 0), 0)
  return Math.floor(held / needed + 1e-9)
}
