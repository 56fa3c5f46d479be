import { timeOnDay, inDays } from '../calendar/days'

/** Times of day between which nobody is written to, such as 22:00 and 08:00; the same twice where it is never quiet. */
export interface QuietTimes {
  from: string
  until: string
}

const clock = (time: string): { hour: number; minute: number } => {
  const [hour = 0, minute = 0] = time.split(':').map(Number)
  return { hour, minute }
}
const minutes = (time: string): number => clock(time).hour * 60 + clock(time).minute

/**
 * When (ms) somebody may be written to: at once, or when their quiet is over, by the clock of an IANA zone.
 * @example
 * new Date(afterQuiet(Date.UTC(2026, 3, 14, 23), { from: '22:00', until: '08:00' }, 'UTC')).toISOString() // → '2026-04-15T08:00:00.000Z'
 */
export function afterQuiet(at: number, { from, until }: QuietTimes, zone: string): number {
  if (from === until) return at
  const over = minutes(until) <= minutes(from)
  // it may have begun the evening before
  for (const days of [-1, 0]) {
    const day = inDays(at, days, zone)
    const [begins, ends] = [timeOnDay(day, clock(from), zone), timeOnDay(over ? inDays(day, 1, zone) : day, clock(until), zone)]
    if (at >= begins && at < ends) return ends
  }
  return at
}
