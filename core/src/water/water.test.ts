import fc from 'fast-check'
import { blendWater } from './blendWater'
import { temperatureAfterDissolving, temperatureCourse } from '../formula/temperatureAfterDissolving'
import { fitTimeConstant, timeToTemperature } from './timeToTemperature'

describe('blendWater', () => {
  test('750 ml at 51 °C of taps at 84 and 7 °C', () => {
    const { hotMl, coldMl } = blendWater({ targetMl: 750, targetC: 51, hotC: 84, coldC: 7 })
    expect([Math.round(hotMl), Math.round(coldMl)]).toEqual([429, 321])
  })
  test('conserves volume and energy', () => {
    const celsius = fc.double({ min: 0, max: 95, noNaN: true })
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e5, noNaN: true }),
        celsius,
        celsius,
        fc.double({ min: 0, max: 1, noNaN: true }),
        (targetMl, a, b, share) => {
          const [coldC, hotC] = [Math.min(a, b), Math.max(a, b)]
          const targetC = coldC + (hotC - coldC) * share
          const { hotMl, coldMl } = blendWater({ targetMl, targetC, hotC, coldC })
          expect(hotMl + coldMl).toBeCloseTo(targetMl, 6)
          expect((hotMl * hotC + coldMl * coldC) / targetMl).toBeCloseTo(targetC, 6)
        },
      ),
    )
  })
  test('says so where the taps cannot reach it', () => {
    expect(() => blendWater({ targetMl: 750, targetC: 60, hotC: 54, coldC: 12 })).toThrow(
      expect.objectContaining({ code: 'unreachable-temperature' }),
    )
    expect(blendWater({ targetMl: 750, targetC: 12, hotC: 54, coldC: 12 })).toEqual({ hotMl: 0, coldMl: 750 })
  })
})

describe('temperatureAfterDissolving', () => {
  const g = (chemical: string, grams: number) => ({ chemical, grams })
  test('200 g of hypo crystals cool 750 ml by about 10 °C; 10 g of hydroxide heat 100 ml by about 26 °C', () => {
    expect(temperatureAfterDissolving({ waterMl: 750, waterC: 50, additions: [g('sodium-thiosulfate-pentahydrate', 200)] })).toBeCloseTo(
      39.6,
      1,
    )
    expect(temperatureAfterDissolving({ waterMl: 100, waterC: 15, additions: [g('sodium-hydroxide', 10)] })).toBeCloseTo(41, 0)
  })
  test('goes one after another in the growing liquid', () => {
    const course = temperatureCourse({ waterMl: 750, waterC: 50, additions: [g('sodium-sulfite', 97), g('hydroquinone', 5)] })
    const alone = temperatureCourse({ waterMl: 750 + 97, waterC: 50, additions: [g('hydroquinone', 5)] })
    expect(course[1]?.change).toBeCloseTo(alone[0]?.change ?? 0, 9)
  })
  test('refuses unknown heats by name, though the course goes on without them', () => {
    const question = { waterMl: 750, waterC: 50, additions: [g('metol', 2), g('sodium-sulfite', 97)] }
    expect(() => temperatureAfterDissolving(question)).toThrow(expect.objectContaining({ code: 'no-data', chemicals: ['metol'] }))
    expect(temperatureCourse(question).map((point) => point.change === null)).toEqual([true, false])
  })
})

describe('a jug in a bath', () => {
  test('a 3 L jug with a time constant of 25 min, from 50 to 24 °C in a bath of 20 °C', () => {
    expect(timeToTemperature({ fromC: 50, bathC: 20, toC: 24, tauS: 1500 })).toBeCloseTo(1500 * Math.log(30 / 4), 6)
    expect(timeToTemperature({ fromC: 20, bathC: 20, toC: 20, tauS: 1500 })).toBe(0)
  })
  test('never reaches the bath itself, nor the other side', () => {
    for (const toC of [20, 19, 51])
      expect(() => timeToTemperature({ fromC: 50, bathC: 20, toC, tauS: 1500 })).toThrow(
        expect.objectContaining({ code: 'unreachable-temperature' }),
      )
  })
  test('the fitted time constant is the one the readings were made with', () => {
    const at = (s: number) => ({ s, c: 20 + 30 * Math.exp(-s / 1380) })
    expect(fitTimeConstant([at(0), at(300), at(600)], 20)).toBeCloseTo(1380, 6)
    expect(() => fitTimeConstant([at(0)], 20)).toThrow(expect.objectContaining({ code: 'no-data' }))
    expect(() => fitTimeConstant([at(300), { s: 600, c: 60 }], 20)).toThrow(expect.objectContaining({ code: 'no-data' }))
  })
})
