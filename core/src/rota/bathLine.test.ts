import fc from 'fast-check'
import { evening } from '../samples'
import { bathLine } from './bathLine'
import { checkEvening } from './checkEvening'
import type { RotaProblem } from './problem'

const [load] = evening.loads as [RotaProblem['loads'][0]]
const problem = (temperatures: number[]): RotaProblem => ({
  ...evening,
  closesS: 200_000,
  loads: temperatures.map((temperatureC, i) => ({ ...load, id: `l${i}`, temperatureC, readyS: 0 })),
  hands: temperatures.length,
  vessels: temperatures.map((_, i) => ({ id: `v${i}`, kinds: ['hand'], rolls: 2, resetS: 0 })),
})

test('where an evening is right its bath goes through what every stay asks, and never faster than it can', () => {
  let right = 0
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: 18, max: 40 }), fc.nat(20_000)), { minLength: 1, maxLength: 5 }), (asked) => {
      const of = problem(asked.map(([c]) => c))
      const placed = asked.map(([, at], i) => ({ load: `l${i}`, startS: 64_800 + at, vessel: `v${i}`, bath: 'tub', person: i }))
      const wrong = checkEvening(of, { placed, unplaced: [], lateS: 0, endS: 0, bound: { lateS: 0, endS: 0 }, rounds: 0 })
      const { points, asked: stays } = bathLine(of, placed, 'tub')
      points.slice(1).forEach((point, i) => {
        const before = points[i]!
        expect(point.s).toBeGreaterThanOrEqual(before.s)
        const most = ((point.s - before.s + 1) / 60) * (point.c > before.c ? 0.5 : 0.3)
        expect(Math.abs(point.c - before.c)).toBeLessThanOrEqual(most + 1e-9)
      })
      if (wrong.some((one) => one.rule === 'rota-bath-temperature')) return
      right++
      for (const { fromS, toS, lowC, highC } of stays)
        for (const { s, c } of points.filter((one) => one.s > fromS && one.s <= toS)) {
          expect([s, c >= lowC - 1e-6 && c <= highC + 1e-6]).toEqual([s, true])
        }
    }),
    { numRuns: 400 },
  )
  expect(right).toBeGreaterThan(40)
})

test('a bath is set as late as it may be', () => {
  const of = problem([38])
  const { points } = bathLine(of, [{ load: 'l0', startS: 70_000, vessel: 'v0', bath: 'tub', person: 0 }], 'tub')
  // 17.75 °C at 0.5 °C a minute: it is well within half a degree of 38 there
  expect(points.map(({ s, c }) => [s, c])).toEqual([
    [64_800, 20],
    [70_000 - 2130, 20],
    [70_000, 37.75],
    [70_600, 37.75],
    [200_000, 37.75],
  ])
})
