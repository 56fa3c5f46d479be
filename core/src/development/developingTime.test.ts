import fc from 'fast-check'
import { checkChart } from './checkChart'
import { timeAtAny } from './chartTime'
import { developingTime } from './developingTime'
import { loadFactors, pushFindings } from './factors'

const two = [
  { temperatureC: 24, seconds: 360 },
  { temperatureC: 20, seconds: 480 },
]

test('one charted temperature goes by the coefficient, within six degrees', () => {
  const time = developingTime({ chart: [{ temperatureC: 20, seconds: 480 }], temperatureC: 19 })
  expect(time.seconds).toBeCloseTo(480 * Math.exp(0.081), 9)
  expect(() => developingTime({ chart: [{ temperatureC: 20, seconds: 480 }], temperatureC: 26.1 })).toThrow(
    expect.objectContaining({ code: 'outside-range' }),
  )
})

test('between charted temperatures ln t is a straight line; beyond them it goes on for two degrees and says so', () => {
  expect(developingTime({ chart: two, temperatureC: 22 }).seconds).toBeCloseTo(Math.sqrt(480 * 360), 6)
  expect(developingTime({ chart: two, temperatureC: 22 })).toMatchObject({ baseC: 20, baseSeconds: 480, findings: [] })
  expect(developingTime({ chart: two, temperatureC: 24 })).toMatchObject({ seconds: 360, steps: [{ name: 'temperature', factor: 1 }] })
  expect(developingTime({ chart: two, temperatureC: 26 }).findings[0]?.rule).toBe('plan-extrapolated')
  expect(developingTime({ chart: two, temperatureC: 18 }).seconds).toBeGreaterThan(480)
  expect(() => developingTime({ chart: two, temperatureC: 26.01 })).toThrow(expect.objectContaining({ code: 'outside-range' }))
})

test('every factor is shown and their product is the time, exactly', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 18, max: 26, noNaN: true }),
      fc.integer({ min: -2, max: 3 }),
      fc.boolean(),
      (temperatureC, pushStops, rotary) => {
        const time = developingTime({ chart: two, temperatureC, factors: loadFactors({ pushStops, rotary }) })
        expect(time.seconds).toBe(time.steps.reduce((product, step) => product * step.factor, time.baseSeconds))
      },
    ),
  )
  expect(loadFactors({ pushStops: 2, rotary: true }).map((factor) => factor.factor)).toEqual([1.35 ** 2, 0.85])
})

test.each([
  ['no-chart', { chart: [], temperatureC: 20 }],
  ['chart-conflict', { chart: [...two, { temperatureC: 20, seconds: 500 }], temperatureC: 21 }],
  ['outside-range', { chart: two, temperatureC: 19, rangeC: [20, 24] as [number, number] }],
  ['out-of-range', { chart: two, temperatureC: NaN }],
])('%s is refused', (code, question) => expect(() => developingTime(question)).toThrow(expect.objectContaining({ code })))

test('what is wrong elsewhere in the chart stops no plan', () => {
  const three = [...two, { temperatureC: 28, seconds: 270 }, { temperatureC: 28, seconds: 400 }]
  expect(developingTime({ chart: three, temperatureC: 22 }).seconds).toBeCloseTo(Math.sqrt(480 * 360), 6)
  expect(developingTime({ chart: three, temperatureC: 24 }).seconds).toBe(360)
  expect(() => developingTime({ chart: three, temperatureC: 26 })).toThrow(expect.objectContaining({ code: 'chart-conflict' }))
  const rising = [...two, { temperatureC: 26, seconds: 500 }]
  expect(developingTime({ chart: rising, temperatureC: 25 }).findings.map((one) => one.rule)).toEqual(['plan-chart-rising'])
})
test('a chart is looked at when it is written', () => {
  const rules = (...rows: [number, number][]) =>
    checkChart(rows.map(([temperatureC, seconds]) => ({ temperatureC, seconds }))).map((one) => one.rule)
  expect(rules([20, 480], [24, 350])).toEqual([])
  expect(rules([20, 480], [24, 520])).toEqual(['chart-rising'])
  expect(rules([20, 480], [20, 500])).toEqual(['chart-twice'])
  expect(rules([20, 480], [22, 48])).toEqual(['chart-steep'])
})
test('a drum develops faster, unless the film had a long pre-wet', () => {
  const rotary = (preWetS: number) => loadFactors({ pushStops: 0, rotary: true, preWetS }).map((one) => one.factor)
  expect([rotary(0), rotary(60), rotary(120), rotary(300)]).toEqual([[0.85], [0.85], [], []])
})

