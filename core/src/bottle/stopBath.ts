import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId } from '../chemical/chemical'
import { perLitre } from '../formula/perLitre'
import { DomainError } from '../error'
import type { Formula } from '../formula/formula'
import { estimatePh } from '../ph/estimatePh'
import { remembered } from '../remembered'

/** L of developer one roll equivalent carries in. Rounded literature value. */
const carriedL = 0.02
/** g/L of the developers that usually come before it: a borax film developer, a carbonate print developer 1+2. Rounded literature values. */
const usualDeveloper = {
  film: { metol: 2, hydroquinone: 5, 'sodium-sulfite': 100, 'borax-decahydrate': 2 },
  paper: { metol: 1, hydroquinone: 4, 'sodium-sulfite': 15, 'sodium-carbonate': 23 },
}
/** mol/L of acid such a developer takes up on its way to pH 5.5. Rounded literature values. */
const uptake = { film: 0.76, paper: 0.5 }
/** mol of acid in a mol of each product */
const protons: Record<string, number> = {
  'acetic-acid-glacial': 1,
  'acetic-acid-80': 1,
  'acetic-acid-60': 1,
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

type Grams = Partial<Record<ChemicalId, number>>
const acidOf = (grams: Grams, catalogue: Catalogue): number =>
  Object.entries(grams).reduce((sum, [id, g = 0]) => {
    const chemical = catalogue[id]
    return sum + ((protons[id] ?? 0) * g * (chemical?.content ?? 1)) / (chemical?.molarMass ?? Infinity)
  }, 0)

/** A litre of bath with so many litres of developer in it, with everything that is in it; g/L. */
function mixed(bath: Grams, share: number, developerL: number, paper: number): Grams {
  const sum: Record<string, number> = {}
  const add = (grams: Grams, litres: number) => {
    for (const [id, g = 0] of Object.entries(grams)) sum[id] = (sum[id] ?? 0) + (g * litres) / (1 + developerL)
  }
  add(bath, share)
  add(usualDeveloper.film, developerL * (1 - paper))
  add(usualDeveloper.paper, developerL * paper)
  return sum
}

/**
 * What so many rolls a litre have done to a stop bath at its share of the formula's strength; null where its acid is not known. `paper` is the share of
 * them that was paper. The developer is mixed in whole, so that the pH never passes the developer's own.
 * @example
 * stopAfter(stopBath, 1, { rollsPerL: 5, paper: 0 }) !== null // → true
 */
export function stopAfter(
  formula: Formula,
  share: number,
  load: { rollsPerL: number; paper: number },
  catalogue: Catalogue = builtIn,
): StopState | null {
  const depends = ['after', formula.finalMl, formula.additions, share, load.rollsPerL, load.paper]
  return remembered(catalogue, depends, () => afterLoad(formula, share, load, catalogue))
}

function afterLoad(formula: Formula, share: number, load: { rollsPerL: number; paper: number }, catalogue: Catalogue): StopState | null {
  const bath = perLitre(formula, catalogue)
  const acid = acidOf(bath, catalogue) * share
  if (!(acid > 0)) return null
  const developerL = load.rollsPerL * carriedL
  const taken = developerL * (uptake.film * (1 - load.paper) + uptake.paper * load.paper)
  try {
    const { ph } = estimatePh(mixed(bath, share, developerL, load.paper), {}, catalogue)
    return { acidUsed: Math.min(1, taken / acid), ph }
  } catch (error) {
    if (error instanceof DomainError) return null
    throw error
  }
}

/** rolls a litre above which no stop bath is looked for */
const mostRolls = 400

/**
 * Rolls a litre at which a fresh stop bath reaches pH 5.2 with its usual developer; null where its acid is not known.
 * @example
 * Math.round(stopCapacity(stopBath, 0)) // → 10
 */
export function stopCapacity(formula: Formula, paper: number, catalogue: Catalogue = builtIn): number | null {
  return remembered(catalogue, ['capacity', formula.finalMl, formula.additions, paper], () => capacityOf(formula, paper, catalogue))
}

function capacityOf(formula: Formula, paper: number, catalogue: Catalogue): number | null {
  const phAt = (rollsPerL: number) => stopAfter(formula, 1, { rollsPerL, paper }, catalogue)?.ph ?? null
  const fresh = phAt(0)
  if (fresh === null) return null
  if (fresh >= stopEndsPh) return 0
  let [low, high] = [0, mostRolls]
  if ((phAt(high) ?? 14) < stopEndsPh) return mostRolls
  while (high - low > 0.01) {
    const middle = (low + high) / 2
    if ((phAt(middle) ?? 14) < stopEndsPh) low = middle
    else high = middle
  }
  return low
}
