import { calendarDays, daysAfter, inDays, sameDay, startOfDay } from './days'

const zone = 'Europe/Lisbon'
const hours = (ms: number) => ms / 3_600_000
// the clocks go forward on 29 March 2026 and back on 25 October, both at one o'clock UTC
const before23 = Date.UTC(2026, 2, 28, 18)
const before25 = Date.UTC(2026, 9, 24, 17)

test('a day later is the same time of day, 23 or 25 hours on where the clocks are changed', () => {
  expect(hours(inDays(before23, 1, zone) - before23)).toBe(23)
  expect(hours(inDays(before25, 1, zone) - before25)).toBe(25)
  expect(hours(inDays(before23, 1, 'UTC') - before23)).toBe(24)
  expect(inDays(inDays(before23, 5, zone), -5, zone)).toBe(before23)
})

test('days of the calendar are counted by midnights, however long each is', () => {
  expect(calendarDays(before23, inDays(before23, 3, zone), zone)).toBe(3)
  expect(calendarDays(before25, inDays(before25, 3, zone), zone)).toBe(3)
  expect([calendarDays(before25, before25 + 1, zone), calendarDays(before25, before25 - 24 * 3_600_000, zone)]).toEqual([0, -1])
})

test('the days after one are its next midnights, also across a change of the clocks', () => {
  const begins = daysAfter(before25, 3, zone).map((ms) => new Date(ms).toISOString())
  expect(begins).toEqual(['2026-10-24T23:00:00.000Z', '2026-10-26T00:00:00.000Z', '2026-10-27T00:00:00.000Z'])
})

test('a day begins at the midnight of the zone, and its last minute belongs to it', () => {
  const begins = startOfDay(Date.UTC(2026, 9, 25, 12), zone)
  expect(new Date(begins).toISOString()).toBe('2026-10-24T23:00:00.000Z')
  expect(sameDay(begins, begins + 25 * 3_600_000 - 1, zone)).toBe(true)
  expect(sameDay(begins, begins + 25 * 3_600_000, zone)).toBe(false)
})
