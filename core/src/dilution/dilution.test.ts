import fc from 'fast-check'
import { dilute } from './dilute'
import { minimumWorkingVolume } from './minimumWorkingVolume'
import { percentSolutionVolume } from './percentSolutionVolume'
import { carryOutMl, rollEquivalents } from './rollEquivalents'

test('a dilution has its parts in order and loses nothing', () => {
  expect(dilute({ parts: [1, 4], totalMl: 1000 })).toEqual([200, 800])
  expect(dilute({ parts: [1, 1, 10], totalMl: 600 })).toEqual([50, 50, 500])
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.1, max: 100, noNaN: true }), { minLength: 2, maxLength: 5 }),
      fc.double({ min: 0, max: 1e5, noNaN: true }),
      (parts, totalMl) => {
        expect(dilute({ parts, totalMl }).reduce((sum, ml) => sum + ml, 0)).toBeCloseTo(totalMl, 6)
      },
    ),
  )
  expect(() => dilute({ parts: [1, 0], totalMl: 100 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

test('a load needs what covers it or what holds its concentrate, whichever is more', () => {
  expect(minimumWorkingVolume({ vesselMl: 600, rolls: 2, minConcentrateMlPerRoll: 6, parts: [1, 50] })).toBe(612)
  expect(minimumWorkingVolume({ vesselMl: 600, rolls: 2, minConcentrateMlPerRoll: 100, parts: [1, 1] })).toBe(600)
  expect(minimumWorkingVolume({ vesselMl: 600, rolls: 0, minConcentrateMlPerRoll: 100, parts: [1] })).toBe(600)
})

test('a percent solution holds grams per 100 ml', () => expect(percentSolutionVolume(0.5, 10)).toBe(5))

test('capacity counts area in rolls of 516 cm²', () => {
  expect(rollEquivalents({ format: '135-24', count: 2 })).toBeCloseTo(1.4, 9)
  expect(rollEquivalents({ format: '4x5in', count: 4 })).toBe(1)
  expect(rollEquivalents({ areaCm2: 1032 })).toBe(2)
  expect(carryOutMl({ format: '120', count: 2 })).toBe(50)
  expect(() => rollEquivalents({ format: 'constructor', count: 1 })).toThrow(expect.objectContaining({ code: 'unknown-format' }))
  expect(() => rollEquivalents({ format: '120', count: -1 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})
