import { judge, type Judgement, type Reading, type Reference } from './judge'
import type { TestKind } from './proof'

type Context = Parameters<typeof judge>[2]
const fresh = (value: number, more: Partial<Reference> = {}): Reference => ({ value, celsius: 20, from: 'batch', ...more })
const at20 = (value: number, more: Reading = {}): Reading => ({ value, celsius: 20, ...more })
/** What a technician acts on: verdict, rule, ratio, whether it goes, and days until the next test. */
const short = ({ verdict, rule, ratio, retire, againDays }: Judgement) => [verdict, rule, ratio, retire, againDays]
const implausible = expect.objectContaining({ code: 'implausible' })
type Row = [reading: Reading, context: Context, says: ReturnType<typeof short>]
const judging = (kind: TestKind, rows: Row[]) =>
  test.each(rows)(`${kind}: %j against %j`, (reading, context, says) => expect(short(judge(kind, reading, context))).toEqual(says))
const against = (reference: Reference | null, more: Partial<Context> = {}): Context => ({ reference, ...more })

describe('density of a scrap', () => {
  const netted = (value: number, more: Reading = {}) => at20(value, { base: 0.2, ...more })
  judging('scrap-density', [
    [netted(1.3), against(fresh(1.2)), ['keep', 'density-keep', 1.1, false, 14]],
    [netted(1.35), against(fresh(1.2)), ['keep', 'density-keep', 1.15, false, 14]],
    [netted(1.4), against(fresh(1.2)), ['marginal', 'density-over', 1.2, false, 0]],
    [netted(1.1), against(fresh(1.2)), ['marginal', 'density-90', 0.9, false, 3]],
    [netted(0.95), against(fresh(1.2)), ['marginal', 'density-90', 0.75, false, 3]],
    [netted(0.94), against(fresh(1.2)), ['failed', 'density-75', 0.74, true, null]],
    // a hair under base and fog is the noise of a densitometer, and nothing of the fresh density
    [netted(0.18), against(fresh(1.2)), ['failed', 'density-75', 0, true, null]],
    [netted(1.2), against(null), ['marginal', 'no-reference', null, false, 3]],
    // a failure needs no conditions
    [{ value: 0.5 }, against(fresh(1)), ['failed', 'density-75', 0.5, true, null]],
    [{ value: 1, base: 0 }, against(fresh(1)), ['marginal', 'density-keep-doubtful', 1, false, 3]],
  ])
  test('it says what it is over, what lacks and that it was read without a wedge', () => {
    expect(judge('scrap-density', netted(1.2), against(fresh(1.2))).reason).toBe(
      'Density 1.20 is 100 % of the fresh 1.20, both over base and fog, over 90 %.',
    )
    const bare = judge('scrap-density', { value: 1.2, approximate: true }, against(fresh(1.2)))
    expect(bare.reason).not.toContain('over base')
    expect(bare.reason).toMatch(/marginal: base and fog were not read.*, and the temperature it was developed at/)
    expect(bare.restsOn).toContain('approximately')
    expect(judge('scrap-density', netted(1.2), against(fresh(1.2))).restsOn).not.toContain('approximately')
  })
  test('nothing is lighter than clear film, and no reference is clear film', () => {
    expect(() => judge('scrap-density', netted(0.17), against(fresh(1.2)))).toThrow(implausible)
    expect(() => judge('scrap-density', netted(1, { fresh: 0.1 }), against(null))).toThrow(implausible)
    expect(() => judge('scrap-density', netted(1), against(fresh(0.2)))).toThrow(implausible)
  })
})

