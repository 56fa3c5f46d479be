import fc from 'fast-check'
import { contactTime } from './contact'
import { dodgeBurn, placeTimes } from './dodgeBurn'
import { dryTime } from './dryDown'
import { emergenceFactor, emergenceRatio, emergenceSays, developedBy } from './emergence'
import { columnMm, enlargedTime, enlargementAt, lensStop, meteredTime, stoppedTime, workedOutAdvice } from './enlarging'
import { exposedBy, exposureAdvice, measuresOf, percentOf, stopsBetween, stopsOfPercent } from './exposure'
import { dialsFor, setFactor, settingFor, settingGives, type Wedge } from './filters'
import { gradeBy, gradeFor, grades, paperTime, rangeWanted } from './grade'
import { paperSteps, washedAt } from './paperSteps'
import { exposuresOf, lampLag, lampTimes, stripIncrements, stripReading, stripTotals, type StripSteps } from './strip'
import { matchedFactor, matchedWithin } from './swapped'
import { fixedPerLitre, printEquivalents, trayMl, trayShare } from './trayLife'

const figures = (values: number[], digits: number): number[] => values.map((one) => Number(one.toFixed(digits)))
const seconds = fc.double({ min: 0.1, max: 600, noNaN: true })
const stops = fc.double({ min: -4, max: 4, noNaN: true })

describe('an exposure in three measures', () => {
  test('percent and stops', () => {
    expect(figures([20, -20].map(stopsOfPercent), 3)).toEqual([0.263, -0.322])
    expect(figures([1 / 3, 1 / 6, 1 / 12].map(percentOf), 2)).toEqual([25.99, 12.25, 5.95])
    // a fifth more and a fifth less is not where it was
    expect(exposedBy(exposedBy(10, stopsOfPercent(20)), stopsOfPercent(-20))).toBeCloseTo(9.6, 9)
    expect(measuresOf(12, 10)).toEqual({ seconds: 12, stops: stopsBetween(10, 12), percent: expect.closeTo(20, 9) })
    expect(() => stopsOfPercent(-100)).toThrow(/above 0/)
    expect(() => exposedBy(0, 1)).toThrow()
  })

  test('a change and its opposite are where it began, and changes add up', () => {
    fc.assert(
      fc.property(seconds, stops, stops, (t, one, other) => {
        expect(exposedBy(exposedBy(t, one), -one)).toBeCloseTo(t, 6)
        expect(exposedBy(exposedBy(t, one), other) / exposedBy(t, one + other)).toBeCloseTo(1, 9)
      }),
    )
  })

  test('too short and too long are said', () => {
    expect([4.9, 5, 60, 61].map((one) => exposureAdvice(one).map((finding) => finding.rule))).toEqual([
      ['print-short'],
      [],
      [],
      ['print-long'],
    ])
  })
})

