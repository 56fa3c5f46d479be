import { DateTime } from 'luxon'
import { dayOf, openOn } from '../evening/openOn'
import type { RoomBody } from '../evening/room'

/** A day on which the darkroom is open, with its hours in ms. */
export interface Opening {
  /** of the calendar, such as 2026-04-14 */
  day: string
  opensAt: number
  closesAt: number
}

/**
 * The openings of so many days in an IANA zone that are not over at a time (ms): by the weekly hours without the closures, with the hours of the evenings that are planned already.
 * @example
 * openingsFrom(usualRoom, [], { now: Date.UTC(2026, 3, 13), days: 3, zone: 'UTC' }).map((one) => one.day) // → ['2026-04-14', '2026-04-15']
 */
export function openingsFrom(
  room: Pick<RoomBody, 'hours' | 'closures'>,
  planned: Opening[],
  { now, days, zone }: { now: number; days: number; zone: string },
): Opening[] {
  const first = DateTime.fromISO(dayOf(now, zone), { zone })
  // what began the day before may last beyond midnight
  return Array.from({ length: days + 1 }, (_, i) => first.plus({ days: i - 1 }).toISODate() as string).flatMap((day): Opening[] => {
    const there = planned.find((one) => one.day === day)
    const open = there ?? openOn(room, day, zone)
    if ('closed' in open || open.closesAt <= now) return []
    return [{ day, opensAt: open.opensAt, closesAt: open.closesAt }]
  })
}
