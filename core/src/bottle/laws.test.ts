import fc from 'fast-check'
import { capacityFromTests } from '../proof/capacityFromTests'
import { dayMs } from '../calendar/span'
import { standsFull } from './ageing'
import type { BottleEntry } from './bottle'
import type { UsedFormula } from '../formula/use'
import { bottlesToFill } from './headspace'
import { lifeCurve } from './lifeCurve'
import { replenishSteps } from './replenish'
import { supplyOf } from './supply'

const ml = (max: number) => fc.integer({ min: 0, max })

test('a replenished bath ends at the volume it is kept at, and loses no more than it holds', () => {
  fc.assert(
    fc.property(ml(3000), ml(3000), ml(900), ml(300), (volumeMl, nominalMl, dueMl, evaporatedMl) => {
      const steps = replenishSteps({ volumeMl, nominalMl, dueMl, evaporatedMl })
      const ends = volumeMl - steps.bleedMl + steps.replenisherMl + steps.topUpMl
      expect(steps.bleedMl).toBeLessThanOrEqual(volumeMl)
      // only a bath emptier than the replenisher that is due can end above it
      expect(ends).toBe(dueMl > nominalMl ? Math.max(nominalMl, dueMl) : nominalMl)
      expect([steps.waterMl, steps.replenisherMl, Math.min(steps.bleedMl, steps.topUpMl)]).toEqual([evaporatedMl, dueMl, 0])
    }),
  )
})

test('small bottles hold all of it and stand full, each smaller than the one it comes from', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.constantFrom(250, 500, 1000, 2500, 5000), (volume, standsIn) => {
      const into = bottlesToFill(volume, standsIn)
      if (into === null) return
      const room = into.reduce((sum, size) => sum + size, 0)
      expect([room >= volume, standsFull(volume, room), into.every((size) => size < standsIn), into.length <= 4]).toEqual([
        true,
        true,
        true,
        true,
      ])
    }),
  )
  expect(bottlesToFill(2500, 2500)).toEqual([500, 1000, 1000])
})

test('more use, or more that is planned, never lets a formula last longer', () => {
  const shelf = fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 4 })
  const runs = fc.array(fc.record({ day: fc.integer({ min: 0, max: 60 }), rolls: fc.integer({ min: 1, max: 6 }) }), { maxLength: 5 })
  const rate = fc.integer({ min: 0, max: 30 }).map((tenths) => tenths / 10)
  const ends = (rolls: number[], perDay: number, planned: { day: number; rolls: number }[]) =>
    supplyOf(
      rolls.map((rollsLeft, i) => ({ id: `b${i}`, madeAt: i, openedAt: null, rollsLeft, daysLeft: 30 + 20 * i })),
      perDay,
      planned.map((run) => ({ at: run.day * dayMs, rolls: run.rolls })),
      0,
      'UTC',
    ).runsOutAt ?? Infinity
  fc.assert(
    fc.property(shelf, rate, runs, fc.integer({ min: 0, max: 60 }), (rolls, perDay, planned, day) => {
      const now = ends(rolls, perDay, planned)
      expect(ends(rolls, perDay + 0.5, planned)).toBeLessThanOrEqual(now)
      expect(ends(rolls, perDay, [...planned, { day, rolls: 3 }])).toBeLessThanOrEqual(now)
      expect(ends(rolls, perDay, [...planned].reverse())).toBe(now)
    }),
  )
})

