import { freePrinting } from '../evening/printing'
import { printingKnown } from '../samples'
import { bookingAgainst, type BookingKnown } from './booking'
import { printingCells } from './cells'
import { weekOf } from './week'

const [minute, hour, day] = [60_000, 3_600_000, 86_400_000]
// a Tuesday
const tuesday = Date.UTC(2026, 3, 14)
const opensAt = tuesday + 18 * hour
const hours = { opensAt, closesAt: tuesday + 22 * hour }
const known: BookingKnown = { ...printingKnown, open: hours, now: tuesday - day }
const place = (from: number, until: number, id = `${from} ${until}`) => ({
  ...{ id, memberId: id, at: 0 },
  ...{ fromAt: opensAt + from * minute, untilAt: opensAt + until * minute },
})
const says = (from: number, until: number, more: Partial<BookingKnown> = {}): string[] =>
  bookingAgainst(place(from, until), { ...known, ...more }).map((one) => one.message)
const rules = (...asked: Parameters<typeof says>): string[] =>
  bookingAgainst(place(asked[0], asked[1]), { ...known, ...asked[2] }).map(({ rule, fairUse }) => `${rule}${fairUse ? '' : ' never'}`)

test('as many print at once as there are enlargers, and only while it is open', () => {
  expect(says(0, 60)).toEqual([])
  const taken = [place(0, 60), place(30, 90)]
  expect(says(60, 120, { taken })).toEqual([])
  expect(says(0, 120, { taken })).toEqual(['All 2 enlargers are taken at 18:30.'])
  expect(rules(0, 120, { taken })).toEqual(['print-places never'])
  expect(says(0, 60, { places: 0 })).toEqual(['No enlarger is in order.'])
  expect(says(-30, 60)).toEqual(['It is open from 18:00 to 22:00 that day.'])
  expect(says(0, 60, { open: { closed: 'floor painted' } })).toEqual(['It is closed that day: floor painted.'])
  expect(says(60, 0)).toEqual(['It ends before it begins.'])
  expect(says(0, 60, { now: opensAt + 60 * minute })).toEqual(['That time is over.'])
  // who is there already may take what is left of a time
  expect(says(0, 60, { now: opensAt + 59 * minute })).toEqual([])
})

test('nobody prints while the room has another light', () => {
  const otherLight = [{ fromAt: opensAt + 60 * minute, untilAt: opensAt + 75 * minute, light: 'dark' }]
  expect(says(30, 90, { otherLight })).toEqual(['The room is dark from 19:00 to 19:15 for somebody’s film.'])
  expect(says(0, 60, { otherLight })).toEqual([])
})

test('everybody gets some: steps, length, week, days ahead, one at a time, and time to clean', () => {
  expect(rules(10, 60)).toEqual(['print-grid'])
  expect(says(10, 60)).toEqual(['Places begin and end every 30 min from 18:00 on.'])
  expect(says(0, 180)).toEqual([])
  expect(says(0, 210)).toEqual(['A place is at most 3 h long.'])
  expect(says(180, 240)).toEqual(['Before closing it is cleaned: places end at 21:30.'])
  expect(says(0, 60, { now: tuesday - 14 * day })).toEqual([])
  expect(says(0, 60, { now: tuesday - 15 * day })).toEqual(['Places are given out 14 days ahead.'])
  expect(says(0, 60, { own: [place(30, 90)] })).toEqual(['There is a place from 18:30 to 19:30 already.'])
  // six hours from Monday to Sunday, whatever the next Monday has
  const own = [place(0, 180), place(2 * 1440, 2 * 1440 + 150), place(6 * 1440, 6 * 1440 + 120)]
  const friday = { ...known, open: { opensAt: opensAt + 3 * day, closesAt: hours.closesAt + 3 * day }, own }
  expect(weekOf(own, opensAt, known.limits, 'UTC')).toBe(330)
  const from = 3 * 1440
  expect(rules(from, from + 30, friday)).toEqual([])
  expect(says(from, from + 60, friday)).toEqual([
    'That makes 6 h 30 min that week; everybody’s share is 6 h. What is still free 2 h before it begins does not count.',
  ])
  // what nobody else took is anybody's
  expect(says(from, from + 60, { ...friday, now: opensAt + 3 * day - 2 * hour })).toEqual([])
  const late = own.map((one) => ({ ...one, at: one.fromAt - 2 * hour }))
  expect(weekOf(late, opensAt, known.limits, 'UTC')).toBe(0)
  // where a house sets no limit there is none
  const none = { ...known.limits, atOnceMinutes: 0, weekMinutes: 0 }
  expect(says(0, 210, { limits: none, own: [place(1440, 1440 + 600)] })).toEqual([])
})

test('a span is free for as many as can have all of it', () => {
  const taken = [place(0, 45), place(45, 90), place(10, 20, 'a')]
  const cells = (more: object = {}) =>
    printingCells(hours, { spanMinutes: 30, cleanMinutes: 40, taken, places: 2, otherLight: [], ...more })
  expect(cells().map((one) => one.free)).toEqual([0, 1, 1, 2, 2, 2, 2])
  // the last ends where it is cleaned
  expect(cells().map((one) => (one.untilAt - one.fromAt) / minute)).toEqual([30, 30, 30, 30, 30, 30, 20])
  expect(cells({ places: 0 }).every((one) => one.free === 0)).toBe(true)
  const otherLight = [{ fromAt: opensAt + 59 * minute, untilAt: opensAt + 61 * minute, light: 'dark' }]
  expect(cells({ otherLight }).map((one) => one.otherLight)).toEqual([null, 'dark', 'dark', null, null, null, null])
})

test('the first time at which an enlarger is free for long enough', () => {
  const prints = [place(0, 60), place(0, 90, 'b')]
  const free = (places: number, minutes: number): number | null => freePrinting(hours, { prints, places, ms: minutes * minute })
  expect((free(2, 30) ?? 0) - opensAt).toBe(60 * minute)
  expect(free(3, 30)).toBe(opensAt)
  expect(free(2, 300)).toBeNull()
})
