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

/** Findings for amounts too small for the scale, each with the volume of a stock solution that holds it. `readabilityG` is the scale's last digit in g. */
export function checkWeighing(formula: Formula, readabilityG: number, catalogue: Catalogue = builtIn): Finding[] {
  return linesOf(formula, catalogue)
    .filter((line) => line.addition.grams !== undefined && line.chemical.densityGPerMl === undefined)
    .flatMap((line) => {
      const tolerance = weighingTolerance(line.addition, line.chemical)
      const least = minimumWeighable(readabilityG, tolerance)
      if (line.grams === 0 || line.grams >= least) return []
      const percent = stockPercent(line.chemical)
      const millilitres = percentSolutionVolume(line.grams, percent)
      const bigger = `mix at least ${showVolume((formula.finalMl * least) / line.grams)}`
      // a stock solution is for small amounts: it must not become a good part of the water
      const drawn = millilitres <= mostStock * formula.finalMl
      const ways = drawn
        ? `measure ${showVolume(millilitres)} of a ${percent} % stock solution instead, or ${bigger}`
        : `${bigger}, or take a finer scale`
      return [
        {
          rule: 'scale-1',
          severity: 'warning' as const,
          step: line.step,
          message: `${showMass(line.grams)} of ${line.chemical.name} is less than this scale weighs to ${tolerance * 100} % (${showMass(least)}): ${ways}.`,
          ...(drawn ? { repair: { kind: 'stock-solution' as const, step: line.step, percent, millilitres } } : {}),
        },
      ]
    })
}
