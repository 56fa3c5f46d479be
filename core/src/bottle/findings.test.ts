import { dayMs } from '../calendar/span'
import type { UsedFormula } from '../formula/use'
import type { TestMark } from '../proof/proof'
import { acted, bottle, fixer, ledger, tenDays } from '../samples'
import type { BottleState } from './bottle'
import { bottleState } from './bottleState'
import { findingsOf } from './findings'

const fresh: BottleState = {
  ...bottleState(fixer, bottle, [ledger[0]!], tenDays),
  used: 0,
  aged: 0.1,
  remaining: 0.9,
  silverGPerL: 0,
  silverLimitGPerL: 4,
}
type Use = Partial<UsedFormula['use']>
const said = (part: Partial<BottleState>, { use = {}, family = 'fixer', at = 0 }: { use?: Use; family?: string; at?: number } = {}) =>
  findingsOf({ ...fixer, family, use: { ...fixer.use, ...use } }, bottle, { ...fresh, ...part }, at)
const rules = (...asked: Parameters<typeof said>) => said(...asked).map(({ rule, severity }) => `${rule} ${severity}`)
const message = (...asked: Parameters<typeof said>) => said(...asked)[0]?.message ?? ''
const mark = (part: Partial<TestMark> = {}): TestMark => ({
  ...{ kind: 'clearing-time', verdict: 'failed', rule: 'r', reason: 'Too slow.', reading: 90, reference: 30 },
  ...{ fixS: null, againAt: null, overruled: null, ...part },
})

test('nothing speaks against a good bottle', () => {
  expect(said({})).toEqual([])
  expect(findingsOf(fixer, { ...bottle, retiredAt: 5 }, fresh, 0).map((one) => one.rule)).toEqual(['bottle-retired'])
  expect([rules({ volumeMl: 1e-6 }), rules({ volumeMl: 2e-6 })]).toEqual([['bottle-empty error'], []])
})

test('use and age end it, together or alone, and a little before it is said', () => {
  expect(rules({ used: 1, remaining: 0 })).toEqual(['bottle-exhausted error'])
  expect(message({ used: 1, remaining: 0 })).toMatch(/capacity is used up/)
  expect(rules({ aged: 1, remaining: 0 })).toEqual(['bottle-expired error'])
  expect([rules({ used: 0.6, aged: 0.4, remaining: 0 }), message({ used: 0.6, aged: 0.4, remaining: 0 })]).toEqual([
    ['bottle-exhausted error'],
    expect.stringMatching(/together/),
  ])
  expect([rules({ remaining: 0.15 }), rules({ remaining: 0.16 })]).toEqual([['bottle-low warning'], []])
})

test('a pair moves up as often as it bears, and then both are over; or by its date', () => {
  const use: Use = { school: 'two-bath', twoBath: { moves: 2, days: 60 } }
  const pair = (moves: number, since = 0) => ({ twoBath: { position: 1 as const, moves, since } })
  const over = { used: 1, remaining: 0 }
  expect([rules({ ...over, ...pair(1) }, { use }), message({ ...over, ...pair(1) }, { use })]).toEqual([
    ['bottle-move-up error'],
    expect.stringMatching(/move the second bath up/),
  ])
  expect(message({ ...over, ...pair(2) }, { use })).toMatch(/last move/)
  expect(message({ ...over, twoBath: null }, { use: { school: 'two-bath' } })).toMatch(/last move/)
  expect(rules(pair(0, dayMs), { use, at: 60.5 * dayMs })).toEqual([])
  expect([rules(pair(0, dayMs), { use, at: 61 * dayMs }), message(pair(0, dayMs), { use, at: 61.9 * dayMs })]).toEqual([
    ['bottle-pair-date error'],
    expect.stringContaining('60 days of 60'),
  ])
  const late = { at: 900 * dayMs }
  expect(rules({ twoBath: null }, { use, ...late })).toEqual([])
  expect(rules(pair(0), { use: { ...use, twoBath: { moves: 2, days: null } }, ...late })).toEqual([])
  expect(rules(pair(0), { use: { school: 'two-bath' }, ...late })).toEqual([])
  expect(rules(pair(0), { use: { twoBath: { moves: 2, days: 60 } }, ...late })).toEqual([])
})

test('silver warns from 85 % of its limit and ends it there, where the bath is used more than once', () => {
  const silver = (silverGPerL: number | null, silverLimitGPerL: number | null = 4) => ({ silverGPerL, silverLimitGPerL })
  expect([3.39, 3.4, 3.99, 4].map((g) => rules(silver(g)))).toEqual([
    [],
    ['bottle-silver warning'],
    ['bottle-silver warning'],
    ['bottle-silver error'],
  ])
  expect(message(silver(4))).toBe('4.0 g/L of silver by count, of 4 g/L for what it fixes: retire it.')
  expect([rules(silver(null)), rules(silver(9, null))]).toEqual([[], []])
  expect([rules(silver(9), { use: { school: 'one-shot' } }), rules(silver(9), { family: 'monobath' })]).toEqual([[], []])
})

test('a failed test stands before all, with the pass it had since; a marginal one warns, by whose reason', () => {
  const standing = (part: object) => ({
    tests: [{ kind: 'clearing-time' as const, newest: mark(), at: 1, rollsPerL: 0, failed: null, failedAt: null, passes: 0, ...part }],
  })
  expect(rules(standing({ failed: mark(), failedAt: 1 }))).toEqual(['bottle-failed error'])
  expect(message(standing({ failed: mark(), failedAt: 1 }))).toBe('It failed a test: Too slow.')
  expect(message(standing({ failed: mark(), failedAt: 1, passes: 1 }))).toMatch(/passed once since/)
  expect(message(standing({ newest: mark({ verdict: 'marginal', reason: 'Slower.' }) }))).toBe('Slower.')
  expect(message(standing({ newest: mark({ overruled: 'old iodide' }) }))).toMatch(/technician’s reason: old iodide/)
  expect(rules(standing({ newest: mark({ verdict: 'keep' }) }))).toEqual([])
  expect(rules({ ...standing({ failed: mark(), failedAt: 1 }), remaining: 0.1 })).toEqual(['bottle-failed error', 'bottle-low warning'])
})

test('a stop bath turns at pH 5.2, a replenished bath is due from half a millilitre on', () => {
  expect([5.19, 5.2, null].map((ph) => rules({ ph }))).toEqual([[], ['bottle-stop-turning warning'], []])
  const due = (replenishDueMl: number, school: 'replenished' | 'counted' = 'replenished') => said({ replenishDueMl }, { use: { school } })
  expect([due(0.5), due(70, 'counted')]).toEqual([[], []])
  expect(due(69.6).map((one) => one.message)).toEqual(['Replenish it with 70 ml before the next roll.'])
  expect(acted.state.findings).toEqual([])
})
