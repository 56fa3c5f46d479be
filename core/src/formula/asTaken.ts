import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import type { Finding } from '../finding'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { neverMeet } from './rules/neverMeet'

/**
 * The formula with what is really taken for some of its lines: g of the product that stands in. Lines drawn from stock solutions stay.
 * @example
 * asTaken(developer, [{ step: 1, chemical: 'sodium-sulfite-heptahydrate', grams: 200 }]).additions[1] // → { chemical: 'sodium-sulfite-heptahydrate', grams: 200 }
 */
export function asTaken(
  formula: Formula,
  taken: { step: number; chemical: ChemicalId; grams: number }[],
  catalogue: Catalogue = builtIn,
): Formula {
  const additions = formula.additions.map((addition, step) => {
    const instead = taken.find((one) => one.step === step)
    if (!instead || addition.percent !== undefined) return addition
    const { grams: _grams, millilitres: _ml, ...rest } = addition
    const { densityGPerMl } = chemicalOf(instead.chemical, catalogue)
    const amount = densityGPerMl === undefined ? { grams: instead.grams } : { millilitres: instead.grams / densityGPerMl }
    return { ...rest, chemical: instead.chemical, ...amount }
  })
  return { ...formula, additions }
}

/**
 * What of a formula never meets: hard blocks, each an error. Empty where it may be mixed.
 * @example
 * blocksOf(developer) // → []
 */
export const blocksOf = (formula: Formula, catalogue: Catalogue = builtIn): Finding[] =>
  neverMeet(formula, linesOf(formula, catalogue), catalogue)
