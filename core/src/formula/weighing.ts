import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Chemical } from '../chemical/chemical'
import { percentSolutionVolume } from '../dilution/percentSolutionVolume'
import type { Finding } from '../finding'
import { showMass, showVolume } from '../quantity/format'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { minimumWeighable, weighingTolerance } from './minimumWeighable'

/** share of the batch that may come as stock solution */
const mostStock = 0.12

/** A handy strength of stock solution that stays well dissolved at room temperature, in % w/v. */
function stockPercent(chemical: Chemical): number {
  const soluble = chemical.solubility.find((point) => point.celsius === 20)?.gPer100Ml ?? 1
  return [10, 5, 2].find((percent) => percent <= 0.8 * soluble) ?? 1
}

/** Developing agents oxidise in water within days; a stock solution of one is kept in glycol or not at all. */
const keepsDissolved = (chemical: Chemical): boolean => !chemical.natures.includes('developing-agent') || chemical.keepsInGlycol === true

/** Findings for lines drawn from a stock solution that does not keep. */
const spoiltStock = (formula: Formula, catalogue: Catalogue): Finding[] =>
  linesOf(formula, catalogue)
    .filter((line) => line.addition.percent !== undefined && !keepsDissolved(line.chemical))
    .map((line) => ({
      rule: 'scale-2',
      severity: 'warning' as const,
      step: line.step,
      message: `${line.chemical.name} oxidises in water: a stock solution of it is good for a day at best. Weigh it, mix more at once, or take a finer scale.`,
    }))

/**
 * Findings for amounts too small for the scale, each with the volume of a stock solution that holds it. `readabilityG` is the scale's last digit in g.
 * @example
 * checkWeighing(scaleFormula(developer, 100), 0.1).length // → 3
 */
export function checkWeighing(formula: Formula, readabilityG: number, catalogue: Catalogue = builtIn): Finding[] {
  const small = linesOf(formula, catalogue)
    .filter((line) => line.addition.grams !== undefined && line.chemical.densityGPerMl === undefined)
    .flatMap((line) => {
      const tolerance = weighingTolerance(line.addition, line.chemical)
      const least = minimumWeighable(readabilityG, tolerance)
      if (line.grams === 0 || line.grams >= least) return []
      const percent = stockPercent(line.chemical)
      const millilitres = percentSolutionVolume(line.grams, percent)
      const bigger = `mix at least ${showVolume((formula.finalMl * least) / line.grams)}`
      // a stock solution is for small amounts: it must not become a good part of the water
      const drawn = millilitres <= mostStock * formula.finalMl && keepsDissolved(line.chemical)
      const ways = drawn
        ? `measure ${showVolume(millilitres)} of a ${percent} % stock solution${line.chemical.keepsInGlycol ? ' in propylene glycol' : ''} instead, or ${bigger}`
        : `${bigger}, or take a finer scale`
      return [
        {
          rule: 'scale-1',
          severity: 'warning' as const,
          step: line.step,
          message: `${showMass(line.grams)} of ${line.chemical.name} is less than this scale weighs to ${tolerance * 100} % (${showMass(least)}): ${ways}.`,
          ...(drawn
            ? {
                repair: {
                  kind: 'stock-solution' as const,
                  step: line.step,
                  percent,
                  millilitres,
                  ...(line.chemical.keepsInGlycol ? { inGlycol: true } : {}),
                },
              }
            : {}),
        },
      ]
    })
  return [...small, ...spoiltStock(formula, catalogue)]
}
