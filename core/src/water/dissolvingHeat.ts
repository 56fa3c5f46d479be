import type { Chemical } from '../chemical/chemical'

/** J/g·K of water, and the share of it a salt solution has. Rounded literature values. */
const heatCapacity = 4.18 * 0.93

/**
 * °C by which so many g of a product warm (below 0: cool) the liquid they dissolve in: ΔT = −(m/M · ΔH · 1000) / ((liquid + m) · 4.18 · 0.93).
 * Null where its heat of solution is unknown. 10 g of sodium hydroxide in 100 ml: +26 °C.
 */
export function warmingBy(chemical: Chemical, grams: number, liquidG: number): number | null {
  const { heatOfSolution, molarMass, content = 1 } = chemical
  if (grams === 0) return 0
  if (heatOfSolution === null || molarMass === null) return null
  return -(((grams * content) / molarMass) * heatOfSolution * 1000) / ((liquidG + grams) * heatCapacity)
}
