import type { DecimalSign } from './number'
import type { QuantityKind } from './units'

export type Units = 'metric' | 'us'

/** How one person reads and writes amounts. */
export interface Manner {
  units: Units
  decimal: DecimalSign
}

export const usualManner: Manner = { units: 'metric', decimal: 'point' }

/** The manner meant by a system of units alone, or by a whole manner. */
export const mannerOf = (manner: Units | Manner): Manner => (typeof manner === 'string' ? { ...usualManner, units: manner } : manner)

/**
 * A finished figure with the person's decimal sign: 2.5 → 2,5.
 * @example
 * withSign('2.5', { decimal: 'comma' }) // → '2,5'
 */
export const withSign = (figure: string, { decimal }: Manner): string => (decimal === 'comma' ? figure.replace('.', ',') : figure)

/** Sizes of the units in which amounts are shown, in g and ml. */
export const ounceG = 28.3495
export const grainG = 0.0647989
export const fluidOunceMl = 29.5735
export const gallonMl = 3785.41

/**
 * The unit that stands beside a field holding `value` (g, ml, °C; null while it is empty): the one in which that value is shown,
 * so that a bare number typed over it means the same unit. Times have none, since 9.5 is minutes to one and seconds to another.
 * @example
 * bareUnit('temperature', 20, 'us') // → '°F'
 */
export function bareUnit(kind: QuantityKind, value: number | null, units: Units): string {
  const size = Math.abs(value ?? 0)
  if (kind === 'mass') return units === 'metric' ? 'g' : value !== null && value > 0 && size < 0.1 * ounceG ? 'grains' : 'oz'
  if (kind === 'volume') {
    if (units === 'metric') return size < 1000 ? 'ml' : 'L'
    return size < 128 * fluidOunceMl ? 'fl oz' : 'gal'
  }
  return kind === 'temperature' ? (units === 'metric' ? '°C' : '°F') : ''
}
