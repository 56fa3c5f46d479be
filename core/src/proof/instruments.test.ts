import { clearingAt, comparedReading } from './clearing'
import { areaLight } from './density'
import { dueTests, type DueFacts, type DueRule } from './due'
import { fixingTime } from './fixingTime'
import { correctedTemperature, decideComparison, requirePoint, vouchesFor } from './thermometer'

const code = (name: string) => expect.objectContaining({ code: name })

describe('a thermometer', () => {
  const points = [
    { readC: 20, trueC: 20.4 },
    { readC: 0, trueC: 0.2 },
    { readC: 40, trueC: 39.6 },
  ]
  test('between its points the offset runs straight, at them it is theirs, beyond them it is held; their order is no matter', () => {
    const at = (readC: number) => Math.round(correctedTemperature(readC, points) * 1e6) / 1e6
    expect([-3, 0, 10, 20, 30, 40, 50].map(at)).toEqual([-2.8, 0.2, 10.3, 20.4, 30, 39.6, 49.6])
    expect(() => correctedTemperature(Number.NaN, points)).toThrow()
  })
  test('vouches to 5 °C around a point', () => expect([25.4, 25.5, 34.6].map((c) => vouchesFor(c, points))).toEqual([true, false, true]))
  test('a comparison is kept by temperature, as it really read', () => {
    const read = [
      { readC: 38.4, trueC: 38 },
      { readC: 0.2, trueC: 0 },
    ]
    expect(decideComparison(read, [])).toEqual({ points: [read[1], read[0]], reason: '0.2 °C is 0.0 °C, 38.4 °C is 38.0 °C' })
    // what came with an offset of −0.5 was 0.5 more before it
    const { points: raw } = decideComparison(read, [{ readC: 20, trueC: 19.5 }])
    expect(raw.map((point) => point.readC)).toEqual([expect.closeTo(0.7, 6), expect.closeTo(38.9, 6)])
    const { points: bent } = decideComparison(read, points)
    expect(bent.map((point) => correctedTemperature(point.readC, points))).toEqual([expect.closeTo(0.2, 3), expect.closeTo(38.4, 3)])
  })
  test('two readings of one temperature, and one that no thermometer gives, are refused', () => {
    const at = (readC: number) => ({ readC, trueC: 20 })
    expect(() => decideComparison([at(20), at(20.4)], [])).toThrow(code('same-point'))
    expect(decideComparison([at(20), at(20.5)], []).points).toHaveLength(2)
    expect(decideComparison([at(20)], []).points).toHaveLength(1)
    expect(() => decideComparison([at(0.3)], [])).toThrow(code('implausible'))
    expect(() => requirePoint({ readC: 25.1, trueC: 20 })).toThrow(code('implausible'))
    expect(() => requirePoint({ readC: 15, trueC: 20 })).not.toThrow()
    expect(() => requirePoint({ readC: Number.NaN, trueC: 20 })).toThrow(code('out-of-range'))
  })
})

describe('what a reading is compared by', () => {
  const judged = { corrected: true, ratio: 1.2, reference: 30 }
  test('what the verdict brought it to; else its ratio, where it was corrected; else itself', () => {
    expect(comparedReading(40, { ...judged, compared: 44 })).toBe(44)
    expect(comparedReading(40, { ...judged, compared: null })).toBeNull()
    expect(comparedReading(40, judged)).toBe(36)
    expect(comparedReading(40, { ...judged, corrected: false })).toBe(40)
    expect(comparedReading(40, { ...judged, ratio: null })).toBe(40)
    expect(comparedReading(40, { ...judged, reference: null })).toBe(40)
    expect(comparedReading(undefined, { ...judged, ratio: null })).toBeNull()
  })
  test('a clearing time and a fixing time need temperatures and times that can be', () => {
    expect(() => clearingAt(0, 20, 20)).toThrow()
    expect(() => clearingAt(30, Number.NaN, 20)).toThrow()
    const read = (seconds: number, slow: boolean, celsius: number | null = 20) => ({ seconds, celsius, slow })
    const run = { runC: 24, slow: false, salt: 'ammonium' as const }
    expect(() => fixingTime([], { ...run, runC: Number.NaN })).toThrow()
    expect(() => fixingTime([read(0, false)], run)).toThrow()
    // nobody wrote down how warm it was: taken as the run's
    expect(fixingTime([read(40, false, null)], run)).toBe(80)
    // the newest of the same kind of film goes before a newer one of the other; of the other alone it is worked out
    expect(fixingTime([read(40, false, 24), read(90, true, 24)], run)).toBe(80)
    expect(fixingTime([read(50, true, 24), read(64, true, 24)], run)).toBeCloseTo(80, 9)
  })
})

