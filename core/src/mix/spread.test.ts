import fc from 'fast-check'
import { spread } from './spread'

test('bottles are filled to the neck one after another', () => {
  expect(spread(2500, 3, 1000)).toEqual([1000, 1000, 500])
  expect(spread(2000, 5, 1000)).toEqual([1000, 1000])
  expect(spread(2500, 1, 1000)).toEqual([1000])
})

test('nothing is lost while the bottles suffice, and none holds more than its size', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 10_000 }),
      fc.integer({ min: 1, max: 24 }),
      fc.integer({ min: 50, max: 5000 }),
      (total, count, size) => {
        const fills = spread(total, count, size)
        expect(fills.reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(Math.min(total, count * size), 6)
        expect(Math.max(...fills)).toBeLessThanOrEqual(size)
      },
    ),
  )
})
