import fc from 'fast-check'
import { families } from '../mark/mark'
import { capacityFromTests } from './capacityFromTests'
import { clearingAt } from './clearing'
import { controlChart } from './controlChart'
import { judgeStrips, requireStrip, stripMeans } from './controlStrip'
import { dueTests, usualDueRules, type DueFacts } from './due'
import { fixingTime } from './fixingTime'
import { forecastClearing, forecastReading, isTrend } from './forecast'
import { guideOf, guides, testsFor } from './guide'
import { fixerClassOf, judge, type Reference } from './judge'
import { testKinds } from './proof'
import { safeMinutes } from './safelight'
import { correctedTemperature, vouchesFor } from './thermometer'

const fresh = (value: number, celsius: number | null = 20): Reference => ({ value, celsius, from: 'batch' })
const code = (name: string) => expect.objectContaining({ code: name })

describe('guided tests', () => {
  test('every kind has its guide: steps, light, and a figure or something to see', () => {
    expect(guides.map((guide) => guide.kind)).toEqual([...testKinds])
    for (const guide of guides)
      expect([guide.kind, guide.steps.length > 0, guide.light !== '', guide.cautions.length > 0]).toEqual([guide.kind, true, true, true])
  })
  test('a wash aid has none; every bath film goes through for its image has one', () => {
    expect(testsFor('wash-aid')).toEqual([])
    for (const family of [
      'film-developer',
      'print-developer',
      'fixer',
      'stop-bath',
      'monobath',
      'bleach-fix',
      'colour-developer',
      'first-developer',
    ]) {
      expect(families).toContain(family)
      expect(new Set(testsFor(family).map((guide) => guide.of))).toEqual(new Set(['bath']))
    }
  })
})