describe('a leader', () => {
  judging('leader-black', [
    [at20(21), against(fresh(30)), ['keep', 'leader-keep', 0.7, false, 14]],
    [at20(20), against(fresh(30)), ['marginal', 'leader-fast', 0.667, false, 0]],
    [at20(45), against(fresh(30)), ['keep', 'leader-keep', 1.5, false, 14]],
    [at20(46), against(fresh(30)), ['marginal', 'leader-1.5', 1.533, false, 0]],
    [at20(60), against(fresh(30)), ['failed', 'leader-2', 2, true, null]],
    [at20(30), against(null), ['marginal', 'no-reference', null, false, 3]],
    // a degree off means nothing; more is brought to 20 °C at 5.5 % a degree, and is no plain pass
    [{ value: 30, celsius: 21 }, against(fresh(30)), ['keep', 'leader-keep', 1, false, 14]],
    [{ value: 30, celsius: 22 }, against(fresh(30)), ['marginal', 'leader-keep-doubtful', 1.113, false, 3]],
    [{ value: 30, celsius: 18 }, against(fresh(30)), ['marginal', 'leader-keep-doubtful', 0.898, false, 3]],
  ])
  test('it says which of the two temperatures is not known', () => {
    expect(judge('leader-black', { value: 30 }, against(fresh(30))).reason).toContain('its temperature was not written down')
    expect(judge('leader-black', at20(30), against(fresh(30, { celsius: null }))).reason).toContain('of the fresh reading is not known')
  })
})

describe('pH of a developer', () => {
  judging('developer-ph', [
    [at20(8.5), against(fresh(8.6)), ['keep', 'ph-0.1', null, false, 14]],
    [at20(8.75), against(fresh(8.6)), ['keep', 'ph-watch', null, false, 14]],
    [at20(8.8), against(fresh(8.6)), ['marginal', 'ph-0.2', null, false, 3]],
    [at20(8.3), against(fresh(8.6)), ['failed', 'ph-0.3', null, true, null]],
    [at20(8.6), against(null), ['marginal', 'no-reference', null, false, 3]],
    [{ value: 8.6, celsius: 25 }, against(fresh(8.6, { celsius: 23 })), ['keep', 'ph-0.1', null, false, 14]],
    [{ value: 8.6, celsius: 25 }, against(fresh(8.6, { celsius: 22 })), ['marginal', 'ph-0.1-doubtful', null, false, 3]],
    [at20(8.6), against(fresh(8.6, { celsius: null })), ['keep', 'ph-0.1', null, false, 14]],
    [{ value: 8.6 }, against(fresh(8.6)), ['marginal', 'ph-0.1-doubtful', null, false, 3]],
  ])
  test.each([19.9, 25.1])('at %f °C it is no reading', (celsius) =>
    expect(() => judge('developer-ph', { value: 8.6, celsius }, against(fresh(8.6)))).toThrow(
      expect.objectContaining({ code: 'wrong-temperature' }),
    ),
  )
  test('it names what it was held against', () =>
    expect(judge('developer-ph', at20(8.5), against(fresh(8.6)))).toMatchObject({
      reference: 8.6,
      restsOn: expect.stringContaining('this batch when it was fresh'),
    }))
})

