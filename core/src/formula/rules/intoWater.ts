import { is, isAny, type Line } from '../lines'
import { finding, type Rule } from './rule'

/** J/g·K of water, and the share of it a salt solution has. Rounded literature values. */
const heatCapacity = 4.18 * 0.93

/** °C by which an addition warms (or, below 0, cools) the water it goes into; 0 where its heat of solution is unknown. */
function warming(line: Line, waterG: number): number {
  const { heatOfSolution, molarMass, content } = line.chemical
  if (heatOfSolution === null || molarMass === null) return 0
  return -(((line.grams * (content ?? 1)) / molarMass) * heatOfSolution * 1000) / ((waterG + line.grams) * heatCapacity)
}

/** mix-8: acid and hydroxide go into water, never water onto them; cold water, small portions; stop over 50 °C. */
export const intoWater: Rule = (formula, lines) => {
  const caustic = lines.filter((line) => isAny(line, 'hydroxide', 'strong-acid') && !line.dissolved)
  return caustic.flatMap((line) => {
    const earlierLiquid = formula.startMl + lines.slice(0, line.step).reduce((sum, earlier) => sum + earlier.liquidMl, 0)
    if (earlierLiquid <= 0)
      return [
        finding(
          'mix-8',
          'error',
          `${line.chemical.name} stands first without water: it goes into water, never water onto it. Give a starting volume.`,
          line.step,
        ),
      ]
    const rise = warming(line, earlierLiquid)
    const reached = line.celsius + rise
    if (rise >= 1 && reached > 50)
      return [
        finding(
          'mix-8',
          'warning',
          `${line.chemical.name} takes the water from ${line.celsius} to about ${Math.round(reached)} °C: use cold water, small portions, stir, and stop while it is over 50 °C.`,
          line.step,
        ),
      ]
    if (is(line, 'hydroxide') && line.gramsPerLitre >= 5 && line.celsius > 30)
      return [
        finding(
          'mix-8',
          'warning',
          `${line.chemical.name} goes into cold water in small portions, not into water at ${line.celsius} °C.`,
          line.step,
        ),
      ]
    return []
  })
}
