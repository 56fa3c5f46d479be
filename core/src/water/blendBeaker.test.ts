import fc from 'fast-check'
import { blendBeaker } from './blendBeaker'

const taps = { roomC: 21, hotC: 54, coldC: 12 }

test('hot, cold and concentrate together have the volume and the temperature that is wanted', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 500, noNaN: true }),
      fc.double({ min: 50, max: 2000, noNaN: true }),
      fc.double({ min: 15, max: 40, noNaN: true }),
      (concentrateMl, waterMl, targetC) => {
        const blend = blendBeaker({ concentrateMl, waterMl, targetC, ...taps })
        if (!blend) return
        const { hotMl, coldMl } = blend
        expect(hotMl + coldMl).toBeCloseTo(waterMl, 6)
        expect(hotMl).toBeGreaterThanOrEqual(-1e-6)
        expect(coldMl).toBeGreaterThanOrEqual(-1e-6)
        const together = (concentrateMl * taps.roomC + hotMl * taps.hotC + coldMl * taps.coldC) / (concentrateMl + waterMl)
        expect(together).toBeCloseTo(targetC, 6)
      },
    ),
  )
})

test('what the taps cannot reach has no blend, and neither has a beaker without water', () => {
  const blend = (part: object) => blendBeaker({ concentrateMl: 0, waterMl: 300, targetC: 20, ...taps, ...part })
  expect(blend({ targetC: 12 })).toEqual({ hotMl: 0, coldMl: 300, waterC: 12 })
  expect(blend({ targetC: 54 })).toEqual({ hotMl: 300, coldMl: 0, waterC: 54 })
  expect([blend({ targetC: 11 }), blend({ targetC: 55 }), blend({ waterMl: 0 }), blend({ hotC: 12 })]).toEqual([null, null, null, null])
  // so much concentrate at 21 °C cannot be cooled to 18 by the rest
  expect(blend({ concentrateMl: 1000, targetC: 18 })).toBeNull()
  expect(() => blend({ targetC: Number.NaN })).toThrow()
})