describe('a clearing time', () => {
  const ordinary = (value: number, more: Reading = {}) => at20(value, { slowClearing: false, ...more })
  const times = (reading: Reading, reference: Reference | null) => judge('clearing-time', reading, against(reference)).fixS
  judging('clearing-time', [
    [ordinary(44), against(fresh(30)), ['keep', 'clearing-2x', 1.467, false, 14]],
    [ordinary(45), against(fresh(30)), ['keep', 'clearing-2x', 1.5, false, 3]],
    [ordinary(60), against(fresh(30)), ['failed', 'clearing-2', 2, true, null]],
    [ordinary(22.5), against(fresh(30)), ['keep', 'clearing-2x', 0.75, false, 14]],
    [at20(45, { slowClearing: true }), against(fresh(30)), ['keep', 'clearing-3x', 1.5, false, 3]],
    [at20(40), against(fresh(30)), ['marginal', 'clearing-2x-doubtful', 1.333, false, 3]],
    [{ value: 40, slowClearing: false }, against(fresh(30)), ['marginal', 'clearing-2x-doubtful', 1.333, false, 3]],
    [ordinary(40), against(fresh(30, { celsius: null })), ['keep', 'clearing-2x', 1.333, false, 14]],
    // ordinary film against a fresh reading of slow film: 30 s are 48
    [ordinary(30), against(fresh(48, { slowClearing: true })), ['keep', 'clearing-2x', 1, false, 14]],
    [ordinary(30, { doubtful: 'read twice' }), against(fresh(60)), ['marginal', 'clearing-fast', 0.5, false, 0]],
  ])
  test('what is not said of the film is taken for the slower', () => {
    expect(times(at20(40), fresh(30))).toBe(120)
    expect(times(ordinary(40), fresh(30))).toBe(80)
    expect(times(ordinary(40), null)).toBe(80)
    expect(times(ordinary(30, { doubtful: 'read twice' }), fresh(60))).toBe(120)
  })
  test('it says what lacks, and at what it was compared', () => {
    expect(judge('clearing-time', { value: 40 }, against(fresh(30))).reason).toMatch(/its temperature was not written down, and the kind/)
    expect(judge('clearing-time', ordinary(40), against(null)).reason).toContain('Fix 2 times the clearing time, 80 s')
    const warm = judge('clearing-time', ordinary(40, { celsius: 22 }), against(fresh(40)))
    expect(warm).toMatchObject({
      corrected: true,
      ratio: 1.103,
      reason: expect.stringContaining('44 s at the fresh reading’s 20 °C, 1.10'),
    })
    expect(warm.restsOn).toContain('corrected')
    const film = judge('clearing-time', ordinary(30, { slowClearing: true }), against(fresh(20, { slowClearing: false, celsius: null })))
    expect(film.reason).toContain('19 s at the fresh reading’s temperature and with its kind of film')
    // a degree is within a thermometer's own error
    expect(judge('clearing-time', ordinary(40, { celsius: 21 }), against(fresh(40))).corrected).toBe(false)
  })
})

describe('pH of a fixer', () => {
  judging('fixer-ph', [
    [{ value: 5 }, against(fresh(5), { fixerClass: 'acid' }), ['keep', 'fixer-ph', null, false, 14]],
    [{ value: 5.5 }, against(fresh(5), { fixerClass: 'acid' }), ['keep', 'fixer-ph', null, false, 14]],
    [{ value: 5.6 }, against(fresh(5), { fixerClass: 'acid' }), ['marginal', 'fixer-ph-0.5', null, false, 3]],
    [{ value: 4 }, against(null, { fixerClass: 'acid' }), ['keep', 'fixer-ph', null, false, 14]],
    [{ value: 6 }, against(null, { fixerClass: 'acid' }), ['keep', 'fixer-ph', null, false, 14]],
    [{ value: 3.9 }, against(null, { fixerClass: 'acid' }), ['marginal', 'fixer-class', null, false, 3]],
    [{ value: 6.1 }, against(null, { fixerClass: 'acid' }), ['marginal', 'fixer-class', null, false, 3]],
    [{ value: 7 }, against(fresh(5), { fixerClass: null }), ['marginal', 'fixer-ph-0.5', null, false, 3]],
    // the usual range of a class says nothing of this batch
    [{ value: 7 }, against(fresh(5, { from: 'class' }), { fixerClass: null }), ['keep', 'fixer-ph', null, false, 14]],
    [{ value: 7 }, against(null), ['marginal', 'no-reference', null, false, 3]],
  ])
  test('the class goes by the fresh pH, and is named', () => {
    const says = (value: number, fixerClass: NonNullable<Context['fixerClass']>) =>
      judge('fixer-ph', { value }, against(null, { fixerClass })).reason
    expect(says(6, 'alum-hardening')).toBe('pH 6.0, outside 4 to 5.5 of an alum-hardening fixer.')
    expect(says(8, 'neutral')).toBe('pH 8.0, outside 6 to 7.5 of a neutral fixer.')
    expect(says(7, 'alkaline')).toBe('pH 7.0, outside 7.5 to 9 of an alkaline fixer.')
    expect(judge('fixer-ph', { value: 5.6 }, against(fresh(5)))).toMatchObject({
      reference: 5,
      restsOn: expect.stringContaining('this batch'),
      reason: expect.stringContaining('0.6 from the fresh 5.0'),
    })
    expect(judge('fixer-ph', { value: 5 }, against(null, { fixerClass: 'acid' }))).toMatchObject({
      reference: null,
      restsOn: expect.stringContaining('usual range'),
      reason: 'pH 5.0.',
    })
  })
})

