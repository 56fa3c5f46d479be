import { aWish } from '../samples'
import { freePlace, orderStates, orderWish, requireChangeable, requireWish, wishChanges } from './order'

const code = (work: () => unknown): string => {
  try {
    work()
    return 'fine'
  } catch (error) {
    return (error as { code: string }).code
  }
}

test('a wish is for a time to come, and not for one before its film is there', () => {
  const wish = (earliest: number | null, wantedBy: number | null) => code(() => requireWish({ earliest, wantedBy }, 100))
  expect([wish(null, null), wish(null, 101), wish(50, 200), wish(null, 100), wish(200, 200)]).toEqual([
    'fine',
    'fine',
    'fine',
    'past',
    'too-early',
  ])
})

test('an order is changed until its film is in the tank', () => {
  expect(orderStates.map((state) => code(() => requireChangeable({ number: 1, state })))).toEqual([
    'fine',
    'fine',
    'closed',
    'closed',
    'closed',
  ])
})

test('a change says what it was of every field that differs, and only of those', () => {
  expect(orderWish.parse(aWish)).toEqual(aWish)
  const fine = { formulaId: aWish.processId, parts: [1, 1] }
  expect(wishChanges(aWish, { ...aWish, developer: fine, note: aWish.note })).toEqual([{ field: 'developer', before: null, after: fine }])
})

test('a place in the rack is the first that is free', () => {
  expect([freePlace([]), freePlace([2, 3]), freePlace([1, 2, 3])]).toEqual([1, 1, 4])
})
