import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import { linesOf } from '../formula/lines'
import { jarFactor, jarsFor, type ShelfJar } from './asOnShelf'

/**
 * Money per kg of each of a formula's chemicals, from the jar it would be taken from: another product's price counts by what of it does the work.
 * A chemical whose jars are empty keeps its own last price; one without any is left out.
 * @example
 * pricesFor(developer, jars.map((jar) => ({ ...jar, pricePerKg: 90 }))).metol // → 90
 */
export function pricesFor(
  formula: Formula,
  jars: (ShelfJar & { pricePerKg: number | null })[],
  catalogue: Catalogue = builtIn,
): Record<ChemicalId, number> {
  const prices: Record<ChemicalId, number> = {}
  for (const line of linesOf(formula, catalogue)) {
    const { id } = line.chemical
    const jar =
      jarsFor(line, jars, catalogue).find((one) => one.pricePerKg !== null) ??
      jars.findLast((one) => one.chemical === id && one.pricePerKg !== null)
    if (jar && jar.pricePerKg !== null) prices[id] = jar.pricePerKg * jarFactor(id, jar, catalogue)
  }
  return prices
}
