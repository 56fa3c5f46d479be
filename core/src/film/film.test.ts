import fc from 'fast-check'
import { run } from '../samples'
import { filmAdvice } from './advice'
import type { CameOut } from './cameOut'
import { densityAdvice, type FilmDensities } from './calibration'
import { faultNames } from './faultNames'
import { faults } from './faults'
import { filmDryAt, freePlaces, reelsDryAt } from './drying'
import { proposeTime, shareOfTime, type OutcomeOfTime } from './proposal'

const hours = (ms: number) => ms / 3_600_000

test('film dries in three hours in air and forty minutes in the cabinet, reels in four and a half of one', () => {
  expect([filmDryAt(0), filmDryAt(0, 'cabinet'), reelsDryAt(0), reelsDryAt(0, 'cabinet')].map(hours)).toEqual([3, 2 / 3, 4, 0.5])
})

test('films take the lowest free places, and none where the dryer is full', () => {
  expect(freePlaces({ places: 4, taken: [] }, 2)).toEqual([1, 2])
  expect(freePlaces({ places: 4, taken: [1, 3] }, 3)).toEqual([2, 4, null])
  expect(freePlaces({ places: 0, taken: [] }, 1)).toEqual([null])
  expect(freePlaces({ places: 2, taken: [1, 2] }, 0)).toEqual([])
})

describe('advice', () => {
  const said = (part: Partial<CameOut>) => filmAdvice({ result: null, contrast: null, faults: [], wiping: null, ...part }).join(' ')
  test.each<[Partial<CameOut>, RegExp | '']>([
    [{}, ''],
    [{ result: 'right', contrast: 'right' }, ''],
    [{ result: 'dense', contrast: 'hard' }, /Less time/],
    [{ result: 'thin', contrast: 'flat' }, /More time/],
    [{ result: 'dense', contrast: 'right' }, /exposed too long/],
    [{ result: 'thin', contrast: 'hard' }, /exposed too short/],
    [{ result: 'dense' }, /say whether it is hard/],
    [{ result: 'thin' }, /say whether it is flat/],
    [{ contrast: 'hard' }, /a little less/],
    [{ contrast: 'flat', result: 'right' }, /a little more/],
  ])('%j', (came, says) => {
    if (says === '') expect(said(came)).toBe('')
    else expect(said(came)).toMatch(says)
  })
  test('shadows that alone are thin are the exposure’s, and nothing of the development is said', () => {
    expect(said({ result: 'thin', contrast: 'flat', faults: ['thin-shadows'] })).toMatch(/exposure, not the development/)
    expect(said({ result: 'thin', contrast: 'flat', faults: ['thin-shadows'] })).not.toMatch(/More time/)
  })
  test('a long scratch points to the wiping where it was wiped', () => {
    expect(said({ faults: ['long-scratch'], wiping: 'fingers' })).toMatch(/two wet fingers/)
    expect(said({ faults: ['long-scratch'], wiping: 'wiper' })).toMatch(/soft wiper/)
    for (const wiping of ['none', null] as const) expect(said({ faults: ['long-scratch'], wiping })).toMatch(/camera/)
  })
  test('every fault has its word and its advice', () => {
    expect(new Set(faults.map((fault) => said({ faults: [fault] }))).size).toBe(faults.length)
    expect(Object.keys(faultNames).sort()).toEqual([...faults].sort())
    expect(said({ faults: ['milky', 'streaks'] })).toMatch(/fresh fixer.*agitated/)
  })
})

