import fc from 'fast-check'
import { coatingVolume, dropsOf, measuredMl, platinumContrasts, platinumDrops, sensitizerCost } from './coating'
import { cyanotypeSheet } from '../samples'
import { metalGiven, silverCoated } from './metal'
import { coatedProcesses, contrastFor, exposureScale, negativeFits, palladiumScale } from './negative'
import { coatedSteps } from './steps'
import { lampOutput, throughFog, uvAtDistance, uvTime } from './uv'

test('a coat by its area, and the drops of it', () => {
  const sizes: [number, number][] = [
    [10, 12.5],
    [13, 18],
    [20, 25],
  ]
  const ml = sizes.map(([width, height]) => coatingVolume({ areaCm2: width * height, mlPer1000: 2.8 }))
  expect(ml.map((one) => Number(one.toFixed(2)))).toEqual([0.35, 0.66, 1.4])
  expect(ml.map((one) => dropsOf(one))).toEqual([7, 13, 28])
  expect(measuredMl({ coatMl: 1.4, coatedWith: 'brush', coats: 1 })).toBeCloseTo(1.75, 9)
  expect(measuredMl({ coatMl: 1.4, coatedWith: 'brush', coats: 2 })).toBeCloseTo(3.15, 9)
  expect(measuredMl({ coatMl: 1.4, coatedWith: 'rod', coats: 1 })).toBeCloseTo(1.12, 9)
  expect(() => coatingVolume({ areaCm2: -1, mlPer1000: 2.8 })).toThrow(/above 0/)
})

test('silver in what was coated', () => {
  const { silverNitrateG, silverG } = silverCoated(1.4)
  expect([1000 * silverNitrateG, 1000 * silverG].map((one) => Number(one.toFixed(1)))).toEqual([53.2, 33.8])
})

test('the metal of a print leaves it in one step, and is named for its drum', () => {
  const coated = {
    kind: 'coat' as const,
    poured: [{ part: 'sensitizer' as const, bottleId: 'a', entryId: 'b', drops: 28 }],
    humidity: null,
  }
  const gives = (more: Partial<typeof cyanotypeSheet>, kind: string) => {
    const body = { ...cyanotypeSheet, ...more }
    return metalGiven(
      body,
      coated,
      coatedSteps(body.process).findIndex((one) => one.kind === kind),
    )
  }
  expect(gives({ process: 'iron-silver' }, 'wash')?.silverG).toBeCloseTo(0.0338, 4)
  expect(gives({ process: 'iron-silver' }, 'fix')).toBeNull()
  expect(gives({ process: 'palladium', contrast: 'normal' }, 'clear')).toEqual({ metal: 'palladium', silverG: 0 })
  expect(gives({ process: 'palladium', contrast: 'normal', platinumDrops: 4 }, 'clear')).toEqual({ metal: 'platinum', silverG: 0 })
  expect(gives({}, 'wash')).toBeNull()
})

test('drops of platinum and palladium, by size and contrast', () => {
  const table: [number, number, [number, number][]][] = [
    [10 * 12.5, 12, [[6, 0], [5, 1], [4, 2], [3, 3], [0, 6]]],
    [13 * 18, 20, [[10, 0], [8, 2], [6, 4], [5, 5], [0, 10]]],
    [20 * 25, 44, [[22, 0], [18, 4], [14, 8], [10, 12], [0, 22]]],
  ] // prettier-ignore
  for (const [areaCm2, total, drops] of table)
    for (const [i, contrast] of platinumContrasts.entries()) {
      const { a, b, metal } = platinumDrops({ areaCm2, contrast })
      expect([contrast, a + b + metal, a, b]).toEqual([contrast, total, ...(drops[i] ?? [])])
    }
  fc.assert(
    fc.property(fc.double({ min: 1, max: 5000, noNaN: true }), fc.constantFrom(...platinumContrasts), (areaCm2, contrast) => {
      const { a, b, metal } = platinumDrops({ areaCm2, contrast })
      expect(a + b).toBe(metal)
      expect(2 * metal).toBeGreaterThanOrEqual((44 * areaCm2) / 516 - 1e-6)
    }),
  )
  expect(sensitizerCost([{ drops: 22, pricePerMl: 9 }])).toBeCloseTo(9.9, 9)
  expect(sensitizerCost([{ drops: 22, pricePerMl: 9 }, { drops: 1, pricePerMl: null }])).toBeNull() // prettier-ignore
})

test('other lamps, other distances, other fog', () => {
  expect(uvTime({ seconds: 720, fromW: 300, toW: 750 }) / 60).toBeCloseTo(4.8, 9)
  expect(uvTime({ seconds: 720, fromW: 300, toW: 750, hours: 500, ageing: 0.2 }) / 60).toBeCloseTo(5.33, 2)
  expect(uvAtDistance({ seconds: 720, fromCm: 40, toCm: 60, lamp: { point: true } }) / 60).toBeCloseTo(27, 9)
  expect(uvAtDistance({ seconds: 720, fromCm: 8, toCm: 12, lamp: { bankCm: 40 } })).toBe(720)
  expect(() => uvAtDistance({ seconds: 720, fromCm: 8, toCm: 60, lamp: { bankCm: 40 } })).toThrow(/strip/)
  expect(throughFog(120, 0.3)).toBeCloseTo(239.43, 2)
  expect(() => lampOutput({ hours: 5000, ageing: 0.2 })).toThrow(/nothing any more/)
})

test('a negative against what it is printed with', () => {
  expect(negativeFits(1.15, exposureScale.cyanotype)).toEqual([])
  expect(negativeFits(1.1, exposureScale.cyanotype).map((one) => one.rule)).toEqual(['coat-negative-soft'])
  expect(negativeFits(2.1, exposureScale.palladium).map((one) => one.rule)).toEqual(['coat-negative-hard'])
  expect(platinumContrasts.map((one) => contrastFor(palladiumScale[one]))).toEqual([...platinumContrasts])
})

test('each process from its drying to its wash; no alkali on cyanotype', () => {
  for (const one of coatedProcesses) expect(coatedSteps(one).slice(0, 2).map((step) => step.kind)).toEqual(['dry', 'expose']) // prettier-ignore
  expect(coatedSteps('cyanotype').some((step) => step.kind === 'wash-aid' || step.kind === 'fix')).toBe(false)
  expect(coatedSteps('palladium').filter((step) => step.kind === 'clear')).toHaveLength(3)
})
