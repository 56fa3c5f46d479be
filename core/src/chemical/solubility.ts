import { DomainError, requireAmounts, requireTemperatures } from '../error'
import type { Chemical } from './chemical'

/**
 * g of a chemical that 100 ml of water take up at °C; between two figures of the table ln s is linear in °C.
 * Outside the table it throws `no-data` and names the nearest figure.
 */
export function solubilityAt(chemical: Chemical, celsius: number): number {
  requireTemperatures({ 'The temperature': celsius })
  const points = chemical.solubility
  const exact = points.find((point) => point.celsius === celsius)
  if (exact) return exact.gPer100Ml
  const above = points.findIndex((point) => point.celsius > celsius)
  const [low, high] = [points[above - 1], points[above]]
  if (!low || !high) {
    const nearest = nearestPoint(chemical, celsius)
    throw new DomainError(
      'no-data',
      `There is no data at ${celsius} °C for ${chemical.name}${nearest ? `; at ${nearest.celsius} °C 100 ml of water take ${nearest.gPer100Ml} g` : ''}.`,
      [chemical.id],
    )
  }
  const share = (celsius - low.celsius) / (high.celsius - low.celsius)
  return Math.exp(Math.log(low.gPer100Ml) * (1 - share) + Math.log(high.gPer100Ml) * share)
}

/** The figure of the table nearest to °C. */
export const nearestPoint = (chemical: Chemical, celsius: number) =>
  [...chemical.solubility].sort((a, b) => Math.abs(a.celsius - celsius) - Math.abs(b.celsius - celsius))[0]

/**
 * g/L of saturated solution from g per 100 ml of water: about 10·s·ρ/(1 + s/100), its density ρ about 1 + 0.006·s. Rounded literature value.
 */
export function saturatedGramsPerLitre(gPer100Ml: number): number {
  requireAmounts({ 'The solubility': gPer100Ml })
  return (10 * gPer100Ml * (1 + 0.006 * gPer100Ml)) / (1 + gPer100Ml / 100)
}

/** °C below which so many g/L come out of solution, within the chemical's table; null where its figures do not reach that far. */
export function comesOutBelow(chemical: Chemical, gramsPerLitre: number): number | null {
  const points = chemical.solubility
  const limitOf = (celsius: number) => saturatedGramsPerLitre(solubilityAt(chemical, celsius))
  for (let i = 0; i + 1 < points.length; i++) {
    let low = points[i]?.celsius ?? 0
    let high = points[i + 1]?.celsius ?? 0
    if (limitOf(low) > gramsPerLitre || limitOf(high) < gramsPerLitre) continue
    while (high - low > 0.01) {
      const middle = (low + high) / 2
      if (limitOf(middle) < gramsPerLitre) low = middle
      else high = middle
    }
    return high
  }
  return null
}