describe('a time proposed from how films came out', () => {
  const film = (part: Partial<OutcomeOfTime> = {}): OutcomeOfTime => ({ share: 1, result: null, contrast: null, faults: [], ...part })
  const many = (n: number, part: Partial<OutcomeOfTime>) => proposeTime(Array.from({ length: n }, () => film(part)))
  test('nothing of fewer than three films that say something', () => {
    expect(many(2, { contrast: 'hard' })).toBeNull()
    expect(many(9, {})).toBeNull()
    expect(many(9, { contrast: 'hard', share: 0 })).toBeNull()
    expect(many(3, { contrast: 'hard' })?.films).toBe(3)
  })
  test('hard films want less time, flat ones more, and the right ones none: drawn towards the chart the fewer they are', () => {
    const hard = [3, 6, 60].map((n) => many(n, { contrast: 'hard' })?.factor ?? 0)
    expect(hard[0]).toBeGreaterThan(hard[1]!)
    expect(hard[1]).toBeGreaterThan(hard[2]!)
    expect(hard[2]).toBeCloseTo(1 / 1.2, 2)
    // three of 0.833 with a spread of 0.12 against a chart of 0.1: 3/0.0144 ÷ (3/0.0144 + 100) of the way
    expect(Math.log(hard[0]!)).toBeCloseTo((208.333 / 308.333) * Math.log(1 / 1.2), 4)
    expect(many(5, { contrast: 'flat' })?.factor).toBeGreaterThan(1.1)
    expect(many(5, { contrast: 'right' })).toMatchObject({ factor: 1, offered: false })
  })
  test('contrast speaks before density, which is the exposure’s too; shadows that alone are thin say nothing against the time', () => {
    expect(many(4, { result: 'dense', contrast: 'right' })?.factor).toBe(1)
    expect(many(4, { result: 'dense' })?.factor).toBeLessThan(1)
    expect(many(4, { result: 'thin' })?.factor).toBeGreaterThan(1)
    expect(many(4, { result: 'thin', faults: ['thin-shadows'] })?.factor).toBe(1)
    expect(many(4, { result: 'right' })?.factor).toBe(1)
  })
  test('a film that was right with a tenth more than charted says that a tenth more is right', () => {
    expect(many(200, { contrast: 'right', share: 1.1 })?.factor).toBeCloseTo(1.1, 2)
  })
  test('is offered only where it is worth it and the films agree on which way', () => {
    expect(many(6, { contrast: 'hard' })?.offered).toBe(true)
    const torn = proposeTime([
      film({ contrast: 'hard' }),
      film({ contrast: 'flat' }),
      film({ contrast: 'hard' }),
      film({ contrast: 'right' }),
    ])
    expect(torn?.offered).toBe(false)
    expect(many(400, { contrast: 'right', share: 1.02 })?.offered).toBe(false)
  })
  test('lies in its interval, which narrows with every film that agrees', () => {
    const outcome = fc.record({ share: fc.double({ min: 0.5, max: 2, noNaN: true }), contrast: fc.constantFrom('flat', 'right', 'hard') })
    fc.assert(
      fc.property(fc.array(outcome, { minLength: 3, maxLength: 20 }), (films) => {
        const one = proposeTime(films.map((part) => film(part as Partial<OutcomeOfTime>)))!
        expect(one.lowest).toBeLessThan(one.factor)
        expect(one.highest).toBeGreaterThan(one.factor)
      }),
    )
    const width = (n: number) => many(n, { contrast: 'hard' })!.highest / many(n, { contrast: 'hard' })!.lowest
    expect([width(3) > width(4), width(4) > width(20)]).toEqual([true, true])
  })
})

test('how far a film was developed is told by the chart of today, at the temperature it had, with the factors of its plan', () => {
  const chart = [
    { temperatureC: 20, seconds: 600 },
    { temperatureC: 24, seconds: 450 },
  ]
  const film = { developedS: 600, temperatureC: 20 }
  expect(shareOfTime(run, film, [])).toBeCloseTo(1, 9)
  expect(shareOfTime(run, { ...film, temperatureC: 24 }, chart)).toBeCloseTo(600 / 450, 9)
  expect(shareOfTime(run, film, [{ temperatureC: 20, seconds: 500 }])).toBeCloseTo(1.2, 9)
  const pushed = { ...run, developing: { ...run.developing!, steps: [...run.developing!.steps, { name: 'push 1', factor: 1.35 }] } }
  expect(shareOfTime(pushed, { ...film, developedS: 810 }, chart)).toBeCloseTo(1, 9)
  for (const none of [
    { developedS: null, temperatureC: 20 },
    { developedS: 600, temperatureC: null },
  ])
    expect(shareOfTime(run, none, chart)).toBeNull()
  expect(shareOfTime({ developing: null }, film, chart)).toBeNull()
})

describe('densities read of a grey card', () => {
  const read = (shadow: number | null, high: number | null, enlarger: FilmDensities['enlarger'] = 'diffuser'): FilmDensities => ({
    shadow,
    high,
    by: 'densitometer',
    enlarger,
  })
  const words = (...asked: Parameters<typeof read>) => densityAdvice(read(...asked)).join(' ')
  test('four stops under tell the exposure index, three stops over the time, by what it is printed with', () => {
    expect([words(0.1, 1.3), words(0.08, 1.25), words(0.12, 1.35), words(null, null), densityAdvice(null).join()]).toEqual([
      '',
      '',
      '',
      '',
      '',
    ])
    expect(words(0.07, 1.3)).toMatch(/0\.07, not near 0\.10: a lower exposure index/)
    expect(words(0.13, 1.3)).toMatch(/a higher exposure index/)
    expect(words(0.1, 1.36)).toMatch(/1\.36, not in 1\.25 to 1\.35 for a diffuser: less time/)
    expect(words(0.1, 1.24)).toMatch(/more time/)
    expect([words(0.1, 1.15, 'condenser'), words(0.1, 1.25, 'condenser')]).toEqual(['', ''])
    expect(words(0.1, 1.3, 'condenser')).toMatch(/1\.15 to 1\.25 for a condenser: less time/)
  })
  test('speak before the eye, where the high one was read', () => {
    const eye = { share: 1, result: 'dense' as const, contrast: 'hard' as const, faults: [] }
    const factor = (densities: FilmDensities | null) => proposeTime(Array.from({ length: 4 }, () => ({ ...eye, densities })))!.factor
    expect([factor(read(0.1, 1.3)), factor(read(0.1, 1.3, 'condenser')) < 1, factor(read(0.1, 1.1)) > 1]).toEqual([1, true, true])
    expect([factor(null) < 1, factor(read(0.1, null)) < 1]).toEqual([true, true])
  })
})
