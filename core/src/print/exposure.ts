import { requirePositive } from '../error'
import type { Finding } from '../finding'

/** log10 of the factor of one stop */
export const logPerStop = Math.log10(2)

/**
 * Stops from one exposure to another: s = log2(t2/t1).
 * @throws DomainError 'out-of-range'
 * @example
 * stopsBetween(10, 12) // → 0.26303
 */
export function stopsBetween(fromS: number, toS: number): number {
  requirePositive({ 'An exposure': fromS, 'Another exposure': toS })
  return Math.log2(toS / fromS)
}

/**
 * s of an exposure so many stops from another: t2 = t1·2^s.
 * @throws DomainError 'out-of-range'
 * @example
 * exposedBy(10, 1 / 3) // → 12.599
 */
export function exposedBy(seconds: number, stops: number): number {
  requirePositive({ 'An exposure': seconds, 'Its factor': 2 ** stops })
  return seconds * 2 ** stops
}

/**
 * Percent that so many stops add: 100·(2^s − 1).
 * @example
 * percentOf(1 / 3) // → 25.992
 */
export const percentOf = (stops: number): number => 100 * (2 ** stops - 1)

/**
 * Stops of so many percent more, or less: log2(1 + p/100). What is changed by percent twice is not undone by the same percent.
 * @throws DomainError 'out-of-range' at −100 % and below
 * @example
 * stopsOfPercent(-20) // → -0.32193
 */
export function stopsOfPercent(percent: number): number {
  requirePositive({ 'What is left of an exposure': 1 + percent / 100 })
  return Math.log2(1 + percent / 100)
}

/** An exposure in its three measures: s, stops against the base, percent of it. */
export interface Measures {
  seconds: number
  stops: number
  percent: number
}

/**
 * An exposure in its three measures against a base, both in s.
 * @throws DomainError 'out-of-range'
 * @example
 * measuresOf(20, 16) // → { seconds: 20, stops: 0.32193, percent: 25 }
 */
export function measuresOf(seconds: number, baseS: number): Measures {
  const stops = stopsBetween(baseS, seconds)
  return { seconds, stops, percent: percentOf(stops) }
}

/** s within which an exposure is easily given, and outside which it should not be. Rounded guidance values. */
export const printableS = { short: 5, easyFrom: 8, easyTo: 40, long: 60 }

/**
 * What is to be said of the length of an exposure (s): too short for the lamp and for dodging, or so long that paper loses speed and the negative pops.
 * @example
 * exposureAdvice(4).map((one) => one.rule) // → ['print-short']
 */
export function exposureAdvice(seconds: number): Finding[] {
  requirePositive({ 'An exposure': seconds })
  const { short, easyFrom, easyTo, long } = printableS
  const between = `${easyFrom} to ${easyTo} s are easily printed.`
  if (seconds < short)
    return [
      {
        ...{ rule: 'print-short', severity: 'advice' },
        message: `Under ${short} s the lamp’s lag counts and nothing can be dodged: stop the lens down. ${between}`,
      },
    ]
  if (seconds > long)
    return [
      {
        ...{ rule: 'print-long', severity: 'advice' },
        message: `Over ${long} s paper loses speed and the negative may pop: open the lens. ${between}`,
      },
    ]
  return []
}
