import { percentOf } from '../exposure'
import type { Grade } from '../grade'
import type { PrintFilter, PrintSaid } from './tries'

const signed = (value: number, digits: number): string => `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`
/** units of a filter: whole ones, tenths where it is not whole */
const unitsSay = (units: number): string => units.toFixed(Number.isInteger(Number(units.toFixed(1))) ? 0 : 1)
/**
 * What dials are turned by, those that are, yellow first.
 * @example
 * turnSays({ y: 10, m: -5 }) // → '+10 Y −5 M'
 */
export const turnSays = (by: { y: number; m: number; c?: number }): string =>
  (['y', 'm', 'c'] as const)
    .flatMap((dial) => {
      const units = by[dial] ?? 0
      return Math.abs(units) < 0.05 ? [] : [`${units < 0 ? '−' : '+'}${unitsSay(Math.abs(units))} ${dial.toUpperCase()}`]
    })
    .join(' ') || 'nothing'

const halfNames: Partial<Record<Grade, string>> = { '1.5': '1½', '2.5': '2½', '3.5': '3½', '4.5': '4½' }

/**
 * A grade as it is said.
 * @example
 * gradeName('2.5') // → '2½'
 */
export const gradeName = (grade: Grade): string => halfNames[grade] ?? grade

/**
 * Seconds of an exposure, to the tenth up to 100.
 * @example
 * secondsSay(12.04) // → '12.0 s'
 */
export const secondsSay = (s: number): string => `${s.toFixed(s < 100 ? 1 : 0)} s`

/**
 * A change in stops.
 * @example
 * stopsSay(-0.25) // → '−0.25 stop'
 */
export const stopsSay = (stops: number): string => `${signed(stops, 2)} stop`

/**
 * The same change in percent.
 * @example
 * percentSays(1) // → '+100 %'
 */
export const percentSays = (stops: number): string => `${signed(percentOf(stops), 0)} %`

/**
 * A filter in words.
 * @example
 * filterSays({ kind: 'dials', y: 0, m: 25, grade: '2.5' }) // → 'grade 2½, 25 M'
 */
export function filterSays(filter: PrintFilter): string {
  if (filter.kind === 'none') return 'no filter'
  if (filter.kind === 'pack')
    return (['y', 'm', 'c'] as const)
      .filter((dial) => dial !== 'c' || filter.c > 0)
      .map((dial) => `${unitsSay(filter[dial])} ${dial.toUpperCase()}`)
      .join(' ')
  if (filter.kind === 'set') return `grade ${gradeName(filter.grade)}`
  const dials = [filter.y > 0 ? `${filter.y.toFixed(0)} Y` : '', filter.m > 0 ? `${filter.m.toFixed(0)} M` : ''].filter(Boolean).join(' ')
  return `${filter.grade === null ? '' : `grade ${gradeName(filter.grade)}, `}${dials === '' ? 'dials at 0' : dials}`
}

/**
 * So many halves of a grade, harder or softer.
 * @example
 * halvesSay(-1) // → 'half a grade softer'
 */
export function halvesSay(halves: number): string {
  const much = Math.abs(halves) === 1 ? 'half a grade' : Math.abs(halves) === 2 ? 'one grade' : `${Math.abs(halves) / 2} grades`
  return `${much} ${halves < 0 ? 'softer' : 'harder'}`
}

/**
 * What was said of a print that has so many exposures.
 * @example
 * saidSays({ of: 'print', stops: 0.263 }, 1) // → 'darker +20 %'
 */
export function saidSays(one: PrintSaid, exposures: number): string {
  if (one.of === 'grade') return halvesSay(one.halves)
  if (one.of === 'cast') return `too ${one.cast} by ${unitsSay(one.units)}`
  if (one.of === 'turn') return `by its photograph ${turnSays(one)}`
  if (one.of === 'place') return `${one.name} ${stopsSay(one.stops)}`
  const whose = one.of === 'print' || exposures === 1 ? '' : one.exposure === 0 ? 'soft exposure ' : 'hard exposure '
  return `${whose}${one.stops < 0 ? 'lighter' : 'darker'} ${percentSays(one.stops)}`
}
