import { DateTime } from 'luxon'
import type { PrintingLimits } from '../evening/room'
import type { Printing } from '../evening/printing'

/** A place as it is booked. */
export interface Booked extends Printing {
  /** ms; when it was booked as it is */
  at: number
}

const minuteMs = 60_000

/**
 * Whether a place counts for its member's week: what was still free shortly before it began does not.
 * @example
 * countsFor({ fromAt: 3_600_000, at: 0 }, usualRoom.printing) // → false
 */
export const countsFor = ({ fromAt, at }: Pick<Booked, 'fromAt' | 'at'>, { freeMinutes }: Pick<PrintingLimits, 'freeMinutes'>): boolean =>
  freeMinutes === 0 || fromAt - at > freeMinutes * minuteMs

/**
 * Minutes of a member's places that count in the week (Monday to Sunday, in an IANA zone) in which a time (ms) lies.
 * @example
 * weekOf([{ id: 'a', memberId: 'm', fromAt: 86_400_000, untilAt: 90_000_000, at: 0 }], 0, usualRoom.printing, 'UTC') // → 60
 */
export function weekOf(own: Booked[], at: number, limits: PrintingLimits, zone: string): number {
  const monday = DateTime.fromMillis(at, { zone }).startOf('week')
  const [from, until] = [monday.toMillis(), monday.plus({ weeks: 1 }).toMillis()]
  return own
    .filter((one) => one.fromAt >= from && one.fromAt < until && countsFor(one, limits))
    .reduce((sum, { fromAt, untilAt }) => sum + (untilAt - fromAt) / minuteMs, 0)
}
