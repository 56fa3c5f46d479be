import { axisStepS } from './board'
import { inRows } from './lanes'
import { readRoom, writeRoom } from './roomDraft'
import { usualManner, usualRoom } from '@selvrin/core'

test('what is there at the same time stands in rows, as few as there have to be', () => {
  const bar = (load: string, fromS: number, toS: number) => ({ load, fromS, toS })
  const rows = inRows([bar('c', 20, 30), bar('a', 0, 10), bar('b', 5, 20), bar('d', 10, 15), bar('e', 12, 14)])
  expect(rows.map((one) => [one.load, one.row])).toEqual([
    ['a', 0],
    ['b', 1],
    ['d', 0],
    ['e', 2],
    ['c', 0],
  ])
})

test('the axis has a mark at least every so many px, from the evening to ten seconds', () => {
  expect([0.07, 0.5, 2, 12].map((pxPerS) => axisStepS(pxPerS))).toEqual([1800, 300, 60, 10])
})

test('the room comes out of its form as it went in; what is no figure is named', () => {
  expect(readRoom(writeRoom(usualRoom, usualManner), usualManner)).toEqual(usualRoom)
  const draft = writeRoom(usualRoom, usualManner)
  expect(readRoom({ ...draft, hours: draft.hours.map(() => ({ opens: '6 pm', closes: '22' })) }, usualManner).hours[0]).toEqual({
    opens: '18:00',
    closes: '22:00',
  })
  expect(() => readRoom({ ...draft, washPlaces: 'two' }, usualManner)).toThrow('In the wash: write a number.')
  expect(() => readRoom({ ...draft, hours: draft.hours.map(() => ({ opens: '18:00', closes: '' })) }, usualManner)).toThrow(
    'Write a time of day, such as 18:30.',
  )
})

test('in Fahrenheit and with a comma it comes out as it went in as well', () => {
  const manner = { units: 'us', decimal: 'comma' } as const
  const draft = writeRoom(usualRoom, manner)
  expect([draft.baths[0]?.startC, draft.baths[0]?.heatCPerMin]).toEqual(['68', '0,9'])
  expect(readRoom(draft, manner)).toEqual(usualRoom)
})
