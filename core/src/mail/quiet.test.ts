import { afterQuiet } from './quiet'

const zone = 'Europe/Lisbon'
const at = (text: string): number => Date.parse(text)
const night = { from: '22:00', until: '08:00' }
const told = (when: string, quiet = night): string => new Date(afterQuiet(at(when), quiet, zone)).toISOString()

test('by day one is written to at once, by night in the morning; the last minute of quiet is quiet, the first after it is not', () => {
  expect(told('2026-01-10T12:00:00Z')).toBe('2026-01-10T12:00:00.000Z')
  expect(told('2026-01-10T22:00:00Z')).toBe('2026-01-11T08:00:00.000Z')
  expect(told('2026-01-11T03:00:00Z')).toBe('2026-01-11T08:00:00.000Z')
  expect(told('2026-01-11T07:59:59Z')).toBe('2026-01-11T08:00:00.000Z')
  expect(told('2026-01-11T08:00:00Z')).toBe('2026-01-11T08:00:00.000Z')
})

test('quiet at noon is of one day; the same time twice is no quiet', () => {
  const noon = { from: '12:00', until: '14:00' }
  expect(told('2026-01-10T13:00:00Z', noon)).toBe('2026-01-10T14:00:00.000Z')
  expect(told('2026-01-10T15:00:00Z', noon)).toBe('2026-01-10T15:00:00.000Z')
  expect(told('2026-01-10T03:00:00Z', { from: '00:00', until: '00:00' })).toBe('2026-01-10T03:00:00.000Z')
})

test('in the nights in which the clocks are changed it is over at eight by the clock', () => {
  // forward on 29 March, back on 25 October 2026
  expect(told('2026-03-28T23:00:00Z')).toBe('2026-03-29T07:00:00.000Z')
  expect(told('2026-10-24T22:30:00Z')).toBe('2026-10-25T08:00:00.000Z')
})
