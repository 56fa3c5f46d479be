import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { chemicalOf, equivalentMass } from '../chemical/equivalentMass'
import type { Formula } from './formula'
import { perLitre } from './perLitre'

export interface ComparedLine {
  /** the chemical on either side; products of one group stand on one line */
  one: { chemical: ChemicalId; grams: number } | null
  other: { chemical: ChemicalId; grams: number } | null
  /** the other's amount as a share of the one's, by equal strength; null where one side lacks it */
  ratio: number | null
  differs: boolean
}

/** Amounts that differ by less than this are the same on any darkroom scale. */
const sameWithin = 0.005

/**
 * Two formulas side by side in g per litre of solution, products of one group by equal strength; in the order of the first, then what only the other has.
 * @example
 * compareFormulas(developer, scaleFormula(developer, 2000)).length // → 4
 */
export function compareFormulas(one: Formula, other: Formula, catalogue: Catalogue = builtIn): ComparedLine[] {
  const left = Object.entries(perLitre(one, catalogue))
  const right = new Map(Object.entries(perLitre(other, catalogue)))
  const lines = left.map(([chemical, grams]): ComparedLine => {
    const { group } = chemicalOf(chemical, catalogue)
    const match = right.has(chemical)
      ? chemical
      : [...right.keys()].find((id) => group !== undefined && chemicalOf(id, catalogue).group === group)
    if (match === undefined) return { one: { chemical, grams }, other: null, ratio: null, differs: true }
    const theirs = right.get(match) ?? 0
    right.delete(match)
    const ratio = grams === 0 ? null : equivalentMass(match, chemical, theirs, catalogue) / grams
    return {
      one: { chemical, grams },
      other: { chemical: match, grams: theirs },
      ratio,
      differs: match !== chemical || ratio === null || Math.abs(ratio - 1) > sameWithin,
    }
  })
  return [...lines, ...[...right].map(([chemical, grams]) => ({ one: null, other: { chemical, grams }, ratio: null, differs: true }))]
}