describe('silver and stop bath', () => {
  judging('silver-paper', [
    [{ value: 1.4 }, against(null, { silverLimitGPerL: 2 }), ['keep', 'silver-keep', 0.7, false, 14]],
    [{ value: 1.5 }, against(null, { silverLimitGPerL: 2 }), ['marginal', 'silver-near', 0.75, false, 3]],
    [{ value: 2 }, against(null, { silverLimitGPerL: 2 }), ['failed', 'silver-limit', 1, true, null]],
    [{ value: 2 }, against(null), ['marginal', 'no-reference', null, false, 3]],
  ])
  judging('stop-indicator', [
    [{ value: 5.1 }, against(null), ['keep', 'stop-yellow', null, false, 14]],
    [{ value: 5.2 }, against(null), ['marginal', 'stop-orange', null, false, 0]],
    [{ value: 6.8 }, against(null), ['marginal', 'stop-orange', null, false, 0]],
    [{ value: 6.9 }, against(null), ['failed', 'stop-purple', null, true, null]],
    [{ look: 'yellow' }, against(null), ['keep', 'stop-yellow', null, false, 14]],
    [{ look: 'orange' }, against(null), ['marginal', 'stop-orange', null, false, 0]],
    [{ look: 'purple' }, against(null), ['failed', 'stop-purple', null, true, null]],
  ])
  test('each says what it rests on', () => {
    expect(judge('silver-paper', { value: 1 }, against(null, { silverLimitGPerL: 2 }))).toMatchObject({
      reference: 2,
      restsOn: expect.stringContaining('limit'),
    })
    expect(judge('stop-indicator', { value: 5 }, against(null)).restsOn).toContain('5.2 to 6.8')
  })
})

describe('readings that cannot be', () => {
  test.each<[TestKind, Reading]>([
    ['scrap-density', at20(4.6)],
    ['leader-black', at20(0.4)],
    ['leader-black', at20(3601)],
    ['clearing-time', at20(0.4)],
    ['developer-ph', at20(14.1)],
    ['silver-paper', { value: 61 }],
    ['leader-black', { value: 30, celsius: 4.9 }],
    ['leader-black', { value: 30, celsius: 60.1 }],
  ])('%s %j', (kind, reading) => expect(() => judge(kind, reading, against(fresh(30)))).toThrow(implausible))
  test.each<[TestKind, Reading]>([
    ['leader-black', { value: 0.5, celsius: 5 }],
    ['leader-black', { value: 3600, celsius: 60 }],
  ])('%s %j can just be', (kind, reading) => expect(judge(kind, reading, against(null)).rule).toBe('no-reference'))
  test('what is judged by eye takes no figure', () =>
    expect(() => judge('iodide-drop', { value: 3 }, against(null))).toThrow(expect.objectContaining({ code: 'no-reading' })))
  test.each([Number.NaN, -1])('%f is no reading, nor a temperature', (value) => {
    expect(() => judge('stop-indicator', { value }, against(null))).toThrow()
    expect(() => judge('leader-black', { value: 30, celsius: Number.NaN }, against(null))).toThrow()
  })
})