describe('strips', () => {
  test('in equal stops, covered band by band', () => {
    expect(figures(stripTotals({ by: 'stops', firstS: 8, stepStops: 0.5 }, 5), 2)).toEqual([8, 11.31, 16, 22.63, 32])
    expect(figures(stripIncrements({ firstS: 8, stepStops: 0.5, bands: 5 }), 2)).toEqual([8, 3.31, 4.69, 6.63, 9.37])
    expect(figures(stripIncrements({ firstS: 5, stepStops: 1 / 3, bands: 7 }), 2)).toEqual([5, 1.3, 1.64, 2.06, 2.6, 3.27, 4.13])
  })

  test('whichever way, each band comes to its total', () => {
    const steps = fc.oneof(
      fc.record({ by: fc.constant('stops' as const), firstS: seconds, stepStops: fc.double({ min: 1 / 12, max: 1, noNaN: true }) }),
      fc.record({ by: fc.constant('seconds' as const), firstS: seconds }),
    )
    fc.assert(
      fc.property(steps, fc.integer({ min: 1, max: 12 }), (one: StripSteps, bands) => {
        const totals = stripTotals(one, bands)
        const sum = (list: number[]): number => list.reduce((all, next) => all + next, 0)
        const [cover, bare] = [exposuresOf(one, bands, 'cover'), exposuresOf(one, bands, 'uncover')]
        // the band that is covered i-th has the first i + 1 exposures; the one that is bared last has only the last
        totals.forEach((total, i) => {
          expect(sum(cover.slice(0, i + 1)) / total).toBeCloseTo(1, 9)
          expect(sum(bare.slice(bands - 1 - i)) / total).toBeCloseTo(1, 9)
        })
        expect(exposuresOf(one, bands, 'mask')).toEqual(totals)
      }),
    )
  })

  test('a band, or between two, is read', () => {
    const steps: StripSteps = { by: 'stops', firstS: 8, stepStops: 0.5 }
    expect(stripReading(steps, 5, [2])).toBeCloseTo(16, 9)
    expect(stripReading(steps, 5, [2, 3])).toBeCloseTo(8 * 2 ** 1.25, 9)
    expect(stripReading({ by: 'seconds', firstS: 4 }, 5, [2, 1])).toBe(10)
    for (const wrong of [[5], [1, 3]] as [number][]) expect(() => stripReading(steps, 5, wrong)).toThrow(/bands/)
    expect(() => stripTotals(steps, 2.5)).toThrow(/whole number/)
  })

  test('the lamp’s lag is added to each, and what is short is said', () => {
    expect(lampLag(0.09)).toBeCloseTo(0.1, 9)
    const { onS, findings } = lampTimes(stripIncrements({ firstS: 5, stepStops: 1 / 3, bands: 4 }), 0.1)
    expect(figures(onS, 2)).toEqual([5.1, 1.4, 1.74, 2.16])
    expect(findings.map((one) => [one.rule, one.severity])).toEqual([['print-lag', 'warning']])
    expect(lampTimes([2], 0.1).findings).toEqual([])
    expect(() => lampTimes([2], -0.1)).toThrow()
  })
})

test('enlargement, lens stop, light meter and column', () => {
  const larger = enlargedTime({ seconds: 10, fromM: 4, toM: 8 })
  expect([larger, figures([stopsBetween(10, larger)], 2)[0]]).toEqual([expect.closeTo(32.4, 9), 1.7])
  expect(stoppedTime({ seconds: 10, fromN: 8, toN: 11 })).toBeCloseTo(20, 9)
  // two stops open
  expect(enlargedTime({ seconds: stoppedTime({ seconds: 10, fromN: 8, toN: 4 }), fromM: 4, toM: 8 })).toBeCloseTo(8.1, 9)
  expect([1.4, 2.8, 3.5, 5.6, 6.7, 11, 22, 45].map((one) => Math.log2(lensStop(one) ** 2))).toEqual(
    [1, 3, 11 / 3, 5, 5.5, 7, 9, 11].map((one) => expect.closeTo(one, 6)),
  )
  expect(meteredTime({ seconds: 10, fromLux: 4, toLux: 8 })).toBe(5)
  expect(columnMm({ focalMm: 50, m: 8 })).toBe(506.25)
  fc.assert(
    fc.property(fc.double({ min: 1.01, max: 30, noNaN: true }), (m) => {
      expect(enlargementAt({ focalMm: 80, columnMm: columnMm({ focalMm: 80, m }) })! / m).toBeCloseTo(1, 5)
    }),
  )
  expect(enlargementAt({ focalMm: 50, columnMm: 199 })).toBeNull()
  expect([workedOutAdvice(10, 41), workedOutAdvice(10, 40), workedOutAdvice(100, 121)].map((one) => one.length)).toEqual([1, 0, 1])
})

