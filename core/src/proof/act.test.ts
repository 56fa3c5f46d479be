import { decideFilmTest, decideOverruling, decideTest, freshJudgement, testMarkOf } from './act'
import { governing, standingAfter, type Standing } from './judgement'
import { limitOf } from './limits'
import type { TestMark } from './proof'
import type { Reading, Reference } from './verdicts/judgement'

const code = (name: string) => expect.objectContaining({ code: name })
const zone = { at: Date.UTC(2026, 4, 1), zone: 'UTC' }
const bath = { label: 'F1', name: 'Rapid fixer', family: 'fixer', batchId: 'b1' }
const batch: Reference = { value: 30, celsius: 20, slowClearing: false, from: 'batch' }
const cleared: Reading = { value: 36, celsius: 20, slowClearing: false }
const decided = (reading: Reading, reference: Reference | null = batch) =>
  decideTest(bath, { kind: 'clearing-time', reading, fresh: false }, { reference })
const markFor = (reading: Reading, reference: Reference | null = batch): TestMark => {
  const { judgement, from } = decided(reading, reference)
  return testMarkOf('clearing-time', reading, judgement, from, zone)
}

describe('what a test of a bath comes to', () => {
  test('a fresh reading is the reference, whatever it would be by itself, and sets the fixing time', () => {
    expect(decideTest(bath, { kind: 'clearing-time', reading: { value: 36 }, fresh: true }, { reference: batch })).toEqual({
      from: null,
      judgement: expect.objectContaining({
        verdict: 'keep',
        rule: 'reference',
        retire: false,
        againDays: null,
        fixS: 108,
        restsOn: 'being fresh',
        reason: 'Kept as the fresh reading of its batch. Fix 108 s.',
      }),
    })
    expect(freshJudgement('developer-ph', { value: 8.6 }).reason).toBe('Kept as the fresh reading of its batch.')
  })
  test('what is seen of a fresh bath is judged as it stands', () =>
    expect(
      decideTest(
        { ...bath, family: 'stop-bath' },
        { kind: 'stop-indicator', reading: { look: 'purple' }, fresh: true },
        { reference: null },
      ),
    ).toMatchObject({ from: null, judgement: { verdict: 'failed' } }))
  test('it says where what it was held against came from', () => {
    expect(decided(cleared).from).toBe('batch')
    expect(decided(cleared, null).from).toBeNull()
  })
  test('a test of another family, and a fresh one without a batch, are refused', () => {
    expect(() => decideTest(bath, { kind: 'developer-ph', reading: { value: 8 }, fresh: false }, { reference: null })).toThrow(
      code('wrong-test'),
    )
    const bought = { ...bath, batchId: null }
    expect(() => decideTest(bought, { kind: 'clearing-time', reading: cleared, fresh: true }, { reference: null })).toThrow(
      code('no-batch'),
    )
    expect(decideTest(bought, { kind: 'clearing-time', reading: cleared, fresh: false }, { reference: batch }).judgement.verdict).toBe(
      'keep',
    )
  })
  test('a film is tested by what is a film’s', () => {
    expect(() => decideFilmTest('clearing-time', { value: 30 })).toThrow(code('wrong-test'))
    expect(() => decideFilmTest('residual-silver', {})).toThrow(code('no-reading'))
  })
})

describe('the mark a test leaves', () => {
  test('a clearing time that stands says how long to fix, at what and with which film', () => {
    expect(markFor(cleared)).toEqual({
      kind: 'clearing-time',
      verdict: 'keep',
      rule: 'clearing-2x',
      reason: decided(cleared).judgement.reason,
      reading: 36,
      reference: 30,
      ofBatch: true,
      clearing: { seconds: 36, celsius: 20, slow: false },
      fixS: 72,
      againAt: zone.at + 14 * 86_400_000,
      overruled: null,
    })
    expect(markFor({ value: 36 }).clearing).toEqual({ seconds: 36, celsius: null, slow: true })
    expect(markFor(cleared, { ...batch, from: 'formula' }).ofBatch).toBe(false)
  })
  test('one that failed, or that cannot be, makes nobody fix by it', () => {
    expect(markFor({ ...cleared, value: 60 })).toMatchObject({ verdict: 'failed', againAt: null })
    expect(markFor({ ...cleared, value: 60 })).not.toHaveProperty('clearing')
    expect(markFor({ ...cleared, value: 10, doubtful: 'read twice' })).not.toHaveProperty('clearing')
    const ph = decideTest(
      { ...bath, family: 'film-developer' },
      { kind: 'developer-ph', reading: { value: 8.6 }, fresh: false },
      { reference: null },
    )
    expect(testMarkOf('developer-ph', { value: 8.6 }, ph.judgement, ph.from, zone)).not.toHaveProperty('clearing')
  })
})

