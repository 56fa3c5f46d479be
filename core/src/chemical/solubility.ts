import { DomainError, requireAmounts, requireTemperatures } from '../error'
import type { Chemical } from './chemical'

/**
 * g of a chemical that 100 ml of water take up at °C; between two figures of the table ln s is linear in °C.
 * Outside the table it throws `no-data` and names the nearest figure.
 * @example
 * solubilityAt(catalogue['sodium-sulfite'], 20) // → 26
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

/** ml a g of a dissolved chemical takes up, where it was measured. Rounded literature values. */
const measuredMlPerG: Record<string, number> = {
  'sodium-sulfite': 0.19,
  'sodium-carbonate': 0.1,
  'potassium-thiocyanate': 0.57,
  'sodium-thiocyanate': 0.57,
  'ammonium-thiocyanate': 0.57,
  'sodium-thiosulfate-pentahydrate': 0.56,
  'citric-acid': 0.61,
  'citric-acid-monohydrate': 0.61,
  'sodium-acetate-trihydrate': 0.7,
  'sodium-carbonate-decahydrate': 0.65,
}
const hydrate = /(hydrate|\d-water)/
/** Apparent specific volume in ml/g: measured, else 0.60 for hydrates and organic substances, 0.30 for anhydrous salts and hydroxides. */
export function apparentMlPerG(chemical: Chemical): number {
  const organic = chemical.natures.some((nature) => nature === 'weak-acid' || nature === 'developing-agent' || nature === 'solvent')
  return measuredMlPerG[chemical.id] ?? (organic || hydrate.test(chemical.id) || hydrate.test(chemical.name) ? 0.6 : 0.3)
}

/**
 * g in a litre of saturated solution from g per 100 ml of water: 1000·s/(100 + v·s), v the apparent specific volume in ml/g. Rounded literature value.
 * Example: hypo crystals, 180 g per 100 ml of water, make 896 g/L.
 * @example
 * saturatedGramsPerLitre(26, 0.35) // → 238.313
 */
export function saturatedGramsPerLitre(gPer100Ml: number, mlPerG: number): number {
  requireAmounts({ 'The solubility': gPer100Ml, 'The specific volume': mlPerG })
  return (1000 * gPer100Ml) / (100 + mlPerG * gPer100Ml)
}

/** g/L at which a chemical is saturated at °C; outside its table it throws `no-data`. */
export const saturatedAt = (chemical: Chemical, celsius: number): number =>
  saturatedGramsPerLitre(solubilityAt(chemical, celsius), apparentMlPerG(chemical))

/**
 * °C below which so many g/L come out of solution, within the chemical's table; null where its figures do not reach that far.
 * @example
 * comesOutBelow(catalogue['sodium-sulfite'], 200) // → 11.4844
 */
export function comesOutBelow(chemical: Chemical, gramsPerLitre: number): number | null {
  const points = chemical.solubility
  const limitOf = (celsius: number) => saturatedAt(chemical, celsius)
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
