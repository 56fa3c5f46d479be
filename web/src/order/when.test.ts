import { dayChoices, momentOf, readClock } from './when'

const zone = 'Europe/Lisbon'

test('a time of day is read as people write it', () => {
  const read = (text: string) => {
    const { hour, minute } = readClock(text)
    return `${hour}:${String(minute).padStart(2, '0')}`
  }
  expect(['18:30', '18.30', '1830', '18', '9:05', '6 pm', '6:30pm', '12 am', '12 pm', '00:00'].map(read)).toEqual([
    ...['18:30', '18:30', '18:30', '18:00', '9:05', '18:00', '18:30', '0:00', '12:00', '0:00'],
  ])
  for (const wrong of ['', '24:00', '18:60', 'evening', '13 pm', '7:5']) expect(() => readClock(wrong)).toThrow('time of day')
})

test('the next fifteen days are offered, and the day that was kept before', () => {
  const now = Date.UTC(2026, 9, 24, 12)
  const days = dayChoices(now, zone, null)
  expect([days.length, days[0]?.name, days[1]?.name]).toEqual([15, 'Today, Sat 24 Oct', 'Sun 25 Oct'])
  expect(dayChoices(now, zone, Date.UTC(2026, 9, 1, 12))[0]?.name).toBe('Thu 1 Oct')
  // the night the clocks go back
  expect(new Date(momentOf(days[1]!.value, '18:30', zone)).toISOString()).toBe('2026-10-25T18:30:00.000Z')
})