describe('verdicts name their rule, ratio and reference', () => {
  const rule = (kind: Parameters<typeof judge>[0], value: number, reference: Reference | null, more: object = {}) =>
    judge(kind, { value, celsius: 20, slowClearing: false, base: 0, ...more }, { reference })
  test.each([
    [1.35, 'keep', 'density-keep'],
    [1.2, 'marginal', 'density-90'],
    [1.11, 'failed', 'density-75'],
  ])('a scrap of density %f beside a fresh 1.5', (value, verdict, name) => {
    const edge = value === 1.35 ? 1.36 : value
    expect(rule('scrap-density', edge, fresh(1.5))).toMatchObject({ verdict, rule: name, reference: 1.5 })
  })
  test('the fresh scrap read beside it counts before what was kept of the batch', () => {
    expect(rule('scrap-density', 0.9, fresh(0.9), { fresh: 1.5 })).toMatchObject({
      verdict: 'failed',
      reference: 1.5,
      restsOn: expect.stringContaining('beside'),
    })
  })
  test('exactly 90 % is marginal, exactly 75 % too', () => {
    expect(rule('scrap-density', 0.9, fresh(1)).verdict).toBe('marginal')
    expect(rule('scrap-density', 0.75, fresh(1)).verdict).toBe('marginal')
  })
  test('a leader: 1.5 times keeps, to 2 is marginal, 2 retires', () => {
    expect([45, 46, 59, 60].map((value) => rule('leader-black', value, fresh(30)).verdict)).toEqual([
      'keep',
      'marginal',
      'marginal',
      'failed',
    ])
    // 4 °C warmer it would be quicker: 36 s there are 45 s at 20 °C, and no pass
    expect(rule('leader-black', 36, fresh(30), { celsius: 24 })).toMatchObject({
      verdict: 'marginal',
      corrected: true,
      reason: expect.stringContaining('4.0 °C'),
    })
    expect(rule('leader-black', 12, fresh(30)).rule).toBe('leader-fast')
  })
  test('a developer’s pH: 0.1 nothing, 0.2 warns, 0.3 retires, and it never passes', () => {
    expect([8.5, 8.4, 8.31].map((value) => rule('developer-ph', value, fresh(8.6)).verdict)).toEqual(['keep', 'marginal', 'marginal'])
    expect(rule('developer-ph', 8.3, fresh(8.6))).toMatchObject({ verdict: 'failed', rule: 'ph-0.3' })
    expect(rule('developer-ph', 8.6, fresh(8.6)).reason).toContain('never pass')
    expect(() => rule('developer-ph', 8.6, fresh(8.6), { celsius: 30 })).toThrow(code('wrong-temperature'))
  })
  test('clearing: fix twice the time, three times for slow film, retire at twice the fresh', () => {
    expect(rule('clearing-time', 40, fresh(30), { celsius: 20 })).toMatchObject({ verdict: 'keep', fixS: 80, corrected: false })
    expect(rule('clearing-time', 40, fresh(30), { celsius: 20, slowClearing: true }).fixS).toBe(120)
    expect(rule('clearing-time', 60, fresh(30), { celsius: 20.5 })).toMatchObject({ verdict: 'failed', retire: true, fixS: null })
  })
  test('a clearing time 4 °C away is corrected by 5 % a degree and says so', () => {
    expect(clearingAt(40, 24, 20)).toBeCloseTo(40 * 1.05 ** 4, 9)
    const warm = rule('clearing-time', 50, fresh(30), { celsius: 24 })
    expect(warm).toMatchObject({ corrected: true, verdict: 'failed' })
    expect(warm.restsOn).toContain('corrected')
  })
  test('without a reference the verdict says what it rests on instead of passing', () => {
    const none = rule('clearing-time', 40, null)
    expect(none).toMatchObject({ verdict: 'marginal', rule: 'no-reference', fixS: 80 })
    expect(none.restsOn).toContain('reference')
  })
  test('a reading without its conditions is no pass, and says what lacks', () => {
    const bare = (kind: Parameters<typeof judge>[0], value: number, reading: object = {}) =>
      judge(kind, { value, ...reading }, { reference: fresh(30) })
    expect(bare('leader-black', 30)).toMatchObject({ verdict: 'marginal', reason: expect.stringContaining('temperature was not written') })
    expect(bare('clearing-time', 33, { celsius: 20 })).toMatchObject({
      verdict: 'marginal',
      reason: expect.stringContaining('kind of film'),
    })
    expect(bare('clearing-time', 33, { celsius: 20, slowClearing: false }).verdict).toBe('keep')
    expect(judge('developer-ph', { value: 8.6 }, { reference: fresh(8.6) }).verdict).toBe('marginal')
    // a failure stays one
    expect(bare('leader-black', 70).verdict).toBe('failed')
  })
  test('a clearing time that cannot be is asked for again, and kept only with a reason: it shortens no fixing', () => {
    expect(() => rule('clearing-time', 8, fresh(68))).toThrow(code('implausible'))
    const kept = rule('clearing-time', 8, fresh(68), { doubtful: 'a new sort of film' })
    expect(kept).toMatchObject({ verdict: 'marginal', rule: 'clearing-fast', compared: null })
    expect(kept.fixS).toBeCloseTo(2 * 68, 0)
  })
  test('with the other kind of film it is brought to the fresh one’s', () => {
    const slow = rule('clearing-time', 64, { ...fresh(30), slowClearing: false }, { slowClearing: true })
    expect(slow).toMatchObject({ corrected: true, verdict: 'keep', fixS: 192 })
    expect(slow.ratio).toBeCloseTo(64 / 1.6 / 30, 2)
  })
  test('densities are net of base and fog: 1.15 over a base of 0.50 is 65 % of 1.50', () => {
    expect(rule('scrap-density', 1.15, fresh(1.5), { base: 0.5 })).toMatchObject({ verdict: 'failed', ratio: 0.65 })
    expect(rule('scrap-density', 1.4, fresh(1.5), { base: undefined })).toMatchObject({
      verdict: 'marginal',
      rule: 'density-keep-doubtful',
    })
    expect(rule('scrap-density', 1.8, fresh(1.5))).toMatchObject({ verdict: 'marginal', rule: 'density-over' })
    expect(() => rule('scrap-density', 0.3, fresh(1.5), { base: 0.5 })).toThrow(code('implausible'))
  })
  test.each([
    ['clearing-time', 0],
    ['leader-black', 0],
    ['developer-ph', 14.5],
    ['scrap-density', 6],
  ] as const)('a %s of %f is refused', (kind, value) => expect(() => rule(kind, value, fresh(30))).toThrow(code('implausible')))
  test('silver by what is fixed, fixer pH by class and shift, stop bath by its range', () => {
    const silver = (value: number) => judge('silver-paper', { value }, { reference: null, silverLimitGPerL: 2 }).verdict
    expect([1, 1.6, 2].map(silver)).toEqual(['keep', 'marginal', 'failed'])
    expect(fixerClassOf(4.4, true)).toBe('alum-hardening')
    expect(judge('fixer-ph', { value: 5.9 }, { reference: fresh(5), fixerClass: 'acid' }).rule).toBe('fixer-ph-0.5')
    expect(judge('fixer-ph', { value: 6.3 }, { reference: fresh(6), fixerClass: 'acid' }).rule).toBe('fixer-class')
    expect([4.9, 5.2, 7].map((value) => judge('stop-indicator', { value }, { reference: null }).verdict)).toEqual([
      'keep',
      'marginal',
      'failed',
    ])
  })
  test('what is seen is judged as it stands; a missing or unknown answer is refused', () => {
    expect(judge('iodide-drop', { look: 'cloud' }, { reference: null })).toMatchObject({ verdict: 'failed', retire: true })
    expect(() => judge('iodide-drop', { look: 'green' }, { reference: null })).toThrow(code('unknown-look'))
    expect(() => judge('clearing-time', {}, { reference: null })).toThrow(code('no-reading'))
    for (const guide of guides)
      for (const look of guide.looks) expect(judge(guide.kind, { look: look.value }, { reference: null }).rule).toBe(look.rule)
  })
})