describe('what is due, at its edges', () => {
  const day = 86_400_000
  const rule: DueRule = {
    ...{ family: 'fixer', kind: 'clearing-time', atMixing: false, everyDays: null, everyShare: null, beforeCritical: false, active: true },
  } as DueRule
  const facts: DueFacts = {
    ...{
      family: 'fixer',
      madeAt: 10 * day,
      used: 0,
      retired: false,
      empty: false,
      tests: [],
      references: [],
      unexpectedAt: null,
      againAt: [],
    },
  }
  const test_ = (at: number, usedThen = 0, kind: 'clearing-time' | 'silver-paper' = 'clearing-time') => ({
    ...{ kind, at: at * day, usedThen, fresh: false },
  })
  const says = (rules: Partial<DueRule>[], part: Partial<DueFacts>, at: number, critical?: boolean) =>
    dueTests(
      rules.map((one) => ({ ...rule, ...one })),
      { ...facts, ...part },
      { at: at * day, zone: 'UTC', ...(critical === undefined ? {} : { critical }) },
    ).map((one) => [one.why, one.says])
  const whys = (...given: Parameters<typeof says>) => says(...given).map(([why]) => why)

  test('days count from the last test, or the making, and are over only after them', () => {
    const by = [{ everyDays: 30 }]
    expect([whys(by, {}, 40), whys(by, {}, 40.1)]).toEqual([[], ['days']])
    expect(says(by, {}, 41.5)).toEqual([['days', '31 days without it']])
    expect(whys(by, { tests: [test_(12)] }, 42)).toEqual([])
    // a test of another kind is none of this, and the newest counts
    expect(whys(by, { tests: [test_(39, 0, 'silver-paper')] }, 41)).toEqual(['days'])
    expect(whys(by, { tests: [test_(12), test_(35), test_(20)] }, 60)).toEqual([])
    expect(whys([{ everyDays: null }], {}, 999)).toEqual([])
  })
  test('a share of the capacity counts from the last test', () => {
    const by = [{ everyShare: 0.25 }]
    expect([whys(by, { used: 0.24 }, 11), whys(by, { used: 0.25 }, 11)]).toEqual([[], ['share']])
    expect(says(by, { used: 0.3 }, 11)).toEqual([['share', '30 % of its capacity has gone without one']])
    expect(says(by, { used: 0.5, tests: [test_(11, 0.2)] }, 12)).toEqual([['share', '30 % of its capacity has gone since the last one']])
    expect(whys(by, { used: 0.4, tests: [test_(11, 0.2)] }, 12)).toEqual([])
    expect(whys([{ everyShare: null }], { used: 9 }, 12)).toEqual([])
  })
  test('a reference is asked for while it is fresh, once, where there is one to take', () => {
    const by = [{ atMixing: true }]
    expect(whys(by, {}, 10)).toEqual(['reference'])
    expect(whys(by, { tests: [test_(10)] }, 10)).toEqual([])
    expect(whys(by, { asksForReference: false }, 10)).toEqual([])
    expect(whys(by, { references: ['clearing-time'] }, 10)).toEqual([])
    expect(whys([{ atMixing: false }], {}, 10)).toEqual([])
    const fresh = [...Array(60).keys()].filter((days) => whys(by, {}, 10 + days).length > 0)
    expect(fresh).toEqual([...Array(fresh.length).keys()])
    expect(fresh.length).toBeGreaterThan(1)
  })
  test('what a verdict asked for again is done by a test of its kind from then on', () => {
    const again = { againAt: [{ kind: 'clearing-time' as const, at: 15 * day }] }
    expect([whys([{}], again, 14.9), whys([{}], again, 15)]).toEqual([[], ['again']])
    expect(whys([{}], { ...again, tests: [test_(15)] }, 16)).toEqual([])
    expect(whys([{}], { ...again, tests: [test_(14)] }, 16)).toEqual(['again'])
    expect(whys([{}], { ...again, tests: [test_(16, 0, 'silver-paper')] }, 17)).toEqual(['again'])
    expect(whys([{}], { ...again, tests: [test_(14), test_(15)] }, 16)).toEqual([])
  })
  test('films that came out otherwise want what stands before a critical session, unless it was done since', () => {
    const odd = { unexpectedAt: 20 * day }
    expect(whys([{ beforeCritical: true }], odd, 21)).toEqual(['unexpected'])
    expect(whys([{ beforeCritical: false }], odd, 21)).toEqual([])
    expect(whys([{ beforeCritical: true }], { ...odd, tests: [test_(19)] }, 21)).toEqual(['unexpected'])
    expect(whys([{ beforeCritical: true }], { ...odd, tests: [test_(20)] }, 21)).toEqual([])
  })
  test('it is critical only where that is said, and each kind is named once with its first reason', () => {
    expect([whys([{ beforeCritical: true }], {}, 11), whys([{ beforeCritical: true }], {}, 11, true)]).toEqual([[], ['critical']])
    expect(whys([{ atMixing: true, everyDays: 0.5, beforeCritical: true }], {}, 11, true)).toEqual(['reference'])
    expect(whys([{ active: false, everyDays: 1 }], {}, 99)).toEqual([])
    expect(whys([{ everyDays: 1 }], { empty: true }, 99)).toEqual([])
    expect(whys([{ everyDays: 1, family: 'stop-bath' }], {}, 99)).toEqual([])
  })
})