describe('grades', () => {
  test('of a range number, and from the light on the easel', () => {
    expect([171, 170, 141, 140.4, 140.5, 115, 114.4, 95, 94, 80, 79, 65, 64, 50, 49.4].map(gradeFor)).toEqual([
      '00',
      0,
      0,
      1,
      0,
      1,
      2,
      2,
      3,
      3,
      4,
      4,
      5,
      5,
      null,
    ])
    const range = rangeWanted({ shadowLux: 32, highlightLux: 2 })
    expect([figures([range], 1)[0], gradeFor(range)]).toEqual([120.4, 1])
    expect(() => rangeWanted({ shadowLux: 2, highlightLux: 32 })).toThrow(/thin in the negative/)
    expect(paperTime({ seconds: 12, fromSpeed: 250, toSpeed: 160 })).toBe(18.75)
  })

  test('half a grade harder, and no harder than there is', () => {
    expect([gradeBy('2', 1), gradeBy('2', -2), gradeBy('5', 3), gradeBy('0', -2), gradeBy('00', 2), gradeBy('00', -1)]).toEqual([
      '2.5',
      '1',
      '5',
      '00',
      '0',
      '00',
    ])
  })

  test('dials stand as their table, scaled to what they count to', () => {
    expect(dialsFor('1.5', { kind: 'single', max: 170 })).toEqual({ y: 40, m: 0 })
    expect(dialsFor('4', { kind: 'double', max: 170 })).toEqual({ y: 10, m: 85 })
    expect(dialsFor('5', { kind: 'single', max: 130 })).toEqual({ y: 0, m: 130 })
    expect(dialsFor('2.5', { kind: 'double', max: 170 })).toEqual({ y: 32.5, m: 35 })
    expect(() => dialsFor('00', { kind: 'double', max: 170 })).toThrow(/yellow alone/)
    expect(grades.map(setFactor)).toEqual([1, 1, 1, 1, 1, 1, 1, 1, 2, 2, 2])
  })

  test('a head that is calibrated is read between its wedges, both ways', () => {
    const wedges: Wedge[] = [
      { y: 0, m: 30, range: 92, speed: 160 },
      { y: 0, m: 0, range: 104, speed: 200, lightSpeed: 190 },
      { y: 60, m: 0, range: 128, speed: 220 },
    ]
    expect(settingGives({ y: 0, m: 15 }, wedges)).toEqual({ range: 98, speed: 180 })
    fc.assert(
      fc.property(fc.double({ min: 92, max: 128, noNaN: true }), (range) => {
        const found = settingFor(range, wedges)!
        expect(settingGives(found, wedges).range).toBeCloseTo(range, 6)
      }),
    )
    expect([settingFor(91, wedges), settingFor(129, wedges)]).toEqual([null, null])
    expect(() => settingGives({ y: 0, m: 31 }, wedges)).toThrow(/outside the wedges/)
    expect(() => settingGives({ y: 0, m: 15 }, wedges, 'light')).toThrow(/not read at a light tone/)
    expect(() => settingFor(100, wedges.slice(1, 2))).toThrow(/two wedges/)
  })

  test('two changes of grade are one', () => {
    const speed = fc.double({ min: 20, max: 800, noNaN: true })
    fc.assert(
      fc.property(seconds, speed, speed, speed, (t, one, two, three) => {
        const first = paperTime({ seconds: t, fromSpeed: one, toSpeed: two })
        const both = paperTime({ seconds: first, fromSpeed: two, toSpeed: three })
        expect(both / paperTime({ seconds: t, fromSpeed: one, toSpeed: three })).toBeCloseTo(1, 9)
      }),
    )
  })
})

test('places held back and burned in go by the base, and must fit into it', () => {
  const times = [-0.5, 1 / 3, 1].map((one) => dodgeBurn({ baseS: 16, stops: one }))
  expect(figures(times, 2)).toEqual([-4.69, 4.16, 16])
  const { heldBackS, findings } = placeTimes(20, [
    { name: 'face', stops: -1 },
    { name: 'hand', stops: -0.5 },
  ])
  expect([figures([heldBackS], 2)[0], findings]).toEqual([15.86, []])
  const too = placeTimes(20, [
    { name: 'face', stops: -1 },
    { name: 'hand', stops: -1.2 },
    { name: 'sky', stops: 1, ownBaseS: 8 },
  ])
  expect(too.findings.map((one) => one.rule)).toEqual(['print-dodges'])
  expect(too.times[2]).toEqual({ name: 'sky', stops: 1, seconds: 8, when: 'after' })
  fc.assert(
    fc.property(seconds, fc.double({ min: 0.01, max: 4, noNaN: true }), stops, (t, factor, one) => {
      expect(dodgeBurn({ baseS: t * factor, stops: one })).toBeCloseTo(factor * dodgeBurn({ baseS: t, stops: one }), 6)
    }),
  )
})

test('drying darkens', () => {
  const dry = dryTime(20, 0.1)
  expect([dry, figures([stopsBetween(20, dry)], 3)[0]]).toEqual([18, -0.152])
  expect(() => dryTime(20, 0.6)).toThrow()
})