describe('trends', () => {
  const doubling = (x: number) => ({ rollsPerLitre: x, seconds: 30 * 2 ** (x / 12) })
  test('an exponential doubling at 12 rolls a litre is found from any of its points', () => {
    expect(forecastClearing([doubling(0), doubling(4), doubling(7)])).toMatchObject({
      rollsPerLitreLeft: expect.closeTo(5, 9),
      low: expect.closeTo(5, 6),
      high: expect.closeTo(5, 6),
    })
    expect(forecastClearing([doubling(0), doubling(6)])).toEqual({ rollsPerLitreLeft: expect.closeTo(6, 9), low: null, high: null })
  })
  test('one reading, or a flat or falling trend, has no crossing; past it nothing is left', () => {
    expect([forecastClearing([doubling(0)]), forecastClearing([doubling(0), { rollsPerLitre: 5, seconds: 29 }])]).toEqual([null, null])
    expect(forecastClearing([doubling(0), doubling(15)])?.rollsPerLitreLeft).toBe(0)
    expect(() => forecastClearing([{ rollsPerLitre: 1, seconds: 0 }])).toThrow(code('out-of-range'))
  })
  test('the interval is where the 80 % band of a new reading meets twice the fresh time', () => {
    const points = [0, 3, 6, 9].map((x, i) => ({ rollsPerLitre: x, seconds: 30 * 2 ** (x / 12) * (i % 2 ? 1.01 : 0.99) }))
    const found = forecastClearing(points)
    const [low, high] = [found?.low ?? NaN, found?.high ?? NaN]
    expect(low < (found?.rollsPerLitreLeft ?? 0) && high > (found?.rollsPerLitreLeft ?? 0)).toBe(true)
    // the band worked out the long way at the two crossings, t(2 df, 0.90) = 1.8856
    const ys = points.map((one) => Math.log(one.seconds))
    const slope = points.reduce((sum, one, i) => sum + (one.rollsPerLitre - 4.5) * (ys[i] ?? 0), 0) / 45
    const mean = ys.reduce((a, b) => a + b) / 4
    const s = Math.sqrt(points.reduce((sum, one, i) => sum + ((ys[i] ?? 0) - mean - slope * (one.rollsPerLitre - 4.5)) ** 2, 0) / 2)
    const band = (x: number) => 1.8856 * s * Math.sqrt(1 + 1 / 4 + (x - 4.5) ** 2 / 45)
    const limit = Math.log(2 * (points[0]?.seconds ?? 0))
    expect(mean + slope * (9 + low - 4.5) + band(9 + low)).toBeCloseTo(limit, 3)
    expect(mean + slope * (9 + high - 4.5) - band(9 + high)).toBeCloseTo(limit, 3)
  })
  test('a straight reading that falls meets its limit from above', () => {
    const points = [0, 2, 4].map((x) => ({ rollsPerLitre: x, value: 1.4 - 0.05 * x }))
    expect(forecastReading(points, 1.05, 'down')?.rollsPerLitreLeft).toBeCloseTo(3, 9)
    expect(forecastReading(points, 2, 'up')).toBeNull()
  })
})

