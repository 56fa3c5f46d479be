import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { perLitre } from '../formula/perLitre'
import { DomainError } from '../error'
import type { Formula } from '../formula/formula'
import { estimatePh } from '../ph/estimatePh'

/** L of developer one roll equivalent carries in, and mol/L of acid that takes up on its way to pH 5.5: a borax film developer, a print developer 1+2. Rounded literature values. */
const carriedL = 0.02
const uptake = { film: 0.76, paper: 0.5 }
/** g of hydroxide per mol: the alkali carried in, as the pH solver takes it */
const hydroxideG = 40
/** mol of acid in a mol of each product */
const protons: Record<string, number> = {
  'acetic-acid-glacial': 1,
  'acetic-acid-28': 1,
  'citric-acid': 3,
  'citric-acid-monohydrate': 3,
}

export interface StopState {
  /** share of the acid the developer carried in has taken up */
  acidUsed: number
  ph: number
}

/** From here the indicator begins to turn: replace it. */
export const stopEndsPh = 5.2

/** What so many rolls a litre have done to a stop bath at its share of the formula's strength; null where its acid is not known. `paper` is the share of them that was paper. */
export function stopAfter(
  formula: Formula,
  share: number,
  load: { rollsPerL: number; paper: number },
  catalogue: Catalogue = builtIn,
): StopState | null {
  const grams = perLitre(formula, catalogue)
  const molar = Object.entries(grams).reduce((sum, [id, g]) => {
    const chemical = catalogue[id]
    return sum + ((protons[id] ?? 0) * g * (chemical?.content ?? 1)) / (chemical?.molarMass ?? Infinity)
  }, 0)
  const acid = molar * share
  if (!(acid > 0)) return null
  const taken = load.rollsPerL * carriedL * (uptake.film * (1 - load.paper) + uptake.paper * load.paper)
  try {
    const bath = Object.fromEntries(Object.entries(grams).map(([id, g]) => [id, g * share]))
    const { ph } = estimatePh({ ...bath, 'sodium-hydroxide': (bath['sodium-hydroxide'] ?? 0) + taken * hydroxideG }, catalogue)
    return { acidUsed: Math.min(1, taken / acid), ph }
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}
