import { DateTime } from 'luxon'
import type { MixForecast, WeekOpening, Weeks } from './result'

/** A week of the calendar: its seven days from Monday on, each with its opening where it has one. */
export interface OneWeek {
  /** of the calendar, such as 2026-04-13 */
  monday: string
  /** `at`: ms of noon of the day */
  days: { day: string; at: number; opening: WeekOpening | null }[]
  /** what is missing in it, what is needed first before the rest */
  mixing: MixForecast[]
}

/**
 * What was spread, week by week in an IANA zone, from the week of the first opening to that of the last.
 * @example
 * byWeek({ openings: [], past: [], without: [], left: [], mixing: [] }, 'UTC') // → []
 */
export function byWeek({ openings, mixing }: Weeks, zone: string): OneWeek[] {
  const [first, last] = [openings[0], openings.at(-1)]
  if (!first || !last) return []
  const weeks: OneWeek[] = []
  const until = DateTime.fromISO(last.day, { zone })
  for (let monday = DateTime.fromISO(first.day, { zone }).startOf('week'); monday <= until; monday = monday.plus({ weeks: 1 })) {
    const days = Array.from({ length: 7 }, (_, i) => {
      const date = monday.plus({ days: i })
      const day = date.toISODate() as string
      return { day, at: date.set({ hour: 12 }).toMillis(), opening: openings.find((one) => one.day === day) ?? null }
    })
    const week = monday.toISODate() as string
    const missing = mixing.filter((one) => one.week === week && one.missing > 0)
    weeks.push({ monday: week, days, mixing: missing.sort((a, b) => (a.by ?? 0) - (b.by ?? 0)) })
  }
  return weeks
}