describe('control chart', () => {
  const limits = { mean: 0, action: 2, control: 3 }
  const rules = (points: number[]) => controlChart(points, limits).map((flag) => `${flag.index} ${flag.rule}`)
  test('each of the five rules speaks at the point that completes it', () => {
    expect(rules([0, 2.5])).toEqual(['1 action'])
    expect(rules([0, 2, -3.5])).toEqual(['2 control'])
    expect(rules([2.5, 0, 3.5])).toEqual(['0 action', '2 control', '2 two-of-three'])
    expect(rules([2.5, 0, -2.5])).toEqual(['0 action', '2 action'])
    // at the limit is not past it
    expect(rules([2, 0, 2])).toEqual([])
    expect(rules([2.5, 2])).toEqual(['0 action'])
    expect(rules([-1, -0.5, 0, 0.5, 1, 1.5, 1.6])).toEqual(['5 trend', '6 trend'])
    expect(rules([1, 1, 1, 1, 1, 1, 1, 1, 1, 1])).toEqual(['8 side', '9 side'])
    expect(rules([1, 1, 1, 1, 0, 1, 1, 1, 1, 1])).toEqual([])
  })
  test('it is the same for points and limits moved and turned over together', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -5, max: 5 }), { maxLength: 20 }), fc.integer({ min: -9, max: 9 }), (points, shift) => {
        const moved = controlChart(
          points.map((one) => one + shift),
          { ...limits, mean: shift },
        )
        expect(moved).toEqual(controlChart(points, limits))
        expect(
          controlChart(
            points.map((one) => -one),
            limits,
          ),
        ).toEqual(controlChart(points, limits))
      }),
    )
  })
  test('limits of nothing are refused', () =>
    expect(() => controlChart([1], { mean: 0, action: 0, control: 1 })).toThrow(code('out-of-range')))
})

