import { closuresOf } from './closures'

const file = (...events: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    ...events.flatMap((event) => ['BEGIN:VEVENT', ...event.split('|'), 'END:VEVENT']),
    'END:VCALENDAR',
  ].join('\r\n')
const from = Date.UTC(2026, 10, 1)
const zone = 'Europe/Lisbon'
const days = (...events: string[]) => closuresOf(file(...events), from, zone).map((one) => `${one.from} ${one.until} ${one.why}`)

test('days and times become closures of whole days, in the zone of the darkroom', () => {
  expect(days('UID:a|DTSTART;VALUE=DATE:20261224|DTEND;VALUE=DATE:20261227|SUMMARY:Holidays')).toEqual(['2026-12-24 2026-12-26 Holidays'])
  expect(days('UID:a|DTSTART;VALUE=DATE:20261224|SUMMARY:One day')).toEqual(['2026-12-24 2026-12-24 One day'])
  // half past midnight in summer time is the day before by the world's clock
  expect(days('UID:a|DTSTART:20270701T233000Z|DTEND:20270702T003000Z|SUMMARY:Floor')).toEqual(['2027-07-02 2027-07-02 Floor'])
  expect(days('UID:a|DTSTART:20261201T180000Z|DTEND:20261202T000000Z')).toEqual(['2026-12-01 2026-12-01 Closed'])
})

test('what comes again comes again, what is over or cancelled does not', () => {
  expect(days('UID:a|DTSTART;VALUE=DATE:20261106|DTEND;VALUE=DATE:20261107|RRULE:FREQ=WEEKLY;COUNT=3|SUMMARY:Cleaning')).toEqual([
    ...['2026-11-06 2026-11-06 Cleaning', '2026-11-13 2026-11-13 Cleaning', '2026-11-20 2026-11-20 Cleaning'],
  ])
  expect(days('UID:a|DTSTART;VALUE=DATE:20250101|DTEND;VALUE=DATE:20250102|SUMMARY:Old')).toEqual([])
  expect(days('UID:a|DTSTART;VALUE=DATE:20261224|STATUS:CANCELLED|SUMMARY:Not after all')).toEqual([])
  // for ever is a bit over a year
  expect(days('UID:a|DTSTART;VALUE=DATE:20261102|RRULE:FREQ=WEEKLY|SUMMARY:Mondays').length).toBe(58)
})

test('what is no calendar is refused in a sentence', () => {
  for (const text of ['', 'hello', 'BEGIN:VCARD\r\nEND:VCARD', '{"a":1}'])
    expect(() => closuresOf(text, from, zone)).toThrow('That is no calendar file. Take one that ends in .ics.')
})
