import { fluidOunceMl, gallonMl, grainG, mannerOf, ounceG, withSign, type Manner, type Units } from './manner'

/* How amounts are written on screens. These are the only functions of core that round; their results are for reading, never for reckoning. */

const trim = (value: number, digits: number): string => {
  const text = value.toFixed(digits)
  return Number(text) === 0 ? text.replace('-', '') : text
}

/**
 * Grams with the digits a bench scale shows: 0.250 g, 6.30 g, 220.0 g, 1250 g; or 15.4 grains, 1.000 oz.
 * @example
 * showMass(2.5) // → '2.50 g'
 * showMass(1250) // → '1250 g'
 */
export function showMass(grams: number, manner: Units | Manner = 'metric'): string {
  const how = mannerOf(manner)
  const size = Math.abs(grams)
  if (how.units === 'metric') return withSign(`${trim(grams, size < 1 ? 3 : size < 10 ? 2 : size < 1000 ? 1 : 0)} g`, how)
  const ounces = grams / ounceG
  if (size < 0.1 * ounceG && size > 0) return withSign(`${trim(grams / grainG, 1)} grains`, how)
  return withSign(`${trim(ounces, Math.abs(ounces) < 10 ? 3 : 2)} oz`, how)
}

/**
 * Millilitres below one litre, litres from there: 37.5 ml, 620 ml, 2.50 L; or 16.0 fl oz, 1.00 gal.
 * @example
 * showVolume(750) // → '750 ml'
 * showVolume(2500) // → '2.50 L'
 */
export function showVolume(ml: number, manner: Units | Manner = 'metric'): string {
  const how = mannerOf(manner)
  const size = Math.abs(ml)
  if (how.units === 'us') {
    const ounces = ml / fluidOunceMl
    return withSign(size < gallonMl ? `${trim(ounces, Math.abs(ounces) < 10 ? 2 : 1)} fl oz` : `${trim(ml / gallonMl, 2)} gal`, how)
  }
  if (size >= 1000) return withSign(`${trim(ml / 1000, 2)} L`, how)
  return withSign(`${trim(ml, size < 100 && Math.abs(ml - Math.round(ml)) > 0.04 ? 1 : 0)} ml`, how)
}

/**
 * One decimal: 20.1 °C or 68.2 °F.
 * @example
 * showTemperature(20) // → '20.0 °C'
 * showTemperature(20, 'us') // → '68.0 °F'
 */
export function showTemperature(celsius: number, manner: Units | Manner = 'metric'): string {
  const how = mannerOf(manner)
  return withSign(how.units === 'us' ? `${trim((celsius * 9) / 5 + 32, 1)} °F` : `${trim(celsius, 1)} °C`, how)
}

/**
 * Degrees between two temperatures, in K: 1.5 °C or 2.7 °F.
 * @example
 * showDegrees(10) // → '10.0 °C'
 * showDegrees(10, 'us') // → '18.0 °F'
 */
export function showDegrees(kelvin: number, manner: Units | Manner = 'metric'): string {
  const how = mannerOf(manner)
  return withSign(how.units === 'us' ? `${trim((kelvin * 9) / 5, 1)} °F` : `${trim(kelvin, 1)} °C`, how)
}

/**
 * What is dissolved, from g/L: 2.5 g/L or 0.334 oz/gal.
 * @example
 * showConcentration(100) // → '100 g/L'
 */
export function showConcentration(gramsPerLitre: number, manner: Units | Manner = 'metric'): string {
  const how = mannerOf(manner)
  if (how.units === 'us') return `${showMass((gramsPerLitre * gallonMl) / 1000, how)}/gal`
  return withSign(`${trim(gramsPerLitre, gramsPerLitre < 10 ? 1 : 0)} g/L`, how)
}

/**
 * Minutes and seconds, hours from one hour: 9:30, 1:02:00; to the nearest second, or to the nearest `step` seconds.
 * @example
 * showTime(570) // → '9:30'
 */
export function showTime(seconds: number, step = 1): string {
  const whole = Math.round(Math.abs(seconds) / step) * step
  const h = Math.floor(whole / 3600)
  const m = Math.floor((whole % 3600) / 60)
  const s = String(whole % 60).padStart(2, '0')
  const sign = seconds < 0 && whole > 0 ? '−' : ''
  return h > 0 ? `${sign}${h}:${String(m).padStart(2, '0')}:${s}` : `${sign}${m}:${s}`
}

/**
 * '1+4'; nothing added reads 'stock'.
 * @example
 * showParts([1, 4]) // → '1+4'
 * showParts(null) // → 'stock'
 */
export const showParts = (parts: number[] | null | undefined): string => (parts && parts.length > 1 ? parts.join('+') : 'stock')
