/** How amounts are written on screens. These are the only functions of core that round; their results are for reading, never for reckoning. */
export type Units = 'metric' | 'us'

const trim = (value: number, digits: number): string => {
  const text = value.toFixed(digits)
  return Number(text) === 0 ? text.replace('-', '') : text
}

/** Grams with the digits a bench scale shows: 0.25 g, 6.3 g, 220.0 g, 1250 g. */
export function showMass(grams: number, units: Units = 'metric'): string {
  if (units === 'us') {
    const ounces = grams / 28.3495
    return ounces < 0.1 ? `${trim(grams / 0.0647989, 1)} grains` : `${trim(ounces, ounces < 10 ? 3 : 2)} oz`
  }
  const size = Math.abs(grams)
  return `${trim(grams, size < 1 ? 3 : size < 10 ? 2 : size < 1000 ? 1 : 0)} g`
}

/** Millilitres below one litre, litres from there: 37.5 ml, 620 ml, 2.50 L. */
export function showVolume(ml: number, units: Units = 'metric'): string {
  if (units === 'us') {
    const ounces = ml / 29.5735
    return ounces < 128 ? `${trim(ounces, ounces < 10 ? 2 : 1)} fl oz` : `${trim(ml / 3785.41, 2)} gal`
  }
  const size = Math.abs(ml)
  return size < 1000 ? `${trim(ml, size < 100 && Math.abs(ml - Math.round(ml)) > 0.04 ? 1 : 0)} ml` : `${trim(ml / 1000, 2)} L`
}

/** One decimal: 20.1 °C or 68.2 °F. */
export const showTemperature = (celsius: number, units: Units = 'metric'): string =>
  units === 'us' ? `${trim((celsius * 9) / 5 + 32, 1)} °F` : `${trim(celsius, 1)} °C`

/** Minutes and seconds, hours from one hour: 9:30, 1:02:00; to the nearest second, or to the nearest `step` seconds. */
export function showTime(seconds: number, step = 1): string {
  const whole = Math.round(Math.abs(seconds) / step) * step
  const h = Math.floor(whole / 3600)
  const m = Math.floor((whole % 3600) / 60)
  const s = String(whole % 60).padStart(2, '0')
  const sign = seconds < 0 && whole > 0 ? '−' : ''
  return h > 0 ? `${sign}${h}:${String(m).padStart(2, '0')}:${s}` : `${sign}${m}:${s}`
}

/** '1+4'; nothing added reads 'stock'. */
export const showParts = (parts: number[] | null | undefined): string => (parts && parts.length > 1 ? parts.join('+') : 'stock')
