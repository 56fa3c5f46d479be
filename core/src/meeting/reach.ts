import type { Catalogue, Chemical, Nature } from '../chemical/chemical'
import { solveChargeBalance } from '../ph/chargeBalance'
import { solutionOf } from '../ph/estimatePh'
import { hydroxide, metal, strongAcid, strongAlkali } from './kinds'

export type Form = 'solid' | 'concentrated' | 'solution'

/** Something that goes in, in its place in the order. */
export interface Part {
  chemical: Chemical
  /** g of the product in a litre of the whole; undefined where nobody knows */
  gramsPerLitre: number | undefined
  form: Form
}

/** Lowest and highest pH that may be reached. */
export interface Reach {
  low: number
  high: number
}

const mildlyAcid: Nature[] = ['weak-acid', 'acid-salt', 'metal-salt', 'alum']

/**
 * pH a chemical is taken to bring where the solver cannot say: a strong or concentrated acid; a weak one, an acid salt or a metal salt that hydrolyses;
 * hydroxide; carbonate or phosphate; anything else.
 */
function usualPh(chemical: Chemical): number {
  if (strongAcid.holds(chemical)) return 2
  if (chemical.natures.some((nature) => mildlyAcid.includes(nature))) return 4
  if (hydroxide.holds(chemical)) return 13
  return strongAlkali.holds(chemical) ? 11 : 7
}

const takesPart = ({ chemical }: Part): boolean => !metal.holds(chemical)
const isKnown = (part: Part): boolean => part.gramsPerLitre !== undefined && part.form !== 'solid'
const hasData = ({ chemical }: Part): boolean =>
  chemical.inWater !== undefined && chemical.inWater !== 'trace' && chemical.molarMass !== null

/**
 * The pH that some parts may reach together: solved where amounts and data are known; what has no data brings its usual pH, and of what nobody
 * knows how much there is, any amount is assumed. Nothing in the vessel is pH 7.
 */
export function reachOf(parts: Part[], catalogue: Catalogue): Reach {
  const here = parts.filter(takesPart).filter((part) => (part.gramsPerLitre ?? 1) > 0)
  const solved = here.filter((part) => isKnown(part) && hasData(part))
  const reach: Reach = { low: 7, high: 7 }
  if (solved.length > 0) {
    const grams: Record<string, number> = {}
    for (const { chemical, gramsPerLitre = 0 } of solved) grams[chemical.id] = (grams[chemical.id] ?? 0) + gramsPerLitre
    const { ph } = solveChargeBalance(solutionOf(grams, catalogue).solution)
    reach.low = ph
    reach.high = ph
  }
  for (const part of here.filter((one) => !solved.includes(one))) {
    const ph = usualPh(part.chemical)
    // a neutral stranger in known amount leaves the pH where the others put it
    if (ph === 7 && isKnown(part)) continue
    reach.low = Math.min(reach.low, ph)
    reach.high = Math.max(reach.high, ph)
  }
  return reach
}