describe('control strips', () => {
  const strip = (part: object = {}) => ({ fog: 0.2, low: 0.5, high: 1.3, max: 2, ...part })
  const good = (n: number, batchId: (i: number) => string) => Array.from({ length: n }, (_, i) => ({ strip: strip(), batchId: batchId(i) }))
  test('a mean takes five strips of other batches, or a reference strip', () => {
    expect(
      stripMeans(
        null,
        good(6, (i) => `b${i % 2}`),
        'x',
      ).contrast,
    ).toBeCloseTo(0.8, 9)
    expect(() =>
      stripMeans(
        null,
        good(6, () => 'one'),
        'x',
      ),
    ).toThrow(code('no-reference'))
    expect(() => stripMeans(null, [...good(4, (i) => `b${i}`), { strip: strip(), batchId: 'x' }], 'x')).toThrow(code('no-reference'))
    expect(stripMeans(strip({ fog: 0.25 }), [], null).fog).toBe(0.25)
  })
  test('the newest strip says what to do and the usual cause', () => {
    const means = stripMeans(strip(), [], null)
    const says = (part: object) => judgeStrips([strip(), strip(part)], means)
    expect(says({ low: 0.59, high: 1.48 })).toMatchObject({
      newest: 'stop',
      says: expect.arrayContaining([expect.stringContaining('too warm')]),
    })
    expect(says({ low: 0.43, fog: 0.225, high: 1.23 })).toMatchObject({
      newest: 'second-strip',
      says: expect.arrayContaining([expect.stringContaining('contamination')]),
    })
    expect(says({ high: 1.23 })).toMatchObject({
      newest: 'second-strip',
      says: expect.arrayContaining([expect.stringContaining('exhausted')]),
    })
    expect(says({})).toMatchObject({ newest: 'in-control', says: [] })
  })
})

describe('instruments', () => {
  test('offsets are joined by a straight line and held beyond the outermost points', () => {
    const points = [
      { readC: 0.4, trueC: 0 },
      { readC: 20, trueC: 20.2 },
    ]
    expect(correctedTemperature(0.4, points)).toBeCloseTo(0, 9)
    expect(correctedTemperature(10.2, points)).toBeCloseTo(10.2 - 0.1, 9)
    expect(correctedTemperature(38, points)).toBeCloseTo(38.2, 9)
    expect([vouchesFor(38, points), vouchesFor(20, points), correctedTemperature(21, [])]).toEqual([false, true, 21])
  })
  test('safe is half of the shortest time whose coin shows', () => expect([safeMinutes(4), safeMinutes(null)]).toEqual([2, 4]))
})

describe('what is due', () => {
  const day = 86_400_000
  const bottle = (part: Partial<DueFacts> = {}): DueFacts => ({
    family: 'fixer',
    madeAt: 0,
    used: 0,
    retired: false,
    empty: false,
    tests: [],
    references: [],
    unexpectedAt: null,
    againAt: [],
    ...part,
  })
  const why = (part: Partial<DueFacts>, at: number, critical = false) =>
    dueTests(usualDueRules, bottle(part), { at: at * day, zone: 'UTC', critical }).map((due) => `${due.kind} ${due.why}`)
  const tested = (at: number, usedThen: number, kind: 'clearing-time' = 'clearing-time') => ({ kind, at: at * day, usedThen, fresh: false })
  test('the reference while it is fresh, then after days, after a share of the capacity, and when asked for again', () => {
    expect(why({}, 1)).toEqual(['clearing-time reference'])
    expect(why({ references: ['clearing-time'] }, 1)).toEqual([])
    expect(why({}, 31)).toEqual(['clearing-time days'])
    expect(why({ tests: [tested(5, 0)] }, 31)).toEqual([])
    expect(why({ tests: [tested(5, 0.1)], used: 0.35 }, 6)).toEqual(['clearing-time share'])
    expect(why({ tests: [tested(5, 0)], againAt: [{ kind: 'clearing-time', at: 8 * day }] }, 9)).toEqual(['clearing-time again'])
    expect(why({ tests: [tested(5, 0)], unexpectedAt: 6 * day }, 7)).toEqual(['clearing-time unexpected'])
  })
  test('a critical session wants a test of the same day; a retired bottle none', () => {
    expect(why({ tests: [tested(5, 0)] }, 7, true)).toEqual(['clearing-time critical'])
    expect(why({ tests: [tested(6.9, 0)] }, 7.1, true)).toEqual(['clearing-time critical'])
    expect(why({ tests: [tested(7.1, 0)] }, 7.9, true)).toEqual([])
    expect(why({ retired: true }, 99, true)).toEqual([])
  })
})

