import type { Bleaching } from './bleachings'
import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { rollAreaCm2 } from '../dilution/rollEquivalents'
import type { FixerSalt } from '../proof/fixingTime'
import { fixables, type Fixable, type FormulaUse, type UsedFormula } from '../formula/use'

/** g of silver per m², and the share of it that goes into the bath. Rounded literature values. */
const film = { gPerM2: 5, share: 0.7 }
const colour = { gPerM2: 5, share: 1 }
const paper = { gPerM2: 1.5, share: 0.75 }

const areaM2 = rollAreaCm2 / 1e4
/** g of silver one roll equivalent leaves in the bath. */
export const silverPerRollG = {
  film: areaM2 * film.gPerM2 * film.share,
  colour: areaM2 * colour.gPerM2 * colour.share,
  paper: areaM2 * paper.gPerM2 * paper.share,
}

/**
 * Families whose bath takes up the silver.
 * @example
 * takesSilver('fixer') // → true
 */
export const takesSilver = (family: string): boolean => family === 'fixer' || family === 'bleach-fix' || family === 'monobath'

/**
 * g of silver a load leaves in a fixing bath: film and 8×10 paper in roll equivalents, of the film so much colour.
 * @example
 * silverG({ rolls: 10, colourRolls: 0, paper: 0 }) // → 1.806
 */
export const silverG = (load: { rolls: number; colourRolls: number; paper: number }): number =>
  (load.rolls - load.colourRolls) * silverPerRollG.film + load.colourRolls * silverPerRollG.colour + load.paper * silverPerRollG.paper

/** g/L a fixer may hold for what it fixes. Rounded guidance values: ammonium rapid fixer for film 6, plain 4, film that must keep 1.5; RC 2; fibre 1, to keep 0.5. */
export function silverLimit(formula: UsedFormula, position: 1 | 2, catalogue: Catalogue = builtIn): number {
  const { use } = formula
  if (use.school === 'two-bath')
    return use.fixes === undefined || use.fixes === 'film' ? filmLimit(formula, position === 2, catalogue) : position === 1 ? 2 : 0.5
  if (use.fixes === 'rc-paper') return 2
  if (use.fixes === 'fibre-paper') return use.longKeeping ? 0.5 : 1
  return filmLimit(formula, use.longKeeping ?? false, catalogue)
}

/** g/L a bath may hold for each material that might go in, whatever went in before. */
const materialLimits = (formula: UsedFormula, position: 1 | 2, catalogue: Catalogue): Record<Fixable, number> => ({
  film: filmLimit(formula, formula.use.longKeeping ?? false, catalogue),
  'rc-paper': 2,
  'fibre-paper': formula.use.longKeeping || position === 2 ? 0.5 : 1,
})
/** a count by area is no finer than this */
const byCount = 0.99

/**
 * What may no longer go into a bath, by all the silver that is in it from film and paper together: 11 black-and-white rolls a litre close a film fixer for
 * RC paper, 5.5 for fibre, while film may still go in.
 */
export function closedFor(formula: UsedFormula, position: 1 | 2, silverGPerL: number, catalogue: Catalogue = builtIn): Fixable[] {
  const limits = materialLimits(formula, position, catalogue)
  return fixables.filter((material) => silverGPerL >= byCount * limits[material])
}

/** Which salt a fixer fixes with; one whose recipe nobody knows is taken to be rapid. */
export function fixerSaltOf(formula: Pick<UsedFormula, 'additions'>, catalogue: Catalogue = builtIn): FixerSalt {
  const fixing = formula.additions.flatMap((line) => catalogue[line.chemical] ?? [])
  const plain =
    fixing.some((one) => one.natures.includes('thiosulfate')) &&
    !fixing.some((one) => one.natures.includes('thiosulfate') && one.natures.includes('ammonium'))
  return plain ? 'plain' : 'ammonium'
}

/** What a bleach bleaches with, by what is in it; null where nobody knows its recipe. */
export function bleachingOf(formula: Pick<UsedFormula, 'additions'>, catalogue: Catalogue = builtIn): Bleaching | null {
  if (formula.additions.length === 0) return null
  const natures = formula.additions.flatMap((line) => catalogue[line.chemical]?.natures ?? [])
  return natures.includes('permanganate') ? 'permanganate' : natures.includes('dichromate') ? 'dichromate' : 'other'
}

const filmLimit = (formula: UsedFormula, strict: boolean, catalogue: Catalogue): number =>
  strict ? 1.5 : fixerSaltOf(formula, catalogue) === 'plain' ? 4 : 6

/** Rolls of film a litre takes until its silver reaches the limit. */
export const rollsToSilver = (limitGPerL: number, use: FormulaUse): number =>
  limitGPerL / (use.fixes === undefined || use.fixes === 'film' ? silverPerRollG.film : silverPerRollG.paper)
