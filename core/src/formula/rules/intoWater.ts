import { warmingBy } from '../../water/dissolvingHeat'
import { is, isAny } from '../lines'
import { finding, type Rule } from './rule'

/** °C from which acid in water boils and spatters where it goes in. Rounded literature value. */
const boilingOverC = 80

/** mix-8: acid and hydroxide go into water, never water onto them; cold water, small portions; stop over 50 °C. */
export const intoWater: Rule = (formula, lines) => {
  const caustic = lines.filter((line) => isAny(line, 'hydroxide', 'strong-acid', 'concentrated-acid') && !line.dissolved)
  return caustic.flatMap((line) => {
    const earlierLiquid = formula.startMl + lines.slice(0, line.step).reduce((sum, earlier) => sum + earlier.liquidMl, 0)
    if (earlierLiquid <= 0)
      return [
        finding(
          'mix-8',
          'error',
          `${line.chemical.name} stands first without water: it goes into water, never water onto it. Give a starting volume.`,
          line.step,
          { kind: 'start-volume', startMl: 0.75 * formula.finalMl },
        ),
      ]
    const rise = warmingBy(line.chemical, line.grams, earlierLiquid) ?? 0
    const cold = { kind: 'temperature' as const, step: line.step, celsius: 15 }
    const reached = line.celsius + rise
    if (is(line, 'concentrated-acid') && reached > boilingOverC)
      return [
        finding(
          'mix-8',
          'error',
          `${line.chemical.name} goes into too little water: it takes it from ${line.celsius} to about ${Math.round(reached)} °C, where it boils and spatters. Much cold water first, the acid slowly into it.`,
          line.step,
          { kind: 'start-volume', startMl: 0.75 * formula.finalMl },
        ),
      ]
    if (rise >= 1 && reached > 50)
      return [
        finding(
          'mix-8',
          'warning',
          `${line.chemical.name} takes the water from ${line.celsius} to about ${Math.round(reached)} °C: use cold water, small portions, stir, and stop while it is over 50 °C.`,
          line.step,
          line.celsius > 15 ? cold : undefined,
        ),
      ]
    if (is(line, 'hydroxide') && line.gramsPerLitre >= 5 && line.celsius > 30)
      return [
        finding(
          'mix-8',
          'warning',
          `${line.chemical.name} goes into cold water in small portions, not into water at ${line.celsius} °C.`,
          line.step,
          cold,
        ),
      ]
    return []
  })
}