test('a capacity of one’s own takes four tested bottles, and comes with its interval', () => {
  const ended = (at: number) => ({ clearing: [], failedAtRollsPerL: at })
  expect(capacityFromTests([ended(18), ended(20), ended(22)])).toBeNull()
  const found = capacityFromTests([
    ended(18),
    ended(20),
    ended(22),
    { clearing: [0, 6, 12].map((x) => ({ rollsPerLitre: x, seconds: 30 * 2 ** (x / 20) })), failedAtRollsPerL: null },
  ])
  expect(found).toMatchObject({ rollsPerL: expect.closeTo(20, 6), bottles: 4 })
  // s = 1.633, t(3 df) = 1.6377, over √4
  expect((found?.high ?? 0) - 20).toBeCloseTo((1.6377 * 1.63299) / 2, 3)
})

test('a guide is found by its kind', () => expect(guideOf('iodide-drop').helps).toBe('refix'))

describe('fixingTime', () => {
  const read = (seconds: number, celsius: number, slow = false) => ({ seconds, celsius, slow })
  test.each([
    ['30 s at 24 °C for a run at 18', [read(30, 24)], { runC: 18, slow: false }, 80],
    ['90 s at 24 °C for a run at 20', [read(90, 24)], { runC: 20, slow: false }, 219],
    ['of ordinary film for a slow one', [read(40, 20)], { runC: 20, slow: true }, 3 * 40 * 1.6],
    ['of both kinds: the one that was read with it', [read(40, 20), read(50, 20, true)], { runC: 20, slow: true }, 150],
    ['the newest of a kind', [read(40, 20), read(60, 20)], { runC: 20, slow: false }, 120],
    ['never under a minute', [read(8, 20)], { runC: 20, slow: false }, 60],
  ])('%s', (_name, readings, run, seconds) => expect(fixingTime(readings, { ...run, salt: 'ammonium' })).toBeCloseTo(seconds, -0.5))
  test('plain thiosulfate never under three minutes, and nothing without a reading', () => {
    expect(fixingTime([read(30, 20)], { runC: 20, slow: false, salt: 'plain' })).toBe(180)
    expect(fixingTime([], { runC: 20, slow: false, salt: 'plain' })).toBeNull()
  })
})

describe('readings at their limit and in their scatter', () => {
  test('a strip exactly at a limit is never past it', () => {
    for (let i = 0; i <= 1000; i++) {
      const mean = i / 500
      expect(controlChart([mean + 0.06], { mean, action: 0.06, control: 0.08 })).toEqual([])
      expect(controlChart([mean - 0.08], { mean, action: 0.06, control: 0.08 }).map(({ rule }) => rule)).toEqual(['action'])
    }
  })
  test('a strip whose densities do not rise is refused', () => {
    expect(() => requireStrip({ fog: 0.1, low: 0.8, high: 1.4, max: 0.5 })).toThrow(code('implausible'))
    expect(() => requireStrip({ fog: 0.1, low: 0.8, high: 1.4, max: 1.4 })).not.toThrow()
  })
  test('fresh 30 s, 45 at 10 and 50 at 14 rolls a litre leave 4.4', () => {
    const readings = [
      { rollsPerLitre: 0, seconds: 30 },
      { rollsPerLitre: 10, seconds: 45 },
      { rollsPerLitre: 14, seconds: 50 },
    ]
    expect(forecastClearing(readings)?.rollsPerLitreLeft).toBeCloseTo(4.4, 1)
    expect(isTrend(readings)).toBe(true)
  })
  test('a rise within the readings’ own scatter is no trend', () =>
    expect(isTrend([30, 34, 28, 33, 31, 32].map((seconds, i) => ({ rollsPerLitre: 3 * i, seconds })))).toBe(false))
})
