import { houseProcesses } from './families'
import type { Load, PlanBottle } from './load'
import type { Process } from './process'
import type { ProcessStep } from './step'
import { timeOfStep } from './timeOfStep'

const [hand] = houseProcesses
const code = (name: string) => expect.objectContaining({ code: name })
const step = (part: Partial<ProcessStep>): ProcessStep => ({
  ...{
    key: 'one',
    kind: 'develop',
    name: 'One',
    liquid: { role: 'developer' },
    time: { s: 300 },
    toleranceC: 0.5,
    light: 'tank',
    fate: 'back',
  },
  ...part,
})
interface Asked extends Partial<Load> {
  at?: number
  chartS?: number | null
  used?: number
  rollsPerL?: number
  steps?: ProcessStep[]
}
const asked = (one: ProcessStep, { at = 20, chartS = null, used = 1, rollsPerL = 0, steps = [], ...load }: Asked = {}) =>
  timeOfStep(one, {
    process: { ...hand, steps: [one, ...steps] } as Process,
    load: { pushStops: 0, ...load } as Load,
    ...{ chartS, temperatureC: at, bottle: { timeFactor: used } as PlanBottle, rollsPerL },
  })
const seconds = (...given: Parameters<typeof asked>) => asked(...given).seconds
const factors = (...given: Parameters<typeof asked>) => asked(...given).factors.map((one) => [one.name, one.factor])

describe('a time by its temperature', () => {
  const table = step({ time: { table: [{ c: 37.8, s: 195 }, { c: 25, s: 855 }, { c: 30, s: 480 }] } }) // prettier-ignore
  test('is that of its row, in whatever order they stand', () =>
    expect([25, 30, 37.8].map((at) => seconds(table, { at }))).toEqual([855, 480, 195]))
  test('lies between two of them where ln t is straight', () => {
    const between = (c: number, [c0, s0]: [number, number], [c1, s1]: [number, number]) => s0 * (s1 / s0) ** ((c - c0) / (c1 - c0))
    expect(seconds(table, { at: 27 })).toBeCloseTo(between(27, [25, 855], [30, 480]), 9)
    expect(seconds(table, { at: 35 })).toBeCloseTo(between(35, [30, 480], [37.8, 195]), 9)
  })
  test('holds as far beyond its ends as the step bears, and no farther', () => {
    expect([24.5, 38.3].map((at) => seconds(table, { at }))).toEqual([855, 195])
    for (const at of [24.4, 38.4]) expect(() => seconds(table, { at })).toThrow(code('outside-range'))
    expect(() => seconds(table, { at: 40 })).toThrow('One has times from 25.0 °C to 37.8 °C: bring it there, it has 40.0 °C.')
  })
  test('with one row is that row, nearby', () => {
    const alone = step({ time: { table: [{ c: 38, s: 390 }] } })
    expect([37.5, 38, 38.5].map((at) => seconds(alone, { at }))).toEqual([390, 390, 390])
    expect(() => seconds(alone, { at: 36 })).toThrow(code('outside-range'))
  })
})

describe('a push', () => {
  const slide = step({ push: [{ stops: 2, factor: 1.9 }, { stops: -1, factor: 0.75 }, { stops: 0, factor: 1 }, { stops: 1, factor: 1.33 }] }) // prettier-ignore
  const factor = (pushStops: number) => asked(slide, { pushStops }).factors[0]?.factor
  test('has its factor, and between two of them the one that is ln-straight', () => {
    expect([-1, 1, 2].map(factor)).toEqual([expect.closeTo(0.75, 9), expect.closeTo(1.33, 9), expect.closeTo(1.9, 9)])
    expect(factor(0.5)).toBeCloseTo(Math.sqrt(1.33), 9)
    expect(factor(1.5)).toBeCloseTo(Math.sqrt(1.33 * 1.9), 9)
    expect(factor(-0.5)).toBeCloseTo(Math.sqrt(0.75), 9)
  })
  test('beyond them is refused, and where there are none, or none is asked for, there is none', () => {
    for (const pushStops of [-1.5, 2.5]) expect(() => factor(pushStops)).toThrow(code('push-unknown'))
    expect(() => factor(3)).toThrow('One can be pushed from -1 to 2 stops in this process, not by 3.')
    expect([factors(slide), factors(step({}), { pushStops: 1 })]).toEqual([[], []])
    expect(asked(step({}), { pushStops: 1 }).seconds).toBe(300)
  })
  test('is named for what it is', () =>
    expect([factors(slide, { pushStops: 1 })[0]?.[0], factors(slide, { pushStops: -1 })[0]?.[0]]).toEqual(['push 1', 'pull 1']))
})

