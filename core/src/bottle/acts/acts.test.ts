import fc from 'fast-check'
import type { FormulaUse } from '../../formula/use'
import { bottleState } from '../bottleState'
import type { BottleEntry } from '../bottle'
import { volumesAfter, type Acted, type Decided } from './act'
import { decideCombining } from './combine'
import { decideDecanting } from './decant'
import { decideDilution } from './dilute'
import { decideMeasure } from './measure'
import { decideMovingUp, decidePairing } from './pair'
import { decidePour, pourings, type AskedPour } from './pour'
import { decideReplenish } from './replenish'
import { decideRetiring } from './retire'
import { decideReversing } from './reverse'
import { decideWrongBottle } from './wrong'

const use: FormulaUse = {
  school: 'counted',
  capacityRollsPerL: 20,
  keeping: { fullDays: 100, halfDays: 50, workingDays: 30 },
  dilutions: [[1]],
  minConcentrateMlPerRoll: 0,
}
const line = (kind: BottleEntry['kind'], ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  id: `${kind} ${ml}`,
  kind,
  at: 0,
  ml,
  waterInMl: 0,
  reverses: null,
  ...more,
})
/** A litre bottle of fixer holding so much; `day`: how old it is looked at. */
function stands(
  id: string,
  ml: number,
  { day = 1, lines = [], ...more }: Partial<Acted> & { day?: number; lines?: BottleEntry[] } = {},
): Acted {
  const facts = {
    id,
    label: id.toUpperCase(),
    name: 'Fixer',
    family: 'fixer',
    formulaId: 'f',
    sizeMl: 1000,
    parts: [1, 4],
    madeAt: 0,
    retiredAt: null,
    use,
    ...more,
  }
  const formula = { id: 'f', name: 'F', family: facts.family, finalMl: 1000, startMl: 750, mixC: 25, additions: [], use: facts.use }
  return { ...facts, state: bottleState(formula, facts, [line('fill', ml), ...lines], day * 86_400_000) }
}
const asked = (part: Partial<AskedPour>): AskedPour => ({
  entryId: 'e',
  kind: 'pour-out',
  ml: 0,
  rolls: 0,
  colourRolls: 0,
  paper: 0,
  waterInMl: 0,
  note: '',
  ...part,
})
const code = (work: () => unknown): string => {
  try {
    work()
    return 'written'
  } catch (error) {
    return (error as { code: string }).code
  }
}
const moved = ({ lines }: Decided): number => lines.reduce((sum, one) => sum + one.ml, 0)

test('whatever is poured, no bottle holds less than nothing or more than its size, or it is refused', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...pourings),
      fc.integer({ min: 0, max: 1000 }),
      fc.integer({ min: 0, max: 1500 }),
      fc.integer({ min: 0, max: 50 }),
      (kind, holds, ml, waterInMl) => {
        const [bottle, from] = [stands('a', holds), stands('b', 500)]
        let decided: Decided
        try {
          decided = decidePour({ bottle, from: kind === 'top-up' ? from : undefined }, asked({ kind, ml, waterInMl, rolls: 1 }))
        } catch (error) {
          expect((error as { code: string }).code).toMatch(/^(not-enough|too-full)$/)
          return
        }
        for (const [id, after] of Object.entries(volumesAfter([bottle, from], decided))) {
          expect([id, after >= -1e-6, after <= 1000 + 1e-6]).toEqual([id, true, true])
        }
        // what is topped up from a bottle leaves that one
        if (kind === 'top-up') expect(moved(decided)).toBeCloseTo(0, 9)
      },
    ),
  )
})

test.each([
  ['what it does not hold', () => decidePour({ bottle: stands('a', 100) }, asked({ ml: 101 })), 'not-enough'],
  ['onto what is retired', () => decidePour({ bottle: stands('a', 100, { retiredAt: 5 }) }, asked({ kind: 'top-up', ml: 1 })), 'retired'],
  ['nothing at all', () => decidePour({ bottle: stands('a', 100) }, asked({})), 'nothing'],
  ['more rolls than liquid', () => decidePour({ bottle: stands('a', 100) }, asked({ kind: 'use', rolls: 101 })), 'too-many'],
  ['more colour than rolls', () => decidePour({ bottle: stands('a', 100) }, asked({ kind: 'use', rolls: 1, colourRolls: 2 })), 'invalid'],
  ['a bath that is too old', () => decidePour({ bottle: stands('a', 100, { day: 40 }) }, asked({ ml: 10 })), 'expired'],
  ['away what is too old', () => decidePour({ bottle: stands('a', 100, { day: 40 }) }, asked({ kind: 'discard', ml: 10 })), 'written'],
  [
    'onto one of another family',
    () =>
      decidePour(
        { bottle: stands('a', 100), from: stands('b', 100, { formulaId: 'g', family: 'stop-bath' }) },
        asked({ kind: 'top-up', ml: 10 }),
      ),
    'other-family',
  ],
  [
    'onto what it never meets',
    () =>
      decidePour({ bottle: stands('a', 100), from: stands('b', 100), meets: { danger: 'Chlorine.' } }, asked({ kind: 'top-up', ml: 10 })),
    'never-meets',
  ],
  [
    'working strength out of working strength',
    () => decideDilution(stands('a', 100), { newId: 'n', parts: [1, 1], totalMl: 50, sizeMl: 50 }),
    'already-diluted',
  ],
  ['one bath as a pair', () => decidePairing(stands('a', 1), stands('a', 1), 0), 'same-bottle'],
  ['what is counted as a pair', () => decidePairing(stands('a', 1), stands('b', 1), 0), 'not-two-bath'],
  [
    'replenisher into what is counted',
    () => decideReplenish({ bottle: stands('a', 100) }, { entryId: 'e', ml: 10, evaporatedMl: 0 }),
    'not-replenished',
  ],
  ['more into it than its size, by the graduate', () => decideMeasure(stands('a', 100), { entryId: 'e', ml: 1001, note: '' }), 'too-full'],
  ['a retired bottle out of use', () => decideRetiring(stands('a', 100, { retiredAt: 5 }), { why: 'old' }), 'stale'],
  [
    'parts that are not the formula’s',
    () =>
      decideCombining(
        {
          name: 'F',
          wanted: [
            { part: 'A', formulaId: 'x' },
            { part: 'B', formulaId: 'f' },
          ],
          from: [stands('a', 500), stands('b', 500)],
        },
        { newId: 'n', parts: [1, 1], totalMl: 100, sizeMl: 100 },
      ),
    'wrong-part',
  ],
])('refused or written: %s', (_name, work, expected) => expect(code(work)).toBe(expected))

