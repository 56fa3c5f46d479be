import { z } from 'zod'
import { clearingLimit } from './limits'
import { requireAmounts, requirePositive } from '../error'
import { bandMeets, leastSquares, studentT80 } from './leastSquares'

/** How many rolls a litre are left, with the interval that goes with it. */
export const forecast = z.object({ rollsPerLitreLeft: z.number(), low: z.number().nullable(), high: z.number().nullable() })
export type Forecast = z.output<typeof forecast>

/** Where a straight fit meets a level, counted from the last reading, with the 80 % prediction band's crossings around it. Null where it never will. */
function crossing(points: { x: number; y: number }[], level: number, towards: 'up' | 'down'): Forecast | null {
  const fit = leastSquares(points)
  if (!fit || (towards === 'up' ? fit.slope <= 0 : fit.slope >= 0)) return null
  const last = Math.max(...points.map((point) => point.x))
  const left = Math.max(0, (level - fit.intercept) / fit.slope - last)
  if (fit.n < 3) return { rollsPerLitreLeft: left, low: null, high: null }
  const { ahead, behind } = bandMeets(fit, studentT80(fit.n - 2), level, last)
  return { rollsPerLitreLeft: left, low: ahead - last, high: behind === null ? null : Math.max(0, behind - last) }
}

/**
 * Rolls a litre until the clearing time is twice the freshest reading's: least squares of ln seconds over all readings, low and high where the
 * 80 % prediction band crosses. Null below two readings or at a flat or falling trend; low and high null with two, high null if it never crosses.
 * @example
 * forecastClearing([{ rollsPerLitre: 0, seconds: 30 }, { rollsPerLitre: 5, seconds: 42.42640687119285 }]) // → { rollsPerLitreLeft: 5, low: null, high: null }
 */
export function forecastClearing(readings: { rollsPerLitre: number; seconds: number }[]): Forecast | null {
  for (const { rollsPerLitre, seconds } of readings) {
    requireAmounts({ 'The rolls a litre': rollsPerLitre })
    requirePositive({ 'A clearing time': seconds })
  }
  const freshest = readings.reduce<(typeof readings)[number] | null>(
    (best, one) => (best === null || one.rollsPerLitre < best.rollsPerLitre ? one : best),
    null,
  )
  if (!freshest || readings.length < 2) return null
  return crossing(
    readings.map((one) => ({ x: one.rollsPerLitre, y: Math.log(one.seconds) })),
    Math.log(clearingLimit.retire * freshest.seconds),
    'up',
  )
}

/**
 * Whether readings rise by more than their own scatter: with three or more, the rise of the fit over them is more than the 80 % band of a single reading
 * about it. With two nobody knows the scatter.
 * @example
 * isTrend([{ rollsPerLitre: 0, seconds: 30 }, { rollsPerLitre: 5, seconds: 40 }]) // → true
 */
export function isTrend(readings: { rollsPerLitre: number; seconds: number }[]): boolean {
  const fit = leastSquares(readings.map((one) => ({ x: one.rollsPerLitre, y: Math.log(one.seconds) })))
  if (!fit || fit.slope <= 0) return false
  if (fit.n < 3) return true
  const uses = readings.map((one) => one.rollsPerLitre)
  return fit.slope * (Math.max(...uses) - Math.min(...uses)) > studentT80(fit.n - 2) * fit.residual
}

/**
 * The same on a straight scale, for density, pH and silver: rolls a litre until the reading meets `limit`, which lies in the direction `towards`.
 * @example
 * forecastReading([{ rollsPerLitre: 0, value: 1.2 }, { rollsPerLitre: 6, value: 1.05 }], 0.9, 'down')?.rollsPerLitreLeft // → 6
 */
export function forecastReading(
  readings: { rollsPerLitre: number; value: number }[],
  limit: number,
  towards: 'up' | 'down',
): Forecast | null {
  for (const { rollsPerLitre, value } of readings) requireAmounts({ 'The rolls a litre': rollsPerLitre, 'A reading': value })
  return crossing(
    readings.map((one) => ({ x: one.rollsPerLitre, y: one.value })),
    limit,
    towards,
  )
}