describe('at its edges', () => {
  const one = [{ temperatureC: 20, seconds: 480 }]
  const at = (temperatureC: number, part: Partial<Parameters<typeof developingTime>[0]> = {}) =>
    developingTime({ chart: two, temperatureC, ...part })
  const code = (work: () => unknown): string => {
    try {
      work()
      return 'answered'
    } catch (error) {
      return (error as { code: string }).code
    }
  }

  test('six degrees from one row and two beyond several are still answered', () => {
    expect(at(26, { chart: one }).seconds).toBeCloseTo(480 * Math.exp(-6 * 0.081), 9)
    expect(at(14, { chart: one }).seconds).toBeCloseTo(480 * Math.exp(6 * 0.081), 9)
    expect(code(() => at(13.9, { chart: one }))).toBe('outside-range')
    expect(at(26).seconds).toBeCloseTo(360 * Math.sqrt(360 / 480), 6)
    expect([code(() => at(18)), code(() => at(17.99))]).toEqual(['answered', 'outside-range'])
    expect([at(24).findings, at(20).findings, at(24.1).findings.length]).toEqual([[], [], 1])
  })
  test('a developer’s own range holds to its ends', () => {
    const rangeC: [number, number] = [20, 24]
    expect([19.99, 20, 24, 24.01].map((celsius) => code(() => at(celsius, { rangeC })))).toEqual([
      ...['outside-range', 'answered', 'answered', 'outside-range'],
    ])
  })
  test('the base is the charted row nearest, the cooler of two as near; rows may be written in any order', () => {
    expect([at(22.9).baseC, at(22).baseC, at(21).baseC, at(23).seconds < at(21).seconds]).toEqual([24, 20, 20, true])
    expect(at(22, { chart: [...two].reverse() })).toEqual(at(22))
    const three = [...two, { temperatureC: 28, seconds: 270 }]
    expect(at(26, { chart: three }).seconds).toBeCloseTo(Math.sqrt(360 * 270), 6)
    expect(at(27.5, { chart: three }).baseC).toBe(28)
  })
  test('times that do not fall are said; no less time is as bad as more', () => {
    const rules = (seconds: number) =>
      at(22, {
        chart: [
          { temperatureC: 20, seconds: 480 },
          { temperatureC: 24, seconds },
        ],
      }).findings.map((f) => f.rule)
    expect([rules(479), rules(480), rules(481)]).toEqual([[], ['plan-chart-rising'], ['plan-chart-rising']])
  })
  test('what is no time, no temperature, no factor and no coefficient is refused by name', () => {
    const odd = (row: object) => () => at(22, { chart: [...two, { temperatureC: 30, seconds: 200, ...row }] })
    expect([code(odd({ seconds: 0 })), code(odd({ temperatureC: NaN }))]).toEqual(['out-of-range', 'out-of-range'])
    expect(() => at(22, { factors: [{ name: 'rotary', factor: 0 }] })).toThrow('rotary')
    expect([NaN, -0.01, 0].map((k) => code(() => at(22, { k })))).toEqual(['out-of-range', 'out-of-range', 'answered'])
    expect(at(25, { chart: one, k: 0 }).seconds).toBe(480)
  })
})

test('a bath that drifts is followed beyond the chart as well, along its ends or by the coefficient', () => {
  const along = timeAtAny(two)
  expect([along(20), along(24)]).toEqual([expect.closeTo(480, 9), expect.closeTo(360, 9)])
  expect(along(22)).toBeCloseTo(Math.sqrt(480 * 360), 6)
  expect(along(28)).toBeCloseTo((360 * 360) / 480, 6)
  expect(along(16)).toBeCloseTo((480 * 480) / 360, 6)
  expect(timeAtAny([...two, { temperatureC: 24, seconds: 360 }])(28)).toBeCloseTo(along(28), 9)
  const three = timeAtAny([{ temperatureC: 28, seconds: 300 }, ...two])
  expect([three(30), three(18)]).toEqual([expect.closeTo(300 * Math.sqrt(300 / 360), 6), expect.closeTo(480 * Math.sqrt(480 / 360), 6)])
  const single = timeAtAny([{ temperatureC: 20, seconds: 480 }])
  expect([single(30), timeAtAny([{ temperatureC: 20, seconds: 480 }], 0.1)(10)]).toEqual([
    expect.closeTo(480 * Math.exp(-0.81), 9),
    expect.closeTo(480 * Math.E, 6),
  ])
  expect(() => timeAtAny([])).toThrow(expect.objectContaining({ code: 'no-chart' }))
})

test('the chart’s check takes rows in any order, and says how fast their times fall', () => {
  const check = (...rows: [number, number][]) => checkChart(rows.map(([temperatureC, seconds]) => ({ temperatureC, seconds })))
  const rules = (...rows: [number, number][]) => check(...rows).map((one) => one.rule)
  expect(rules([24, 350], [20, 480])).toEqual([])
  expect(rules([20, 480], [28, 256], [24, 350])).toEqual([])
  expect(rules([20, 480], [24, 480])).toEqual(['chart-rising'])
  // three and twenty per cent a degree are the last that are believed
  const falling = (perC: number) => rules([20, 600], [24, 600 * Math.exp(-4 * perC)])
  expect([falling(0.029), falling(0.0301), falling(0.1999), falling(0.201)]).toEqual([['chart-steep'], [], [], ['chart-steep']])
  expect(check([20, 600], [24, 600 * Math.exp(-4 * 0.25)])[0]?.message).toContain('25 % a degree')
})

test('beyond three stops of push and two of pull it is said that no factor is good for that', () => {
  expect([3, 4, -2, -3].map((stops) => pushFindings(stops).length)).toEqual([0, 1, 0, 1])
  expect(loadFactors({ pushStops: -2, rotary: false })).toEqual([{ name: 'pull 2', factor: expect.closeTo(0.64, 9) as number }])
  expect(loadFactors({ pushStops: 0, rotary: false })).toEqual([])
  expect(() => loadFactors({ pushStops: NaN, rotary: false })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  expect(loadFactors({ pushStops: 0, rotary: true, preWetS: 119 })).toHaveLength(1)
})
