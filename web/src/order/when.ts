import { DomainError, inDays, startOfDay, timeOnDay } from '@selvrin/core'
import { showDate } from '../marks/words'

/** days from today on that are offered */
const daysOffered = 15

/**
 * A time of day as people write it: '18:30', '18.30', '1830', '18', '6 pm'.
 * @throws DomainError 'not-a-time'
 */
export function readClock(text: string): { hour: number; minute: number } {
  const found = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*(am|pm)?$/i.exec(text.trim())
  const [hour, minute] = [Number(found?.[1]), Number(found?.[2] ?? 0)]
  const half = found?.[3]?.toLowerCase()
  const of24 = half === undefined ? hour : (hour % 12) + (half === 'pm' ? 12 : 0)
  if (!found || minute > 59 || of24 > 23 || (half !== undefined && (hour < 1 || hour > 12)))
    throw new DomainError('not-a-time', 'Write a time of day, such as 18:30.')
  return { hour: of24, minute }
}

/** The days from today on by their beginnings, and `kept` where it lies outside of them. */
export function dayChoices(now: number, zone: string, kept: number | null): { value: string; name: string }[] {
  const today = startOfDay(now, zone)
  const days = Array.from({ length: daysOffered }, (_, i) => startOfDay(inDays(today, i, zone), zone))
  const own = kept === null ? [] : [startOfDay(kept, zone)].filter((day) => !days.includes(day))
  return [...own, ...days].map((day) => ({
    value: String(day),
    name: day === today ? `Today, ${showDate(day, zone, now)}` : showDate(day, zone, now),
  }))
}

/** The moment of a time on a chosen day. */
export const momentOf = (day: string, clock: string, zone: string): number => timeOnDay(Number(day), readClock(clock), zone)