describe('what stands of a bottle', () => {
  const failed = markFor({ ...cleared, value: 60 })
  const passed = markFor(cleared)
  const after = (...marks: TestMark[]) => marks.reduce<Standing[]>((standing, mark, i) => standingAfter(standing, mark, i, i * 2), [])
  const silver = { ...passed, kind: 'silver-paper' as const }
  test('a failure stands until the second pass', () => {
    expect(after(failed, passed)).toEqual([{ kind: 'clearing-time', newest: passed, at: 1, rollsPerL: 2, failed, failedAt: 0, passes: 1 }])
    expect(after(failed, passed, passed)).toEqual([
      { kind: 'clearing-time', newest: passed, at: 2, rollsPerL: 4, failed: null, failedAt: null, passes: 0 },
    ])
    // what is between is no pass
    expect(after(failed, passed, { ...passed, verdict: 'marginal' })[0]).toMatchObject({ failed, passes: 0 })
  })
  test('each kind stands by itself', () => {
    expect(after(silver, failed, passed).map((one) => [one.kind, one.failed !== null])).toEqual([
      ['silver-paper', false],
      ['clearing-time', true],
    ])
  })
  test('a reason clears the failure of its kind, and nothing where none stands', () => {
    const reason = { ...failed, overruled: 'read in a hurry' }
    expect(after(silver, failed, reason)).toEqual([
      expect.objectContaining({ kind: 'silver-paper' }),
      expect.objectContaining({ newest: { ...failed, overruled: 'read in a hurry' }, failed: null, failedAt: null, passes: 0 }),
    ])
    expect(after(reason)).toEqual([])
  })
  test('the worst governs, the newer of two alike', () => {
    const worst = (...marks: TestMark[]) => governing(after(...marks))
    expect(worst(silver, failed)).toMatchObject({ verdict: 'failed', at: 1 })
    expect(worst(failed, silver)).toMatchObject({ verdict: 'failed', at: 0 })
    expect(worst(failed, passed)).toMatchObject({ verdict: 'failed', mark: failed, at: 0, passes: 1 })
    expect(worst(silver, passed)).toMatchObject({ verdict: 'keep', at: 1, passes: 0 })
    expect(worst(passed, { ...silver, verdict: 'marginal' }, { ...passed, kind: 'fixer-ph' })).toMatchObject({ verdict: 'marginal', at: 1 })
    expect(worst(failed, { ...failed, overruled: 'read in a hurry' })).toMatchObject({ verdict: 'marginal' })
  })
  test('only what failed can be overruled', () => {
    const tests = after(silver, failed)
    expect(decideOverruling({ label: 'F1', tests }, { kind: 'clearing-time', reason: 'read in a hurry' })).toEqual({
      test: { ...failed, reading: null, fixS: null, againAt: null, overruled: 'read in a hurry' },
      note: 'Clearing time overruled: read in a hurry',
    })
    expect(() => decideOverruling({ label: 'F1', tests }, { kind: 'silver-paper', reason: 'x' })).toThrow(code('not-failed'))
    expect(() => decideOverruling({ label: 'F1', tests: [] }, { kind: 'silver-paper', reason: 'x' })).toThrow(code('not-failed'))
  })
})

describe('the line a trend runs to', () => {
  const limit = (
    kind: Parameters<typeof limitOf>[0],
    readings: number[],
    fresh: number | null = null,
    silverLimitGPerL: number | null = null,
  ) => {
    const one = limitOf(kind, readings, { fresh, silverLimitGPerL })
    return one && [Math.round(one.at * 1000) / 1000, one.towards]
  }
  test('a clearing time by the first that was read, the others by the fresh one where it is known', () => {
    expect(limit('clearing-time', [30, 40], 25)).toEqual([60, 'up'])
    expect(limit('clearing-time', [], 25)).toBeNull()
    expect(limit('leader-black', [30], 25)).toEqual([50, 'up'])
    expect(limit('leader-black', [30])).toEqual([60, 'up'])
    expect(limit('scrap-density', [1], 1.2)).toEqual([0.9, 'down'])
  })
  test('a pH runs to the side it moves to', () => {
    expect(limit('developer-ph', [8.6, 8.5])).toEqual([8.3, 'down'])
    expect(limit('developer-ph', [8.6, 8.7])).toEqual([8.9, 'up'])
    expect(limit('developer-ph', [], 8.6)).toEqual([8.9, 'up'])
  })
  test('silver to its limit; what has none, and no reading at all, to nothing', () => {
    expect(limit('silver-paper', [1], null, 2)).toEqual([2, 'up'])
    expect(limit('silver-paper', [1])).toBeNull()
    expect(limit('stop-indicator', [5])).toBeNull()
    expect(limit('leader-black', [])).toBeNull()
  })
  test('it is named', () => {
    expect(limitOf('scrap-density', [1], { fresh: null, silverLimitGPerL: null })?.name).toBe('75 % of the fresh density')
    expect(limitOf('developer-ph', [8], { fresh: null, silverLimitGPerL: null })?.name).toBe('0.3 from fresh')
  })
})