describe('the life curve', () => {
  const formula: UsedFormula = {
    id: 'f',
    name: 'F',
    family: 'film-developer',
    finalMl: 1000,
    startMl: 0,
    mixC: 20,
    additions: [],
    use: {
      school: 'counted',
      capacityRollsPerL: 20,
      keeping: { fullDays: 100, halfDays: 50, workingDays: 50 },
      dilutions: [[1]],
      minConcentrateMlPerRoll: 0,
    },
  }
  const facts = { sizeMl: 1000, parts: null, madeAt: 0, retiredAt: null }
  const line = (i: number, day: number, rolls: number, kind: BottleEntry['kind'] = 'use'): BottleEntry => ({
    id: `e${i}`,
    kind,
    at: day * dayMs,
    ml: kind === 'fill' ? 1000 : 0,
    rolls,
    paper: 0,
    waterInMl: 0,
    reverses: null,
  })
  const uses = fc.array(fc.record({ day: fc.integer({ min: 1, max: 40 }), rolls: fc.integer({ min: 0, max: 3 }) }), { maxLength: 400 })
  test('only ever goes up, in so few points that it can be drawn, and its end is where nothing is left', () => {
    fc.assert(
      fc.property(uses, (list) => {
        const ledger = [line(0, 0, 0, 'fill'), ...list.slice(0, 150).map((use, i) => line(i + 1, use.day, use.rolls / 10))]
        const curve = lifeCurve(formula, facts, ledger, 41 * dayMs)
        const parts = curve.past.map((point) => [point.at, point.used, point.aged])
        for (const [i, point] of parts.entries())
          for (const [j, value] of (parts[i - 1] ?? []).entries()) expect(value).toBeLessThanOrEqual((point[j] ?? 0) + 1e-12)
        expect(curve.past.length).toBeLessThanOrEqual(260)
        const [from, end] = curve.ahead
        if (!from || !end) return
        expect(end.used + end.aged).toBeCloseTo(1, 9)
        expect([end.at >= from.at, curve.endsAt]).toEqual([true, end.at])
      }),
      { numRuns: 40 },
    )
  })
  test('runs from the filling to its forecast end', () => {
    const ledger = [line(0, 0, 0, 'fill'), line(1, 10, 4), line(2, 20, 4)]
    const curve = lifeCurve(formula, facts, ledger, 20 * dayMs)
    expect(curve.past.map((point) => [point.at / dayMs, Number(point.used.toFixed(6)), Number(point.aged.toFixed(6))])).toEqual([
      [0, 0, 0],
      [10, 0.2, 0.1],
      [20, 0.4, 0.2],
      [20, 0.4, 0.2],
    ])
    // 0.4 of the life in 20 days by use, a hundredth a day by age: 0.4 left at 0.03 a day
    expect(((curve.endsAt ?? 0) - 20 * dayMs) / dayMs).toBeCloseTo(0.4 / 0.03, 6)
    const end = curve.ahead.at(-1)
    expect((end?.used ?? 0) + (end?.aged ?? 0)).toBeCloseTo(1, 9)
  })
  test('a retired bottle has a past and no future; an empty ledger neither', () => {
    const ledger = [line(0, 0, 0, 'fill'), line(1, 10, 2)]
    const retired = lifeCurve(formula, { ...facts, retiredAt: 12 * dayMs }, ledger, 41 * dayMs)
    expect([retired.past.at(-1)?.at, retired.ahead, retired.endsAt]).toEqual([12 * dayMs, [], null])
    expect(lifeCurve(formula, facts, [], 41 * dayMs)).toMatchObject({ past: [], ahead: [], endsAt: null })
  })
})

test('a capacity of one’s own scales with what was seen, and lies within its interval', () => {
  const seen = fc.array(fc.integer({ min: 20, max: 400 }), { minLength: 4, maxLength: 12 })
  fc.assert(
    fc.property(seen, fc.integer({ min: 2, max: 5 }), (ends, times) => {
      const of = (list: number[]) => capacityFromTests(list.map((end) => ({ clearing: [], failedAtRollsPerL: end / 10 })))
      const [one, scaled] = [of(ends), of(ends.map((end) => end * times))]
      expect(scaled?.rollsPerL).toBeCloseTo((one?.rollsPerL ?? 0) * times, 9)
      expect((one?.low ?? 0) <= (one?.rollsPerL ?? 0) && (one?.rollsPerL ?? 0) <= (one?.high ?? 0)).toBe(true)
      expect(of([...ends].reverse())?.high).toBeCloseTo(one?.high ?? 0, 9)
    }),
  )
})
