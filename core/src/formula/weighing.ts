import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue } from '../chemical/chemical'
import { percentSolutionVolume } from '../dilution/percentSolutionVolume'
import type { Finding } from '../finding'
import { showMass, showVolume } from '../quantity/format'
import type { Formula } from './formula'
import { linesOf } from './lines'
import { minimumWeighable, weighingTolerance } from './minimumWeighable'

/** Findings for amounts too small for the scale, each with the volume of a stock solution that holds it. `readabilityG` is the scale's last digit in g. */
export function checkWeighing(formula: Formula, readabilityG: number, catalogue: Catalogue = builtIn): Finding[] {
  return linesOf(formula, catalogue)
    .filter((line) => line.addition.grams !== undefined && line.chemical.densityGPerMl === undefined)
    .flatMap((line) => {
      const tolerance = weighingTolerance(line.addition, line.chemical)
      const least = minimumWeighable(readabilityG, tolerance)
      if (line.grams === 0 || line.grams >= least) return []
      const percent = (line.chemical.solubility.find((point) => point.celsius === 20)?.gPer100Ml ?? 0) > 20 ? 10 : 1
      const millilitres = percentSolutionVolume(line.grams, percent)
      const drawn = showVolume(millilitres)
      return [
        {
          rule: 'scale-1',
          severity: 'warning' as const,
          step: line.step,
          message: `${showMass(line.grams)} of ${line.chemical.name} is less than this scale weighs to ${tolerance * 100} % (${showMass(least)}): measure ${drawn} of a ${percent} % stock solution instead, or mix a bigger batch.`,
          repair: { kind: 'stock-solution' as const, step: line.step, percent, millilitres },
        },
      ]
    })
}
