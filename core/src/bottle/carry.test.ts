import { dayMs } from '../calendar/span'
import type { FormulaUse, UsedFormula } from '../formula/use'
import type { BottleEntry, BottleFacts } from './bottle'
import { bottleState } from './bottleState'
import { closedFor, silverLimit } from './silver'

const formula = (use: Partial<FormulaUse> = {}): UsedFormula => ({
  ...{ id: 'f', name: 'F', family: 'fixer', finalMl: 1000, startMl: 700, mixC: 20, additions: [] },
  use: {
    ...{ school: 'counted', capacityRollsPerL: 20, dilutions: [[1]], minConcentrateMlPerRoll: 0 },
    ...{ keeping: { fullDays: 100, halfDays: 100, workingDays: 100 } },
    ...use,
  },
})
let made = 0
const line = (kind: BottleEntry['kind'], day: number, ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  ...{ id: `c${made++}`, kind, at: day * dayMs, ml, waterInMl: 0, reverses: null },
  ...more,
})
const at = (day: number, lines: BottleEntry[], { of = formula(), ...facts }: Partial<BottleFacts> & { of?: UsedFormula } = {}) =>
  bottleState(of, { sizeMl: 1000, parts: null, madeAt: 0, retiredAt: null, ...facts }, lines, day * dayMs)

test('a bottle grows no older once it is retired', () => {
  const full = [line('fill', 0, 1000)]
  expect(at(80, full).aged).toBeCloseTo(0.8, 9)
  expect(at(80, full, { retiredAt: 30 * dayMs }).aged).toBeCloseTo(0.3, 9)
  expect(at(20, full, { retiredAt: 30 * dayMs }).aged).toBeCloseTo(0.2, 9)
})

test('fresh liquid gives capacity, not youth; older liquid makes old', () => {
  const brings = (aged: number) => ({ strength: 1, rollsPerL: 0, silverGPerL: 0, aged })
  const lines = (more: Partial<BottleEntry>) => [line('fill', 0, 600), line('use', 1, 0, { rolls: 6 }), line('top-up', 40, 400, more)]
  const fresh = at(40, lines({}))
  expect(fresh.aged).toBeCloseTo(0.4, 9)
  expect(fresh.rollsPerL).toBeCloseTo(6, 9)
  expect(at(40, lines({ brings: brings(0.7) })).aged).toBeCloseTo(0.7, 9)
  expect(at(40, lines({ brings: brings(0.1) })).aged).toBeCloseTo(0.4, 9)
})

test('of a pair the second bath gets a fifth of the silver, and bears less of it', () => {
  const pair = (position: 1 | 2, fixes: NonNullable<FormulaUse['fixes']>) => {
    const of = formula({ school: 'two-bath', twoBath: { moves: 4, days: 60 }, fixes })
    const twoBath = { position, moves: 0, since: 0 }
    const { silverGPerL, silverLimitGPerL } = at(2, [line('fill', 0, 1000, { twoBath }), line('use', 1, 0, { rolls: 10 })], { of })
    return [silverGPerL, silverLimitGPerL]
  }
  expect(pair(1, 'film')).toEqual([expect.closeTo(1.806, 9), 6])
  expect(pair(2, 'film')).toEqual([expect.closeTo(0.3612, 9), 1.5])
  expect(pair(1, 'fibre-paper')[1]).toBe(2)
  expect(pair(2, 'fibre-paper')[1]).toBe(0.5)
})

test('what must keep bears less silver: fibre paper half a gram, film one and a half', () => {
  const limit = (use: Partial<FormulaUse>) => silverLimit(formula(use), 1)
  expect([limit({ fixes: 'fibre-paper' }), limit({ fixes: 'fibre-paper', longKeeping: true })]).toEqual([1, 0.5])
  expect([limit({ fixes: 'film' }), limit({ fixes: 'film', longKeeping: true }), limit({ fixes: 'rc-paper' })]).toEqual([6, 1.5, 2])
})

test.each([
  [0.49, 1, false, []],
  [0.5, 1, false, []],
  [0.5, 2, false, ['fibre-paper']],
  [0.5, 1, true, ['fibre-paper']],
  [0.98, 1, false, []],
  [1, 1, false, ['fibre-paper']],
  [2, 1, false, ['rc-paper', 'fibre-paper']],
  [6, 1, false, ['film', 'rc-paper', 'fibre-paper']],
] as const)('%s g/L of silver in bath %s (to keep: %s) close it for %j', (silver, position, longKeeping, closed) => {
  expect([...closedFor(formula({ longKeeping }), position, silver)].sort()).toEqual([...closed].sort())
})
