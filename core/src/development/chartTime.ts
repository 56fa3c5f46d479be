import { DomainError } from '../error'

export interface TimePoint {
  temperatureC: number
  seconds: number
}

/** Per °C, for metol–hydroquinone developers (Q10 about 2.25). Rounded literature value. */
export const defaultTemperatureCoefficient = 0.081

/** The charted rows an answer needs, cooler first: the one at that temperature, the two around it, or the end pair. */
export function neighbours(rows: TimePoint[], temperatureC: number): TimePoint[] {
  const exact = rows.find((row) => row.temperatureC === temperatureC)
  if (exact || rows.length === 1) return [exact ?? (rows[0] as TimePoint)]
  const above = rows.findIndex((row) => row.temperatureC > temperatureC)
  const upper = Math.max(1, above === -1 ? rows.length - 1 : above)
  return rows.slice(upper - 1, upper + 1)
}

/** ln of the s a straight line between two charted rows gives. */
export const lnAlong = ([a, b]: TimePoint[], temperatureC: number): number =>
  !a || !b
    ? Math.log(a?.seconds ?? NaN)
    : Math.log(a.seconds) +
      ((Math.log(b.seconds) - Math.log(a.seconds)) / (b.temperatureC - a.temperatureC)) * (temperatureC - a.temperatureC)

/**
 * s a chart gives at any temperature, without limit: what a bath that drifts is followed with. Beyond the chart its end pair, or for one row the
 * coefficient, goes on.
 */
export function timeAtAny(chart: TimePoint[], k = defaultTemperatureCoefficient): (celsius: number) => number {
  const rows = [...chart]
    .sort((a, b) => a.temperatureC - b.temperatureC)
    .filter((row, i, all) => all[i - 1]?.temperatureC !== row.temperatureC)
  const [only] = rows
  if (!only) throw new DomainError('no-chart', 'There is no charted time to follow the temperature with.')
  return rows.length === 1
    ? (celsius) => only.seconds * Math.exp(-k * (celsius - only.temperatureC))
    : (celsius) => Math.exp(lnAlong(neighbours(rows, celsius), celsius))
}
