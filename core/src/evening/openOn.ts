import { DateTime } from 'luxon'
import type { RoomBody } from './room'

/** When it is open on a day, ms; or why it is not. */
export type OpenOn = { opensAt: number; closesAt: number } | { closed: string }

/**
 * When a darkroom is open on a day of the calendar (such as 2026-04-14) in an IANA zone. A closing time that is no later than opening is the next day's.
 * @example
 * openOn({ ...usualRoom, closures: [{ from: '2026-04-14', until: '2026-04-14', why: 'floor painted' }] }, '2026-04-14', 'UTC') // → { closed: 'floor painted' }
 */
export function openOn({ hours, closures }: Pick<RoomBody, 'hours' | 'closures'>, day: string, zone: string): OpenOn {
  const shut = closures.find(({ from, until }) => from <= day && day <= until)
  if (shut) return { closed: shut.why }
  const date = DateTime.fromISO(day, { zone })
  const open = hours[date.weekday - 1]
  if (!open) return { closed: `No opening hours on ${date.setLocale('en').toFormat('cccc')}s` }
  const at = (time: string): DateTime => {
    const [hour = 0, minute = 0] = time.split(':').map(Number)
    return date.set({ hour, minute })
  }
  const [opens, closes] = [at(open.opens), at(open.closes)]
  return { opensAt: opens.toMillis(), closesAt: (closes > opens ? closes : closes.plus({ days: 1 })).toMillis() }
}

/**
 * The day of the calendar (such as 2026-04-14) of a time (ms) in an IANA zone.
 * @example
 * dayOf(0, 'UTC') // → '1970-01-01'
 */
export const dayOf = (ms: number, zone: string): string => DateTime.fromMillis(ms, { zone }).toISODate() as string
