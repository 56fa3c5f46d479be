import ICAL from 'ical.js'
import { DateTime } from 'luxon'
import { impossible } from '../error'
import type { RoomBody } from './room'

/** days from `from` on in which repeated closures are looked for */
const aheadDays = 400
/** closures that are taken of one file */
const most = 200

/**
 * Closures of a calendar file (iCalendar): its events by whole days in an IANA zone, from a time (ms) on for a bit over a year; repeated ones day by day. What is cancelled is left out.
 * @throws Refused 'no-calendar' where it is none
 * @example
 * closuresOf('BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART;VALUE=DATE:20261224\r\nDTEND;VALUE=DATE:20261227\r\nSUMMARY:Holidays\r\nEND:VEVENT\r\nEND:VCALENDAR', 0, 'UTC') // → []
 */
export function closuresOf(text: string, from: number, zone: string): RoomBody['closures'] {
  const calendar = read(text)
  const first = DateTime.fromMillis(from, { zone }).startOf('day')
  const last = first.plus({ days: aheadDays })
  const found: RoomBody['closures'] = []
  for (const component of calendar.getAllSubcomponents('vevent')) {
    const event = new ICAL.Event(component)
    if (String(component.getFirstPropertyValue('status')).toUpperCase() === 'CANCELLED' || !event.startDate) continue
    const why = (event.summary ?? '').trim().slice(0, 120) || 'Closed'
    const add = (start: ICAL.Time, end: ICAL.Time): void => {
      const [begins, ends] = [dayOf(start, zone), dayOf(end, zone)]
      // an end at midnight is the end of the day before
      const lastDay = (end.isDate || ends.equals(ends.startOf('day'))) && ends > begins ? ends.minus({ milliseconds: 1 }) : ends
      if (lastDay < first || begins > last || found.length >= most) return
      found.push({ from: begins.toISODate() as string, until: lastDay.toISODate() as string, why })
    }
    if (!event.isRecurring()) {
      add(event.startDate, event.endDate)
      continue
    }
    const turns = event.iterator()
    for (let turn = turns.next(); turn && dayOf(turn, zone) <= last && found.length < most; turn = turns.next()) {
      const { startDate, endDate } = event.getOccurrenceDetails(turn)
      add(startDate, endDate)
    }
  }
  return found.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : 0))
}

function read(text: string): ICAL.Component {
  try {
    const parsed: unknown = ICAL.parse(text)
    const component = new ICAL.Component((Array.isArray(parsed) ? parsed : []) as never)
    if (component.name === 'vcalendar') return component
  } catch {
    // said below in our own words
  }
  throw impossible('no-calendar', 'That is no calendar file. Take one that ends in .ics.')
}

/** A day means the day here; a time is moved into the zone. */
const dayOf = (time: ICAL.Time, zone: string): DateTime =>
  time.isDate || time.zone?.tzid === 'floating'
    ? DateTime.fromObject({ year: time.year, month: time.month, day: time.day, hour: time.hour, minute: time.minute }, { zone })
    : DateTime.fromMillis(1000 * time.toUnixTime(), { zone })