describe('where a step has its time from', () => {
  test('from the chart, with its factors in it; nothing where none is charted', () => {
    expect(asked(step({ time: 'chart' }), { chartS: 612, used: 1.5 })).toEqual({ seconds: 612, factors: [] })
    expect(seconds(step({ time: 'chart' }))).toBe(0)
  })
  test('from a clearing test, and what the process has where nobody has tested', () => {
    const fix = step({ kind: 'fix', time: { clearing: 3, s: 450 } })
    expect([seconds(fix), seconds(fix, { clearingS: 70 })]).toEqual([450, 210])
  })
  test('from whoever looks at it, at the latest', () =>
    expect([seconds(step({ time: { inspect: true, atMostS: 240 } })), seconds(step({ time: { inspect: true } }))]).toEqual([240, 600]))
  test('from a formula or a test that says otherwise', () => {
    expect([seconds(step({}), { times: { one: 77 } }), seconds(step({}), { times: { two: 77 } })]).toEqual([77, 300])
    expect(seconds(step({ time: { table: [{ c: 38, s: 390 }] } }), { times: { one: 77 } })).toBe(77)
  })
  test('from a share of another, which may be a share itself', () => {
    const two = step({ key: 'two', time: { s: 400 } })
    const three = step({ key: 'three', time: { share: 0.5, of: 'two' } })
    const half = step({ time: { share: 0.5, of: 'three' } })
    expect(seconds(half, { steps: [three, two] })).toBe(100)
    expect(seconds(half, { steps: [three, two], times: { two: 100 } })).toBe(25)
    expect(
      seconds(step({ time: { share: 1.5, of: 'fix' } }), { steps: [step({ key: 'fix', time: { clearing: 2, s: 300 } })], clearingS: 40 }),
    ).toBe(120)
    expect(() => seconds(half, { steps: [two] })).toThrow(code('process-broken'))
    const round = step({ time: { share: 1, of: 'three' } })
    expect(() => seconds(round, { steps: [step({ key: 'three', time: { share: 1, of: 'one' } })] })).toThrow(code('process-broken'))
  })
})

describe('what multiplies it', () => {
  test('the use of its bath, where its time is its effect', () => {
    for (const kind of ['develop', 'second-develop', 'bleach', 'bleach-fix', 'monobath'] as const) {
      expect(asked(step({ kind }), { used: 1.2 })).toEqual({ seconds: 360, factors: [{ name: 'used bath', factor: 1.2 }] })
      expect(asked(step({ kind }))).toEqual({ seconds: 300, factors: [] })
    }
    for (const kind of ['fix', 'stop', 'wash'] as const) expect(asked(step({ kind }), { used: 1.2 })).toEqual({ seconds: 300, factors: [] })
  })
  test('a push and a used bath, both; and what each roll in a litre asks for is added', () => {
    const one = step({ push: [{ stops: 0, factor: 1 }, { stops: 1, factor: 1.15 }], perRollPerLitreS: 15 }) // prettier-ignore
    expect(seconds(one, { pushStops: 1, used: 1.1, rollsPerL: 4 })).toBeCloseTo(300 * 1.15 * 1.1 + 60, 9)
    expect(factors(one, { pushStops: 1, used: 1.1 })).toEqual([
      ['push 1', expect.closeTo(1.15, 9)],
      ['used bath', 1.1],
    ])
  })
  test('each side is exposed as long', () => expect(seconds(step({ kind: 're-expose', time: { s: 60 }, sides: 2 }))).toBe(120))
})
