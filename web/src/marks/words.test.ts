import { showDate, showDay, showMoment, showRolls, showRollsLeft, showSpan } from './words'

const at = Date.UTC(2026, 3, 14, 23, 30)

test('dates are the darkroom’s, wherever the browser is', () => {
  expect(showDate(at, 'UTC', at)).toBe('Tue 14 Apr')
  expect(showDate(at, 'Europe/Lisbon', at)).toBe('Wed 15 Apr')
  expect(showDay(at, 'UTC', at)).toBe('14 Apr')
  expect(showMoment(at, 'Europe/Lisbon', at)).toBe('Wed 15 Apr, 00:30')
  const nextYear = Date.UTC(2027, 0, 1)
  expect([showDate(at, 'UTC', nextYear), showDay(at, 'UTC', nextYear)]).toEqual(['Tue 14 Apr 2026', '14 Apr 2026'])
  // the year turns where the darkroom is
  expect(showDay(Date.UTC(2026, 11, 31, 23), 'Europe/Berlin', nextYear)).toBe('1 Jan')
})

test('spans and rolls are counted in words, and what is left rather too low than too high', () => {
  expect([0.01, 0.5, 1, 9.9].map(showSpan)).toEqual(['14 minutes', '12 hours', '1 day', '9 days'])
  expect([1, 0.7, 2, 13.7].map(showRolls)).toEqual(['1 roll', '0.7 rolls', '2 rolls', '13.7 rolls'])
  expect([12.99, 3.99, 1].map(showRollsLeft)).toEqual(['12 rolls', '3.9 rolls', '1 roll'])
})