test('the standard contact time is the first step that cannot be told from the next', () => {
  const strip = [4, 5.66, 8, 11.3, 16, 22.6].map((s, i) => ({ s, density: [1.4, 1.75, 1.95, 2.05, 2.07, 2.08][i] ?? 0 }))
  expect(contactTime(strip)).toBe(11.3)
  expect(contactTime(strip.slice(0, 4))).toBeNull()
  expect(() => contactTime(strip.slice(0, 1))).toThrow(/two steps/)
})

describe('print chemistry', () => {
  test('emergence: a factor, and a cold bath is no tired one', () => {
    expect(emergenceFactor({ developS: 120, emergenceS: 20, base: 'fibre', holdsDeveloper: false })).toBe(6)
    expect(developedBy({ factor: 6, emergenceS: 25 })).toBe(150)
    const ratio = emergenceRatio({ seconds: 25, c: 18, freshS: 20 })
    expect(figures([20 * ratio, ratio], 3)).toEqual([21.261, 1.063])
    expect([1.49, 1.5, 1.99, 2].map((one) => emergenceSays(one).map((finding) => finding.rule)[0])).toEqual([
      undefined,
      'tray-replace',
      'tray-replace',
      'tray-retire',
    ])
    expect(() => emergenceFactor({ developS: 60, emergenceS: 5, base: 'rc', holdsDeveloper: true })).toThrow(/developing agent/)
  })

  test('trays: how much, and how long they live', () => {
    const equivalents = printEquivalents({ widthCm: 24, heightCm: 30.5, count: 6 })
    expect(figures([equivalents], 2)).toEqual([8.51])
    expect(trayShare({ openH: 4, equivalents: 10, ml: 1000, base: 'fibre' })).toBe(1)
    expect(trayShare({ openH: 4, equivalents: 10, ml: 1000, base: 'rc' })).toBe(0.75)
    expect([fixedPerLitre('rc', 'one'), fixedPerLitre('fibre', 'one'), fixedPerLitre('fibre', 'keeping')]).toEqual([34, 17, 8])
    expect([
      trayMl({ insideCm2: 700, paperCm2: 500 }),
      trayMl({ insideCm2: 1575, paperCm2: 1200 }),
      trayMl({ insideCm2: 2400, paperCm2: 2000 }),
    ]).toEqual([1000, 2000, 2880])
  })

  test('what a print goes through, by its paper, its fixer and its water', () => {
    const of = (more: object) =>
      paperSteps({ base: 'fibre', fixer: 'ammonium-paper', twoBaths: true, aid: true, waterC: 18, ...more } as Parameters<
        typeof paperSteps
      >[0])
    expect(of({}).map((one) => [one.kind, one.s])).toEqual([
      ['develop', 150],
      ['stop', 30],
      ['fix', 90],
      ['fix', 90],
      ['rinse', 300],
      ['wash-aid', 600],
      ['wash', 1200],
    ])
    expect(
      of({ aid: false, waterC: 12 })
        .map((one) => one.s)
        .slice(-2),
    ).toEqual([450, 5400])
    expect(of({ fixer: 'plain', twoBaths: false }).find((one) => one.kind === 'fix')?.s).toBe(480)
    expect(of({ base: 'rc' }).map((one) => one.s)).toEqual([75, 10, 60, 180])
    expect(of({ base: 'rc' }).find((one) => one.kind === 'fix')?.maxS).toBe(120)
    expect(() => of({ base: 'rc', fixer: 'plain' })).toThrow(/ammonium/)
    expect(() => of({ waterC: 9 })).toThrow(/does not wash/)
    expect(washedAt([0, 600_000, 300_000], 1200)).toBe(1_800_000)
  })

  test('another developer is a factor, and says where the contrast moved', () => {
    const same = matchedFactor({ light: { beforeS: 12, afterS: 15 }, dark: { beforeS: 20, afterS: 25 } })
    expect([same.factor, figures([same.stops], 2)[0], same.findings]).toEqual([1.25, 0.32, []])
    expect(22 * same.factor).toBe(27.5)
    const softer = matchedFactor({ light: { beforeS: 10, afterS: 10 }, dark: { beforeS: 20, afterS: 24 } })
    expect(softer.findings[0]?.message).toMatch(/prints softer: try half a grade harder/)
    expect(figures([1 / 6, 1 / 12].map(matchedWithin), 0)).toEqual([6, 3])
  })
})
