import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical, Nature } from '../chemical/chemical'
import { chemicalOf } from '../chemical/equivalentMass'
import { DomainError, requireAmounts, requirePositive, requireTemperatures } from '../error'
import type { Addition, Formula } from './formula'

/** An addition with what the rules ask of it worked out. */
export interface Line {
  step: number
  addition: Addition
  chemical: Chemical
  /** g of the product */
  grams: number
  gramsPerLitre: number
  /** ml of liquid it brings along; 0 for powders */
  liquidMl: number
  /** °C at which it goes in */
  celsius: number
  /** drawn from a percent solution, so already dissolved */
  dissolved: boolean
}

/**
 * g of the product in an addition: weighed, drawn as a percent solution, or measured as a liquid of known density.
 * @example
 * additionGrams({ chemical: 'potassium-bromide', millilitres: 5, percent: 10 }, catalogue['potassium-bromide']) // → 0.5
 */
export function additionGrams(addition: Addition, chemical: Chemical): number {
  const { grams, millilitres, percent } = addition
  if ((grams === undefined) === (millilitres === undefined))
    throw new DomainError('invalid-addition', `${chemical.name} needs either grams or millilitres, one of the two.`)
  requireAmounts({ [`The amount of ${chemical.name}`]: grams ?? millilitres ?? 0 })
  if (grams !== undefined) return grams
  if (percent !== undefined) {
    requirePositive({ [`The percentage of the ${chemical.name} solution`]: percent })
    return ((millilitres ?? 0) * percent) / 100
  }
  if (chemical.densityGPerMl === undefined)
    throw new DomainError(
      'invalid-addition',
      `${chemical.name} is a powder: give grams, or the percentage of the solution it is drawn from.`,
    )
  return (millilitres ?? 0) * chemical.densityGPerMl
}

/**
 * ml of liquid an addition brings along; 0 for powders.
 * @example
 * additionMl({ chemical: 'potassium-bromide', millilitres: 5, percent: 10 }, catalogue['potassium-bromide']) // → 5
 */
export const additionMl = (addition: Addition, chemical: Chemical): number =>
  addition.millilitres ?? (chemical.densityGPerMl === undefined ? 0 : (addition.grams ?? 0) / chemical.densityGPerMl)

/**
 * The formula's additions, worked out for the rules. Amounts that make no sense throw `out-of-range` or `invalid-addition`.
 * @example
 * linesOf(developer).map((line) => line.grams) // → [2, 100, 5, 2]
 */
export function linesOf(formula: Formula, catalogue: Catalogue = builtIn): Line[] {
  requirePositive({ 'The final volume': formula.finalMl })
  requireAmounts({ 'The starting volume': formula.startMl })
  requireTemperatures({ 'The mixing temperature': formula.mixC })
  return formula.additions.map((addition, step) => {
    const chemical = chemicalOf(addition.chemical, catalogue)
    const grams = additionGrams(addition, chemical)
    const celsius = addition.atC ?? formula.mixC
    requireTemperatures({ [`The temperature for ${chemical.name}`]: celsius })
    return {
      step,
      addition,
      chemical,
      grams,
      gramsPerLitre: (grams * 1000) / formula.finalMl,
      liquidMl: additionMl(addition, chemical),
      celsius,
      dissolved: addition.percent !== undefined,
    }
  })
}

export const is = (line: Line, nature: Nature): boolean => line.chemical.natures.includes(nature)
export const isAny = (line: Line, ...natures: Nature[]): boolean => natures.some((nature) => is(line, nature))

/** Whether a formula is made without water, in a glycol or in triethanolamine: the rules of water do not hold for it. */
export const isWaterFree = (formula: Formula, lines: Line[]): boolean =>
  formula.startMl === 0 && lines.some((line) => line.liquidMl > 0) && lines.every((line) => line.liquidMl === 0 || is(line, 'solvent'))