describe('light of an area', () => {
  /** A picture of two by two: white, black, red at its end, and a dark grey. */
  const rgba = new Uint8ClampedArray([255, 255, 255, 255, 0, 1, 1, 255, 255, 0, 0, 255, 2, 2, 2, 255])
  const area = (x: number, y: number, width: number, height: number) => ({ x, y, width, height })
  const dark = 2 / 255 / 12.92
  const barely = 1 / 255 / 12.92
  test('is linear, weighed as the eye sees the colours, and says how much is at its ends', () => {
    const one = (x: number, y: number) => areaLight(rgba, 2, area(x, y, 1, 1))
    expect(one(0, 0)).toMatchObject({ mean: expect.closeTo(1, 9), clipped: 1, black: 0, pixels: 1 })
    expect(one(1, 0)).toMatchObject({ mean: expect.closeTo(barely * 0.7874, 6), clipped: 0, black: 1 })
    expect(one(0, 1)).toMatchObject({ mean: expect.closeTo(0.2126, 6), clipped: 1, black: 0 })
    expect(one(1, 1)).toMatchObject({ mean: expect.closeTo(dark, 9), clipped: 0, black: 0 })
    const all = areaLight(rgba, 2, area(0, 0, 2, 2))
    const lights = [1, barely * 0.7874, 0.2126, dark]
    const mean = lights.reduce((a, b) => a + b) / 4
    expect(all).toMatchObject({ mean: expect.closeTo(mean, 6), clipped: 0.5, black: 0.25, pixels: 4 })
    expect(all.deviation).toBeCloseTo(Math.sqrt(lights.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 4), 6)
    expect(areaLight(rgba, 2, area(1, 0, 1, 2))).toMatchObject({ black: 0.5, clipped: 0, pixels: 2 })
  })
  test.each([
    [0, 0, 0, 1],
    [0, 0, 1, 0],
    [-1, 0, 1, 1],
    [0, -1, 1, 2],
    [1, 0, 2, 1],
    [0, 1, 1, 2],
    [1, 1, -1, 1],
    [1, 1, 1, -1],
  ])('nothing lies at %i, %i of %i by %i', (x, y, width, height) =>
    expect(() => areaLight(rgba, 2, area(x, y, width, height))).toThrow(code('outside-picture')),
  )
  test.each([
    ['green', [0, 255, 0]],
    ['blue', [0, 0, 255]],
  ] as const)('%s at its end is clipped as well, and no black', (_name, [r, g, b]) =>
    expect(areaLight(new Uint8ClampedArray([r, g, b, 255]), 1, area(0, 0, 1, 1))).toMatchObject({ clipped: 1, black: 0 }),
  )
  test.each([
    [1, 1, 2],
    [1, 2, 1],
    [2, 1, 1],
  ])('%i %i %i is no black', (r, g, b) => expect(areaLight(new Uint8ClampedArray([r, g, b, 255]), 1, area(0, 0, 1, 1)).black).toBe(0))
})
