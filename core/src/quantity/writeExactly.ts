import { bareUnit, fluidOunceMl, gallonMl, grainG, ounceG, withSign, type Manner } from './manner'
import { parseQuantity } from './parseQuantity'
import type { QuantityKind } from './units'

const sizes: Record<string, number> = { g: 1, grains: grainG, oz: ounceG, ml: 1, L: 1000, 'fl oz': fluidOunceMl, gal: gallonMl }
/** the fourth decimal of a gram, a millilitre or a degree is the last that is kept */
const kept = (value: number): number => Number(value.toFixed(4))

/**
 * Reads an amount in a person's manner to the digits that are kept; codes as `parseQuantity`.
 * @example
 * readKept('1.5', 'mass', { units: 'metric', decimal: 'point' }) // → 1.5
 */
export const readKept = (text: string, kind: QuantityKind, { units, decimal }: Manner): number =>
  kept(parseQuantity(text, kind, { bare: bareUnit(kind, null, units) || undefined, decimal }))

/**
 * An amount (g, ml or °C) with the fewest digits that are read back as the very same: what is opened and kept unchanged does not change.
 * @example
 * writeExactly(2.5, 'mass', { units: 'metric', decimal: 'comma' }) // → '2,5 g'
 */
export function writeExactly(value: number, kind: Exclude<QuantityKind, 'time'>, manner: Manner): string {
  const unit = bareUnit(kind, value, manner.units)
  const inUnit = kind === 'temperature' ? (unit === '°F' ? (value * 9) / 5 + 32 : value) : value / (sizes[unit] ?? 1)
  for (let digits = 0; digits <= 9; digits++) {
    const text = `${withSign(String(Number(inUnit.toFixed(digits))), manner)} ${unit}`
    if (readKept(text, kind, manner) === kept(value)) return text
  }
  return `${withSign(inUnit.toFixed(9), manner)} ${unit}`
}
