import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { DomainError, requireAmounts } from '../error'
import { linesOf } from '../formula/lines'
import type { Formula } from '../formula/formula'
import { fullShare } from './ageing'
import type { BottleFacts, BottleState } from './bottle'
import type { Keeping } from '../formula/use'

/** g of sodium sulfite a litre of air destroys: 0.28 g of oxygen at 20 °C, 2 SO3²⁻ + O2 → 2 SO4²⁻. Rounded literature value. */
const sulfitePerLitreOfAirG = 2.2
const sulfiteMass = 126.04

/**
 * Share of the sulfite in a bottle that the air above it destroys at each opening, at most 1. Volumes ml, sulfite g/L as anhydrous. No sulfite throws `no-sulfite`.
 * @example
 * sulfiteLostPerOpening({ headspaceMl: 500, liquidMl: 500, sulfiteGPerL: 100 }) // → 0.022
 */
export function sulfiteLostPerOpening(bottle: { headspaceMl: number; liquidMl: number; sulfiteGPerL: number }): number {
  const { headspaceMl, liquidMl, sulfiteGPerL } = bottle
  requireAmounts({ 'The air above it': headspaceMl, 'The liquid': liquidMl, 'The sulfite': sulfiteGPerL })
  if (sulfiteGPerL * liquidMl === 0) throw new DomainError('no-sulfite', 'There is no sulfite in it that air could use up.')
  return Math.min(1, (headspaceMl * sulfitePerLitreOfAirG) / (liquidMl * sulfiteGPerL))
}

/**
 * g/L of sulfite a formula holds, as anhydrous sodium sulfite; metabisulfites count as the two sulfites they give.
 * @example
 * sulfitePerLitre(developer) // → 100
 */
export function sulfitePerLitre(formula: Formula, catalogue: Catalogue = builtIn): number {
  return linesOf(formula, catalogue).reduce((sum, { chemical, gramsPerLitre }) => {
    // what is sold as bisulfite is metabisulfite, gram for gram: its units say so
    const sulfites = chemical.natures.includes('acid-sulfite')
      ? (chemical.units ?? 2)
      : chemical.natures.includes('sulfite') && chemical.molarMass !== null
        ? 1
        : 0
    return sum + (sulfites * gramsPerLitre * (chemical.content ?? 1) * sulfiteMass) / (chemical.molarMass ?? Infinity)
  }, 0)
}

/** Sizes of bottle a darkroom has about, ml. */
const sizes = [100, 250, 500, 1000, 2500]
/** Days it must gain, and the share of what it keeps now, before decanting is worth the trouble. */
const worthDays = 7
const worthShare = 0.15

export interface DecantAdvice {
  into: number[]
  daysLonger: number
  /** share of the sulfite lost at each opening as it is; null where it holds none */
  lostPerOpening: number | null
}

/**
 * Small bottles that would stand full, and how many days longer the rest keeps in them; null where it does not pay.
 * @example
 * decantAdvice(fixer.use.keeping, bottle, { ...acted.state, volumeMl: 500 }, 15)?.into // → [500]
 */
export function decantAdvice(
  keeping: Keeping,
  bottle: BottleFacts,
  state: Pick<BottleState, 'volumeMl' | 'aged' | 'used' | 'container' | 'remaining'>,
  sulfiteGPerL: number,
): DecantAdvice | null {
  const { volumeMl } = state
  const { fullDays, halfDays } = keeping
  if (bottle.parts !== null || bottle.retiredAt !== null || state.container !== 'bottle' || state.remaining <= 0) return null
  if (fullDays === null || halfDays === null || volumeMl >= fullShare * bottle.sizeMl || volumeMl < fullShare * 100) return null
  const daysLonger = state.remaining * (fullDays - halfDays)
  if (daysLonger < worthDays || daysLonger < worthShare * state.remaining * halfDays) return null
  const into = bottlesToFill(volumeMl, bottle.sizeMl)
  if (!into) return null
  const headspaceMl = bottle.sizeMl - volumeMl
  return {
    into,
    daysLonger,
    lostPerOpening: sulfiteGPerL > 0 ? sulfiteLostPerOpening({ headspaceMl, liquidMl: volumeMl, sulfiteGPerL }) : null,
  }
}

/**
 * The fewest bottles, at most four and each smaller than the one it stands in, that the liquid fills; null where none do. ml
 * @example
 * bottlesToFill(1500, 2500) // → [500, 1000]
 */
export function bottlesToFill(ml: number, standsIn: number): number[] | null {
  const smaller = sizes.filter((size) => size < standsIn)
  const fits = (set: number[]) => {
    const total = set.reduce((sum, size) => sum + size, 0)
    return total >= ml - 1e-6 && ml >= fullShare * total
  }
  const grow = (set: number[], least: number, count: number): number[] | null => {
    if (set.length === count) return fits(set) ? set : null
    for (const size of smaller.filter((one) => one >= least)) {
      const found = grow([...set, size], size, count)
      if (found) return found
    }
    return null
  }
  for (const count of [1, 2, 3, 4]) {
    const found = grow([], 0, count)
    if (found) return found
  }
  return null
}
