import fc from 'fast-check'
import { dayMs } from '../calendar/span'
import type { BottleEntry, BottleFacts } from './bottle'
import type { UsedFormula } from '../formula/use'
import { bottleState } from './bottleState'

const formula = (school: 'one-shot' | 'counted', family = 'fixer'): UsedFormula => ({
  id: 'f',
  name: 'F',
  family,
  finalMl: 1000,
  startMl: 750,
  mixC: 25,
  additions: [],
  use: {
    school,
    capacityRollsPerL: 20,
    keeping: { fullDays: 100, halfDays: 50, workingDays: 30 },
    dilutions: [[1]],
    minConcentrateMlPerRoll: 100,
  },
})
const bottle = (parts: number[] | null = null): BottleFacts => ({ sizeMl: 1000, parts, madeAt: 0, retiredAt: null })
let made = 0
const entry = (kind: BottleEntry['kind'], day: number, ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  id: `e${made++}`,
  kind,
  at: day * dayMs,
  ml,
  rolls: 0,
  paper: 0,
  waterInMl: 0,
  reverses: null,
  ...more,
})

test('a counted bath adds its rolls’ share to its age and says which governs', () => {
  const state = bottleState(formula('counted'), bottle([1, 4]), [entry('fill', 0, 1000), entry('use', 1, -30, { rolls: 10 })], 6 * dayMs)
  expect(state).toMatchObject({ volumeMl: 970, rolls: 10, used: 0.5, governs: 'use' })
  expect(state.aged).toBeCloseTo(0.2, 9)
  expect(state.remaining).toBeCloseTo(0.3, 9)
  expect(state.rollsLeft).toBeCloseTo(6, 9)
  expect(state.silverGPerL).toBeCloseTo(10 * 0.0516 * 5 * 0.7, 9)
})

test('one-shot stock lives by age and is used up by volume, ageing faster half full', () => {
  const stock = [entry('fill', 0, 1000), entry('dilute-out', 10, -400)]
  const state = bottleState(formula('one-shot', 'film-developer'), bottle(), stock, 20 * dayMs)
  expect(state.aged).toBeCloseTo(10 / 100 + 10 / 50, 9)
  expect(state).toMatchObject({ used: 0, governs: 'age', volumeMl: 600, rollsLeft: 6, silverGPerL: null })
})

test('water carried in weakens, decanting does not use up capacity', () => {
  const state = bottleState(
    formula('counted'),
    bottle([1, 4]),
    [entry('fill', 0, 1000), entry('use', 0.1, 0, { rolls: 2, waterInMl: 50 }), entry('pour-out', 0.2, -500)],
    dayMs,
  )
  // the volume stays: each of the two rolls brought in as much as it carried out
  expect(state.strength).toBeCloseTo(0.975 ** 2, 9)
  expect(state.used).toBeCloseTo(0.1, 9)
})

test('empty, exhausted, expired and retired bottles say so', () => {
  const rule = (entries: BottleEntry[], facts = bottle([1, 4]), at = dayMs) =>
    bottleState(formula('counted'), facts, entries, at).findings[0]?.rule
  expect(rule([])).toBe('bottle-empty')
  expect(rule([entry('fill', 0, 1000), entry('use', 0.5, 0, { rolls: 21 })])).toBe('bottle-exhausted')
  expect(rule([entry('fill', 0, 1000)], bottle([1, 4]), 31 * dayMs)).toBe('bottle-expired')
  expect(rule([entry('fill', 0, 1000)], { ...bottle(), retiredAt: 1 })).toBe('bottle-retired')
  expect(rule([entry('fill', 0, 1000)])).toBeUndefined()
})

test('the order of the ledger does not matter and a reversal takes its line back', () => {
  const uses = fc.array(
    fc.record({ day: fc.integer({ min: 1, max: 9 }), ml: fc.integer({ min: 0, max: 100 }), rolls: fc.integer({ min: 0, max: 2 }) }),
    { maxLength: 8 },
  )
  fc.assert(
    fc.property(uses, fc.nat(), (rows, pick) => {
      const ledger = [entry('fill', 0, 1000), ...rows.map((row, i) => entry('use', row.day + i / 100, -row.ml, { rolls: row.rolls }))]
      const at = 10 * dayMs
      const state = bottleState(formula('counted'), bottle([1, 4]), ledger, at)
      expect(bottleState(formula('counted'), bottle([1, 4]), [...ledger].reverse(), at)).toEqual(state)
      const wrong = entry('use', 9.5, -(pick % 50), { rolls: pick % 3 })
      expect(
        bottleState(formula('counted'), bottle([1, 4]), [...ledger, wrong, entry('reverse', 9.6, 0, { reverses: wrong.id })], at),
      ).toEqual(state)
    }),
  )
})

test('a litre of fixer after a stop bath stays a litre and thins; a litre of developer that film enters dry goes down', () => {
  const twenty = (part: object) => Array.from({ length: 20 }, (_, i) => entry('use', 0.01 * (i + 1), 0, { rolls: 1, ...part }))
  const of = (uses: BottleEntry[]) => bottleState(formula('counted'), bottle([1, 4]), [entry('fill', 0, 1000), ...uses], dayMs)
  const wet = of(twenty({ waterInMl: 15 }))
  expect([wet.volumeMl, Math.round(wet.strength * 1000) / 1000]).toEqual([1000, 0.739])
  const dry = of(twenty({ ml: -15 }))
  expect([dry.volumeMl, dry.strength]).toEqual([700, 1])
})
