import { DomainError, requirePositive, requireTemperatures } from '../error'

/**
 * s until a jug or bottle in a bath has come from one temperature to another, after Newton: T(t) = bath + (T0 − bath) · e^(−t/τ).
 * A temperature that is not between the jug's and the bath's throws `unreachable-temperature`.
 * @example
 * Math.round(timeToTemperature({ fromC: 30, bathC: 20, toC: 21, tauS: 600 })) // → 1382
 */
export function timeToTemperature({ fromC, bathC, toC, tauS }: { fromC: number; bathC: number; toC: number; tauS: number }): number {
  requireTemperatures({ 'The jug’s temperature': fromC, 'The bath’s temperature': bathC, 'The temperature wanted': toC })
  requirePositive({ 'The time constant': tauS })
  if (toC === fromC) return 0
  const share = (toC - bathC) / (fromC - bathC)
  if (!(share > 0 && share < 1))
    throw new DomainError(
      'unreachable-temperature',
      `A bath of ${bathC} °C never brings ${fromC} °C to ${toC} °C: set it beyond ${toC} °C.`,
    )
  return -tauS * Math.log(share)
}

/**
 * The time constant in s of a jug in a bath, fitted to two or more readings: the line of ln|T − bath| against time falls by 1/τ.
 * Readings that do not come nearer to the bath throw `no-data`.
 * @example
 * Math.round(fitTimeConstant([{ s: 0, c: 30 }, { s: 600, c: 25 }], 20)) // → 866
 */
export function fitTimeConstant(readings: { s: number; c: number }[], bathC: number): number {
  requireTemperatures({ 'The bath’s temperature': bathC, ...Object.fromEntries(readings.map(({ c }, i) => [`Reading ${i + 1}`, c])) })
  const away = readings
    .filter(({ s, c }) => Number.isFinite(s) && c !== bathC)
    .map(({ s, c }) => ({ s, ln: Math.log(Math.abs(c - bathC)) }))
  const meanS = away.reduce((sum, one) => sum + one.s, 0) / away.length
  const meanLn = away.reduce((sum, one) => sum + one.ln, 0) / away.length
  const spread = away.reduce((sum, one) => sum + (one.s - meanS) ** 2, 0)
  const slope = away.reduce((sum, one) => sum + (one.s - meanS) * (one.ln - meanLn), 0) / spread
  const sameSide = new Set(readings.map(({ c }) => Math.sign(c - bathC))).size === 1
  if (away.length < 2 || !sameSide || !(slope < 0))
    throw new DomainError('no-data', 'It takes two readings some minutes apart, the second nearer to the bath than the first.')
  return -1 / slope
}
