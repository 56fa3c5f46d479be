import fc from 'fast-check'
import { dayMs } from '../calendar/span'
import { costPerRoll } from './costPerRoll'
import { decantAdvice, sulfiteLostPerOpening, sulfitePerLitre } from './headspace'
import { replenishSteps } from './replenish'
import { orderOfUse } from './orderOfUse'
import { supplyOf } from './supply'

const stands = (id: string, madeAt: number, part: object = {}) => ({ id, madeAt, openedAt: null, rollsLeft: 10, daysLeft: null, ...part })

describe('supply', () => {
  test('the oldest open bottle is used first, untouched ones after it by age', () => {
    expect(orderOfUse([stands('new', 3), stands('old', 1), stands('open', 2, { openedAt: 5 })]).map((one) => one.id)).toEqual([
      'open',
      'old',
      'new',
    ])
  })
  test('it runs out at the recent rate, earlier with what is planned, and by age where that comes first', () => {
    const days = (rate: number, planned: { at: number; rolls: number }[] = [], daysLeft: number | null = null) => {
      const { runsOutAt, because } = supplyOf([stands('a', 0, { daysLeft })], rate, planned, 0, 'UTC')
      return [runsOutAt === null ? null : runsOutAt / dayMs, because]
    }
    expect(days(1)).toEqual([10, 'use'])
    expect(days(1, [{ at: 2.5 * dayMs, rolls: 5 }])).toEqual([5, 'use'])
    expect(days(1, [], 3.5)).toEqual([4, 'age'])
    expect(days(0)).toEqual([null, null])
  })
  test('a day that cannot be served begins at its midnight in the darkroom’s zone, also across a change of the clocks', () => {
    const noon = Date.UTC(2026, 9, 23, 11)
    const { runsOutAt } = supplyOf([stands('a', noon, { rollsLeft: 3 })], 1, [], noon, 'Europe/Lisbon')
    expect(new Date(runsOutAt ?? 0).toISOString()).toBe('2026-10-26T00:00:00.000Z')
  })
  test('more on the shelf never runs out sooner', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 20 }), { minLength: 1, maxLength: 5 }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (rolls, rate) => {
          const end = (list: number[]) =>
            supplyOf(
              list.map((left, i) => stands(`b${i}`, i, { rollsLeft: left })),
              rate,
              [],
              0,
              'UTC',
            ).runsOutAt ?? Infinity
          expect(end([...rolls, 3])).toBeGreaterThanOrEqual(end(rolls))
        },
      ),
    )
  })
})

describe('air over the liquid', () => {
  const keeping = { fullDays: 180, halfDays: 60, workingDays: 1 }
  const state = { volumeMl: 950, aged: 0.1, used: 0, remaining: 0.9, container: 'bottle' as const }
  const facts = { sizeMl: 2500, parts: null, madeAt: 0, retiredAt: null }
  test('a litre of air takes 2.2 g of sulfite: trifling in a strong developer, serious in a weak one', () => {
    expect(sulfiteLostPerOpening({ headspaceMl: 500, liquidMl: 500, sulfiteGPerL: 100 })).toBeCloseTo(0.022, 9)
    expect(sulfiteLostPerOpening({ headspaceMl: 500, liquidMl: 500, sulfiteGPerL: 5 })).toBeCloseTo(0.44, 9)
    expect(sulfiteLostPerOpening({ headspaceMl: 900, liquidMl: 100, sulfiteGPerL: 5 })).toBe(1)
    expect(() => sulfiteLostPerOpening({ headspaceMl: 1, liquidMl: 1, sulfiteGPerL: 0 })).toThrow(
      expect.objectContaining({ code: 'no-sulfite' }),
    )
  })
  test('metabisulfite counts as the two sulfites it gives', () => {
    const formula = {
      id: '',
      name: '',
      family: 'fixer',
      finalMl: 1000,
      startMl: 0,
      mixC: 20,
      additions: [{ chemical: 'sodium-metabisulfite', grams: 190.11 }],
    }
    expect(sulfitePerLitre(formula)).toBeCloseTo(2 * 126.04, 6)
  })
  test('decanting is advised into bottles that stand full, and only where it gains days', () => {
    expect(decantAdvice(keeping, facts, state, 100)).toMatchObject({
      into: [1000],
      daysLonger: expect.closeTo(108, 9),
      lostPerOpening: expect.closeTo((1550 * 2.2) / 95000, 9),
    })
    expect(decantAdvice(keeping, facts, { ...state, volumeMl: 480 }, 0)).toMatchObject({ into: [500], lostPerOpening: null })
    expect(decantAdvice(keeping, facts, { ...state, volumeMl: 740 }, 0)?.into).toEqual([250, 500])
    expect(decantAdvice(keeping, facts, { ...state, volumeMl: 2400 }, 0)).toBeNull()
    expect(decantAdvice({ ...keeping, fullDays: 63 }, facts, state, 0)).toBeNull()
    expect(decantAdvice(keeping, facts, { ...state, container: 'airless' }, 0)).toBeNull()
  })
})

test('replenishing bleeds what keeps the volume, and tops up where the carry-out took more', () => {
  expect(replenishSteps({ volumeMl: 940, nominalMl: 1000, dueMl: 120, evaporatedMl: 20 })).toEqual({
    waterMl: 20,
    bleedMl: 60,
    replenisherMl: 120,
    topUpMl: 0,
  })
  expect(replenishSteps({ volumeMl: 940, nominalMl: 1000, dueMl: 40, evaporatedMl: 0 })).toMatchObject({ bleedMl: 0, topUpMl: 20 })
})

test('a roll costs what was really used up, school by school, cheapest first', () => {
  const costs = costPerRoll(
    [
      { school: 'one-shot', ml: 3000, rolls: 10 },
      { school: 'counted', ml: 1000, rolls: 20 },
      { school: 'replenished', ml: 5, rolls: 0 },
    ],
    4,
  )
  expect(costs.map((one) => [one.school, one.mlPerRoll, one.perRoll])).toEqual([
    ['counted', 50, 0.2],
    ['one-shot', 300, 1.2],
  ])
})
