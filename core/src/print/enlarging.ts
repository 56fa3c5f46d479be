import { DomainError, requirePositive } from '../error'
import type { Finding } from '../finding'
import { stopsBetween } from './exposure'

/**
 * s at another enlargement of the same negative at the same marked stop: t2 = t1·((m2 + 1)/(m1 + 1))². The ratio of the areas alone is a common error. m is print side over
 * negative side.
 * @throws DomainError 'out-of-range'
 * @example
 * enlargedTime({ seconds: 10, fromM: 4, toM: 8 }) // → 32.4
 */
export function enlargedTime({ seconds, fromM, toM }: { seconds: number; fromM: number; toM: number }): number {
  requirePositive({ 'An exposure': seconds, 'An enlargement': fromM, 'Another enlargement': toM })
  return seconds * ((toM + 1) / (fromM + 1)) ** 2
}

/**
 * The stop a lens has at a mark: the nearest sixth of a stop, 2^(k/12), since 5.6 stands for 5.657 and 11 for 11.314.
 * @throws DomainError 'out-of-range' outside f/0.7 to f/128
 * @example
 * lensStop(11) // → 11.314
 */
export function lensStop(marked: number): number {
  if (!(marked >= 0.7 && marked <= 128)) throw new DomainError('out-of-range', `A lens stop is 0.7 to 128, not ${marked}.`)
  return 2 ** (Math.round(12 * Math.log2(marked)) / 12)
}

/**
 * s at another marked stop: t2 = t1·(N2/N1)², with the exact stops of the marks.
 * @throws DomainError 'out-of-range'
 * @example
 * stoppedTime({ seconds: 10, fromN: 8, toN: 11 }) // → 20
 */
export function stoppedTime({ seconds, fromN, toN }: { seconds: number; fromN: number; toN: number }): number {
  requirePositive({ 'An exposure': seconds })
  return seconds * (lensStop(toN) / lensStop(fromN)) ** 2
}

/**
 * s at another reading of a light meter on the easel: t2 = t1·lux1/lux2.
 * @throws DomainError 'out-of-range'
 * @example
 * meteredTime({ seconds: 10, fromLux: 4, toLux: 8 }) // → 5
 */
export function meteredTime({ seconds, fromLux, toLux }: { seconds: number; fromLux: number; toLux: number }): number {
  requirePositive({ 'An exposure': seconds, 'A reading': fromLux, 'Another reading': toLux })
  return (seconds * fromLux) / toLux
}

/**
 * mm from the negative to the paper: D = f·(2 + m + 1/m), a thin lens.
 * @throws DomainError 'out-of-range'
 * @example
 * columnMm({ focalMm: 50, m: 8 }) // → 506.25
 */
export function columnMm({ focalMm, m }: { focalMm: number; m: number }): number {
  requirePositive({ 'The focal length': focalMm, 'The enlargement': m })
  return focalMm * (2 + m + 1 / m)
}

/**
 * The enlargement at a distance of negative and paper, above 1 : 1; null where the lens cannot be so near.
 * @throws DomainError 'out-of-range'
 * @example
 * enlargementAt({ focalMm: 50, columnMm: 506.25 }) // → 8
 */
export function enlargementAt({ focalMm, columnMm: distanceMm }: { focalMm: number; columnMm: number }): number | null {
  requirePositive({ 'The focal length': focalMm, 'The distance': distanceMm })
  // m + 1/m = D/f − 2
  const sum = distanceMm / focalMm - 2
  return sum < 2 ? null : (sum + Math.sqrt(sum * sum - 4)) / 2
}

/** stops and s beyond which a worked-out exposure is only where a new strip begins. Rounded guidance values. */
const trusted = { stops: 2, seconds: 120 }

/**
 * What is to be said of an exposure that was worked out from another, both in s: too far from it, or too long, for anything but a new strip.
 * @example
 * workedOutAdvice(10, 45).map((one) => one.rule) // → ['print-new-strip']
 */
export function workedOutAdvice(fromS: number, toS: number): Finding[] {
  const far = Math.abs(stopsBetween(fromS, toS)) > trusted.stops
  if (!far && toS <= trusted.seconds) return []
  return [
    {
      ...{ rule: 'print-new-strip', severity: 'advice' },
      message: `${far ? `More than ${trusted.stops} stops from what was printed` : `Over ${trusted.seconds / 60} min`}: expose a new strip around it.`,
    },
  ]
}
