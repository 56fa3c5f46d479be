import { DateTime } from 'luxon'
import { remembered } from '../remembered'

const longestDayMs = 25 * 3_600_000
const at = (ms: number, zone: string): DateTime => DateTime.fromMillis(ms, { zone })

/**
 * The beginning (ms) of the day of the calendar in which `ms` lies in that IANA zone.
 * @example
 * new Date(startOfDay(Date.UTC(2026, 2, 29, 12), 'Europe/Lisbon')).toISOString() // → '2026-03-29T00:00:00.000Z'
 */
export const startOfDay = (ms: number, zone: string): number => at(ms, zone).startOf('day').toMillis()

/**
 * The same time of day so many days of the calendar later (ms), in that IANA zone: 23 or 25 hours later where the clocks are changed in between.
 * @example
 * (inDays(Date.UTC(2026, 2, 28, 12), 1, 'Europe/Lisbon') - Date.UTC(2026, 2, 28, 12)) / 3_600_000 // → 23
 */
export const inDays = (ms: number, days: number, zone: string): number => at(ms, zone).plus({ days }).toMillis()

/**
 * Whether two times (ms) lie in the same day of the calendar of that IANA zone.
 * @example
 * sameDay(Date.UTC(2026, 6, 1, 22, 30), Date.UTC(2026, 6, 1, 23, 30), 'Europe/Lisbon') // → false
 */
export const sameDay = (one: number, other: number, zone: string): boolean =>
  // no day is longer than 25 hours: a list of hundreds asks no calendar where it cannot be
  Math.abs(one - other) < longestDayMs && startOfDay(one, zone) === startOfDay(other, zone)

/**
 * How many midnights of that IANA zone lie between two times (ms): 0 on the same day, 1 for tomorrow.
 * @example
 * calendarDays(Date.UTC(2026, 9, 24, 22), Date.UTC(2026, 9, 26, 1), 'Europe/Lisbon') // → 2
 */
export const calendarDays = (from: number, to: number, zone: string): number =>
  Math.round(at(to, zone).startOf('day').diff(at(from, zone).startOf('day'), 'days').days)

const calendars = {}
/**
 * The beginnings (ms) of so many days after the one in which `from` lies, in that IANA zone. Worked out once a day: every formula's supply asks for the same.
 * @example
 * daysAfter(0, 2, 'UTC').map((ms) => ms / 86_400_000) // → [1, 2]
 */
export function daysAfter(from: number, count: number, zone: string): number[] {
  const today = startOfDay(from, zone)
  return remembered(calendars, ['days', today, count, zone], () => {
    const begins = at(today, zone)
    return Array.from({ length: count }, (_, i) =>
      begins
        .plus({ days: i + 1 })
        .startOf('day')
        .toMillis(),
    )
  })
}

/**
 * The moment, ms, of an hour and a minute on the day of `ms` in a zone; on a day that has no such time, the first after it.
 * @example
 * new Date(timeOnDay(Date.UTC(2026, 3, 14, 9), { hour: 18, minute: 30 }, 'UTC')).toISOString() // → '2026-04-14T18:30:00.000Z'
 */
export const timeOnDay = (ms: number, { hour, minute }: { hour: number; minute: number }, zone: string): number =>
  at(ms, zone).set({ hour, minute, second: 0, millisecond: 0 }).toMillis()
