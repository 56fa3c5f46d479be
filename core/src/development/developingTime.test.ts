import fc from 'fast-check'
import { checkChart } from './checkChart'
import { developingTime } from './developingTime'
import { loadFactors } from './factors'

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