test('a reason lifts what forbids a bottle, and stands in its line', () => {
  const old = stands('a', 100, { day: 40 })
  const { lines } = decidePour({ bottle: old }, asked({ ml: 10, note: 'test strip', overrule: 'only a sample' }))
  expect(lines[0]?.note).toMatch(/^test strip\. In spite of “.+”: only a sample$/)
})

test('decanting loses nothing, and what is made takes the history along', () => {
  const from = stands('a', 900, { lines: [line('use', 0, { rolls: 4 })] })
  const decided = decideDecanting(from, {
    into: [
      { id: 'x', sizeMl: 500, ml: 500 },
      { id: 'y', sizeMl: 400, ml: 400 },
    ],
  })
  expect(moved(decided) + (decided.made ?? []).reduce((sum, one) => sum + one.ml, 0)).toBe(0)
  expect(decided.made?.map((one) => [one.madeAt, one.parts, one.brings?.rollsPerL])).toEqual([
    [0, [1, 4], from.state.rollsPerL],
    [0, [1, 4], from.state.rollsPerL],
  ])
})

test('nothing is topped up from a bottle that failed its test, but with a reason, and then it has failed too', () => {
  const test = {
    ...{ kind: 'clearing-time', verdict: 'failed', reading: 200, reference: 68, ofBatch: false, fixS: null, overruled: null },
    ...{ capacityFactor: null, replacesCapacity: null, celsius: 20, clearing: null },
  } as unknown as NonNullable<BottleEntry['test']>
  const [bottle, from] = [stands('a', 500), stands('b', 900, { lines: [line('test', 0, { test })] })]
  expect(code(() => decidePour({ bottle, from }, asked({ kind: 'top-up', ml: 100 })))).toBe('failed')
  const { lines } = decidePour({ bottle, from }, asked({ kind: 'top-up', ml: 100, overrule: 'nothing else is left' }))
  expect(lines.at(-1)?.brings?.tests?.map((one) => one.failed !== null)).toEqual([true])
})

test('a stock that failed its test makes no working strength that has not failed it', () => {
  const stock = stands('a', 900, { parts: null, use: { ...use, dilutions: [[1, 4]] } })
  const { lines, made } = decideDilution(stock, { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500 })
  expect([lines[0]?.ml, lines[0]?.note, made?.[0]?.brings]).toEqual([-100, '1+4 to 500 ml', undefined])
})

test('poured into the wrong bottle, both are retired and the danger is said of both', () => {
  const decided = decideWrongBottle(
    { from: stands('a', 300), into: stands('b', 300), meets: { danger: 'Choking gas.' } },
    { entryId: 'e', ml: 50, reason: 'dark' },
  )
  expect(decided.retired?.map((one) => [one.bottleId, one.why.includes('Choking gas.')])).toEqual([
    ['a', true],
    ['b', true],
  ])
  expect(moved(decided)).toBe(0)
})

test('the second bath moves up, the first goes to the waste with its silver, the fresh one stands in', () => {
  const two: FormulaUse = { ...use, school: 'two-bath', twoBath: { moves: 2, days: null } }
  const place = (position: 1 | 2) => [line('change', 0, { twoBath: { position, moves: 0, since: 0 } })]
  const first = stands('a', 800, { use: two, lines: [...place(1), line('use', 0, { rolls: 6 })] })
  const decided = decideMovingUp(first, stands('b', 800, { use: two, lines: place(2) }), stands('c', 800, { use: two }))
  expect(decided.lines.map((one) => [one.bottleId, one.kind, one.twoBath?.position])).toEqual([
    ['a', 'retire', undefined],
    ['a', 'discard', undefined],
    ['b', 'move-up', 1],
    ['c', 'change', 2],
  ])
  const [waste] = decided.waste ?? []
  expect([decided.lines[waste?.line ?? 9]?.kind, waste?.silverGPerL]).toEqual(['discard', first.state.silverGPerL])
})

test('a line is taken back only where nothing later came from it, and the later one is named', () => {
  const entries = [line('fill', 100), line('top-up', 50, { at: 1 }), line('pour-out', -140, { at: 2 })]
  const ledgers = [{ bottleId: 'a', label: 'A', entries }]
  const back = (id: string, ml: number, over = false) =>
    decideReversing([{ id, bottleId: 'a', kind: 'top-up', ml, over }], ledgers, { reason: 'twice', asked: 'a' })
  expect(() => back('top-up 50', 50)).toThrow('the pour out of 140 ml after it would have come from nothing')
  expect(back('pour-out -140', -140)).toEqual([{ bottleId: 'a', kind: 'reverse', ml: 140, reverses: 'pour-out -140', note: 'twice' }])
  expect(code(() => back('pour-out -140', -140, true))).toBe('reversed')
})
