import { dayMs } from '../calendar/span'
import type { FormulaUse, UsedFormula } from '../formula/use'
import { bottle, fixer, stopBath } from '../samples'
import { agedIn, keepingDays } from './ageing'
import type { BottleEntry, BottleFacts } from './bottle'
import { bottleState } from './bottleState'
import { bottlesToFill, decantAdvice, sulfiteLostPerOpening, sulfitePerLitre } from './headspace'
import { lifeCurve } from './lifeCurve'
import { stopCapacity } from './stopBath'
import { fixerSaltOf, rollsToSilver, silverLimit, takesSilver } from './silver'

let made = 0
const line = (kind: BottleEntry['kind'], day: number, ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  ...{ id: `l${made++}`, kind, at: day * dayMs, ml, waterInMl: 0, reverses: null },
  ...more,
})
const full = line('fill', 0, 1000)
const used = (day: number, rolls: number, more: Partial<BottleEntry> = {}) => line('use', day, 0, { rolls, ...more })
type Of = { use?: Partial<FormulaUse>; family?: string; facts?: Partial<BottleFacts>; day?: number }
const formula = ({ use = {}, family = 'fixer' }: Of = {}): UsedFormula => ({ ...fixer, family, use: { ...fixer.use, ...use } })
const state = (of: Of, ...lines: BottleEntry[]) =>
  bottleState(formula(of), { ...bottle, ...of.facts }, [full, ...lines], (of.day ?? 0) * dayMs)
const readings = (...pairs: [rolls: number, seconds: number][]): BottleEntry[] =>
  pairs.flatMap(([rolls, seconds], i) => [
    { ...used(0, rolls), at: 2 * i },
    line('test', 0, 0, {
      at: 2 * i + 1,
      test: {
        kind: 'clearing-time',
        verdict: 'keep',
        rule: 'r',
        reason: '',
        reading: seconds,
        reference: 30,
        fixS: null,
        againAt: null,
        overruled: null,
      },
    }),
  ])

describe('rolls a bottle is still good for', () => {
  const left = (of: Of, ...lines: BottleEntry[]) => state(of, ...lines).rollsLeft
  test('by its count for each litre of working solution; stock counts as what it makes', () => {
    expect([left({}), left({}, used(0, 5)), left({}, line('pour-out', 0, -500))]).toEqual([20, 15, 10])
    expect(left({ use: { dilutions: [[1, 4]] } })).toBe(100)
    expect(left({ use: { dilutions: [[1, 4]] }, facts: { parts: [1, 4] } })).toBe(20)
    expect([left({ use: { dilutions: [] } }), left({ use: { capacityRollsPerL: null } })]).toEqual([20, null])
  })
  test('by its least concentrate where it is used once, by its turnovers where it is replenished', () => {
    const once: Partial<FormulaUse> = { school: 'one-shot', minConcentrateMlPerRoll: 100 }
    expect([
      left({ use: once }),
      left({ use: once, facts: { parts: [1, 1] } }),
      left({ use: { ...once, minConcentrateMlPerRoll: 0 } }),
    ]).toEqual([10, 5, null])
    const replenished: Partial<FormulaUse> = { school: 'replenished', replenishment: { mlPerRoll: 50, turnovers: 2 } }
    expect([left({ use: replenished }), left({ use: { school: 'replenished' } })]).toEqual([40, null])
    expect(left({ use: replenished }, line('replenish', 0, 500), line('bleed', 0, -500))).toBeCloseTo(30, 9)
    expect(state({ use: { ...replenished, replenishment: { mlPerRoll: 50, turnovers: 0 } } }, line('replenish', 0, 500)).used).toBe(0)
  })
  test('none where its life is over or it is retired', () => {
    expect([left({}, used(0, 20)), left({ facts: { retiredAt: 0 } }), left({ use: { capacityRollsPerL: null }, day: 400 })]).toEqual([
      0, 0, 0,
    ])
  })
})

describe('what governs', () => {
  const governs = (of: Of, ...lines: BottleEntry[]) => state(of, ...lines).governs
  test('is age or use, whichever is further, age where they are alike', () => {
    expect([governs({}), governs({}, used(0, 1)), governs({ day: 18 }, used(0, 1)), governs({ day: 9 }, used(0, 1))]).toEqual([
      'age',
      'use',
      'age',
      'age',
    ])
  })
  test('is the volume where a bottle used once has less than a roll takes', () => {
    const once: Partial<FormulaUse> = { school: 'one-shot', minConcentrateMlPerRoll: 100 }
    expect([-900, -901].map((ml) => governs({ use: once }, line('pour-out', 0, ml)))).toEqual(['age', 'volume'])
    expect(governs({ use: { ...once, minConcentrateMlPerRoll: 0 } }, line('pour-out', 0, -999))).toBe('age')
    expect(governs({ use: { minConcentrateMlPerRoll: 100 } }, line('pour-out', 0, -950))).toBe('age')
  })
  test('is silver at its limit, but for what is used once and a monobath', () => {
    const many = used(0, 23)
    expect(governs({}, many)).toBe('silver')
    expect(governs({ use: { capacityRollsPerL: 30 } }, used(0, 21))).toBe('use')
    expect([governs({ use: { school: 'one-shot' } }, many), governs({ family: 'monobath' }, many)]).toEqual(['age', 'use'])
    expect(governs({ family: 'stop-bath' }, many)).toBe('use')
  })
  test('is what went in of a replenished bath, and a test that failed', () => {
    const replenished: Partial<FormulaUse> = { school: 'replenished', replenishment: { mlPerRoll: 50, turnovers: 2 } }
    expect(governs({ use: replenished, family: 'bleach' }, line('replenish', 0, 500), line('bleed', 0, -500))).toBe('throughput')
    const failed = readings([1, 90])
    const day = 1e-6
    failed[1] = { ...failed[1]!, test: { ...failed[1]!.test!, verdict: 'failed' } }
    expect([governs({ day }, ...failed), governs({ day, use: { school: 'one-shot', minConcentrateMlPerRoll: 5000 } }, ...failed)]).toEqual([
      'test',
      'test',
    ])
  })
})

describe('clearing times that rise', () => {
  // 30 s fresh, then more by 2 s a roll: doubled after 15 rolls a litre
  const rising = readings([0, 30], [3, 36], [3, 42])
  test('end a fixer before its count, and lengthen it for film alone, never past its silver', () => {
    const of = (use: Partial<FormulaUse>, ...more: BottleEntry[]) => state({ use, day: 1e-6 }, ...rising, ...more)
    const byTest = of({ capacityRollsPerL: 40 })
    expect(byTest.clearing).not.toBeNull()
    const capacity = 6 / byTest.used
    expect(capacity).toBeCloseTo(6 + byTest.clearing!.rollsPerLitreLeft!, 6)
    expect(6 / of({ capacityRollsPerL: 8 }).used).toBeCloseTo(capacity, 6)
    expect(of({ capacityRollsPerL: 8 }).governs).toBe('test')
    // for paper the count stays where it is shorter
    expect(6 / of({ capacityRollsPerL: 8, fixes: 'rc-paper' }).used).toBeCloseTo(8, 6)
    expect(6 / of({ capacityRollsPerL: 40, fixes: 'rc-paper' }).used).toBeCloseTo(capacity, 6)
    const withPaper = of({ capacityRollsPerL: 8 }, line('use', 0, 0, { paper: 0.001 }))
    expect(6.001 / withPaper.used).toBeCloseTo(8, 1)
    const slow = readings([0, 30], [1, 30.5], [1, 31])
    expect(2 / state({ use: { capacityRollsPerL: 8 }, day: 1e-6 }, ...slow).used).toBeCloseTo(rollsToSilver(4, fixer.use), 6)
  })
})

test('a bottle says nothing of what it does not do, and when it was opened', () => {
  const stop = state({ family: 'stop-bath' })
  expect([stop.silverGPerL, stop.silverLimitGPerL, stop.closedFor, stop.fixerSalt, stop.bleaches]).toEqual([null, null, [], null, null])
  expect([state({}).acidUsed, state({}).ph, state({}).fixerSalt, state({ family: 'bleach' }).bleaches]).toEqual([
    null,
    null,
    'plain',
    'other',
  ])
  expect([state({}).openedAt, state({ day: 2 }, used(1, 1)).openedAt, state({ day: 2 }).ageDays]).toEqual([null, dayMs, 2])
  expect(() => bottleState(fixer, { ...bottle, sizeMl: -1 }, [full], 0)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  expect([
    state({ use: { keeping: { fullDays: null, halfDays: null, workingDays: null } }, day: 9 }).daysLeft,
    state({ day: 18 }).daysLeft,
  ]).toEqual([null, expect.closeTo(0.9 * 180, 6)])
  expect(state({}, used(0, 4), line('use', 0, 0, { paper: 6 }))).toMatchObject({ rolls: 4, paper: 6, rollsPerL: 10 })
})

describe('keeping', () => {
  const keeping = { fullDays: 180, halfDays: 90, workingDays: 30 }
  const days = (part: object = {}, of: object = keeping, parts: number[] | null = null) =>
    keepingDays({ ...keeping, ...of }, { sizeMl: 1000, parts }, { volumeMl: 1000, container: 'bottle', celsius: 20, ...part })
  test('is by its state: full, part full, airless, in a tray, as working strength; above 25 °C half for every 10', () => {
    expect([days(), days({ volumeMl: 850 }), days({ volumeMl: 849 }), days({ volumeMl: 100, container: 'airless' })]).toEqual([
      180, 180, 90, 180,
    ])
    expect([days({ container: 'tray' }), days({ container: 'tray' }, { trayDays: 1 }), days({}, {}, [1, 4])]).toEqual([30, 1, 30])
    expect([days({ volumeMl: 100 }, { halfDays: null }), days({}, { fullDays: null })]).toEqual([180, null])
    expect([days({ celsius: 25 }), days({ celsius: 35 }), days({ celsius: 0 })]).toEqual([180, 90, 180])
  })
  test('is used up by time that passes, and by none that does not', () => {
    const aged = (ms: number, of = keeping as typeof keeping | { fullDays: null; halfDays: null; workingDays: null }) =>
      agedIn(of, { sizeMl: 1000, parts: null }, { volumeMl: 1000, container: 'bottle', celsius: 20 }, ms)
    expect([aged(18 * dayMs), aged(0), aged(-dayMs), aged(dayMs, { fullDays: null, halfDays: null, workingDays: null })]).toEqual([
      0.1, 0, 0, 0,
    ])
  })
})

describe('decanting', () => {
  const advice = (part: object = {}, of: Partial<BottleFacts> = {}, keeping: object = {}, sulfite = 15) =>
    decantAdvice(
      { fullDays: 180, halfDays: 60, workingDays: 1, ...keeping },
      { ...bottle, sizeMl: 2500, ...of },
      { volumeMl: 1000, aged: 0, used: 0, remaining: 1, container: 'bottle', ...part },
      sulfite,
    )
  test('pays by the days it gains, with the sulfite each opening costs', () => {
    expect(advice()).toEqual({ into: [1000], daysLonger: 120, lostPerOpening: expect.closeTo((1500 * 2.2) / (1000 * 15), 9) })
    expect([advice({ remaining: 0.5 })?.daysLonger, advice({}, {}, {}, 0)?.lostPerOpening]).toEqual([60, null])
    expect([advice({}, {}, { fullDays: 67 })?.daysLonger, advice({}, {}, { fullDays: 66.9 })]).toEqual([undefined, null])
    expect([advice({}, {}, { halfDays: 100, fullDays: 115 })?.daysLonger, advice({}, {}, { halfDays: 100, fullDays: 114 })]).toEqual([
      15,
      null,
    ])
    expect([advice({}, {}, { halfDays: 10, fullDays: 17 })?.daysLonger, advice({}, {}, { halfDays: 10, fullDays: 16.9 })]).toEqual([
      7,
      null,
    ])
  })
  test('is not advised of what is diluted, retired, in a tray, over, nearly full, nearly empty, or of unknown keeping', () => {
    const none = [advice({}, { parts: [1, 4] }), advice({}, { retiredAt: 1 }), advice({ container: 'tray' }), advice({ remaining: 0 })]
    expect([...none, advice({ volumeMl: 2125 }), advice({ volumeMl: 84 })]).toEqual(Array(6).fill(null))
    expect([advice({}, {}, { fullDays: null }), advice({}, {}, { halfDays: null })]).toEqual([null, null])
    expect([advice({ volumeMl: 85 })?.into, advice({ volumeMl: 2124 })?.into.length]).toEqual([[100], 3])
  })
  test('takes the fewest bottles that stand full, each smaller', () => {
    expect([bottlesToFill(1000, 2500), bottlesToFill(1500, 2500), bottlesToFill(850, 1000), bottlesToFill(84, 1000)]).toEqual([
      [1000],
      [500, 1000],
      [500, 500],
      null,
    ])
    expect([bottlesToFill(500, 500), bottlesToFill(5000, 2500)]).toEqual([[250, 250], null])
  })
  test('air takes all of a little sulfite and no more; bisulfite counts as metabisulfite, bases of another kind as none', () => {
    expect(sulfiteLostPerOpening({ headspaceMl: 900, liquidMl: 100, sulfiteGPerL: 1 })).toBe(1)
    expect(() => sulfiteLostPerOpening({ headspaceMl: 1, liquidMl: 0, sulfiteGPerL: 1 })).toThrow(
      expect.objectContaining({ code: 'no-sulfite' }),
    )
    expect(() => sulfiteLostPerOpening({ headspaceMl: -1, liquidMl: 1, sulfiteGPerL: 1 })).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
    const holds = (chemical: string, grams: number) => sulfitePerLitre({ ...fixer, additions: [{ chemical, grams }] })
    expect([holds('sodium-sulfite', 10), holds('sodium-metabisulfite', 10), holds('borax-decahydrate', 10)]).toEqual([
      expect.closeTo(10, 6),
      expect.closeTo((20 * 126.04) / 190.1, 2),
      0,
    ])
  })
})

describe('the curve of a life', () => {
  const curve = (now: number, facts: Partial<BottleFacts>, ...lines: BottleEntry[]) =>
    lifeCurve(fixer, { ...bottle, ...facts }, [full, ...lines], now * dayMs)
  test('goes on at the rate of its last four weeks and its age, to where nothing is left', () => {
    // ten rolls in ten days of a bottle good for 20, and 180 days: 1/20 and 1/180 a day
    const one = curve(10, {}, ...Array.from({ length: 10 }, (_, i) => used(i + 1, 1)))
    expect(one.endsAt! / dayMs).toBeCloseTo(10 + (1 - 0.5 - 10 / 180) / (0.05 + 1 / 180), 6)
    const [last, end] = one.ahead
    expect([last, end!.used + end!.aged, end!.volumeMl]).toEqual([one.past.at(-1), expect.closeTo(1, 9), 1000])
    // what was used before those weeks does not count
    const calm = curve(60, {}, used(1, 10))
    expect(calm.endsAt! / dayMs).toBeCloseTo(60 + (1 - 0.5 - 60 / 180) * 180, 6)
  })
  test('has no end where nothing ends it, it is over, empty or retired; nothing after now is in it', () => {
    for (const { ahead, endsAt } of [
      curve(10, {}, used(1, 20)),
      curve(10, { retiredAt: 5 * dayMs }),
      curve(10, {}, line('discard', 2, -1000)),
    ])
      expect([ahead, endsAt]).toEqual([[], null])
    const keepsForEver = { ...fixer, use: { ...fixer.use, keeping: { fullDays: null, halfDays: null, workingDays: null } } }
    expect(lifeCurve(keepsForEver, bottle, [full], 10 * dayMs).endsAt).toBeNull()
    expect(curve(10, {}, used(11, 5)).past.at(-1)?.used).toBe(0)
    expect(curve(10, { retiredAt: 5 * dayMs }).past.at(-1)?.at).toBe(5 * dayMs)
    expect(lifeCurve(fixer, bottle, [], 10 * dayMs)).toMatchObject({ past: [], tests: [] })
  })
  test('tells its tests but for what a technician overruled, and stays short enough to be drawn', () => {
    const [, test_] = readings([1, 40])
    const overruled = { ...test_!, id: 'o', test: { ...test_!.test!, overruled: 'old strip' } }
    expect(curve(10, {}, test_!, overruled).tests).toEqual([{ at: 1, kind: 'clearing-time', verdict: 'keep' }])
    const long = curve(900, {}, ...Array.from({ length: 700 }, (_, i) => used(i + 1, 0.001)))
    expect([long.past.length <= 242, long.past.length > 150, long.past.at(-2)?.at]).toEqual([true, true, 700 * dayMs])
  })
})

test('which baths take silver up, how many rolls to their limit, and by which salt', () => {
  expect(['fixer', 'bleach-fix', 'monobath', 'bleach', 'stop-bath'].map(takesSilver)).toEqual([true, true, true, false, false])
  const rolls = (fixes?: FormulaUse['fixes']) => rollsToSilver(4, { ...fixer.use, fixes })
  expect([rolls(), rolls('film'), rolls('fibre-paper')]).toEqual([
    expect.closeTo(4 / 0.1806, 1),
    expect.closeTo(4 / 0.1806, 1),
    expect.closeTo(4 / 0.058, 0),
  ])
  const salt = (...chemicals: string[]) => fixerSaltOf({ additions: chemicals.map((chemical) => ({ chemical, grams: 100 })) })
  expect([
    salt('sodium-thiosulfate-pentahydrate'),
    salt('ammonium-thiosulfate-60'),
    salt('sodium-thiosulfate-pentahydrate', 'ammonium-chloride'),
  ]).toEqual(['plain', 'ammonium', expect.any(String)])
  const limit = (use: Partial<FormulaUse>, position: 1 | 2 = 1) => silverLimit(formula({ use }), position)
  expect([
    limit({ school: 'two-bath' }),
    limit({ school: 'two-bath' }, 2),
    limit({ school: 'two-bath', fixes: 'film' }, 2),
    limit({ school: 'two-bath', fixes: 'rc-paper' }, 2),
  ]).toEqual([4, 1.5, 1.5, 0.5])
})

describe('a stop bath', () => {
  const acid = (capacityRollsPerL: number | null, ...lines: BottleEntry[]) =>
    bottleState({ ...fixer, ...stopBath, use: { ...fixer.use, capacityRollsPerL } }, bottle, [full, ...lines], 0)
  const [film, paper] = [stopCapacity(stopBath, 0)!, stopCapacity(stopBath, 1)!]
  test('lasts its count, and no longer than its acid, of which paper takes another share', () => {
    expect(acid(5, used(0, 2)).used).toBeCloseTo(2 / 5, 9)
    expect(acid(500, used(0, 2)).used).toBeCloseTo(2 / film, 9)
    expect(acid(500, line('use', 0, 0, { paper: 2 })).used).toBeCloseTo(2 / paper, 9)
    expect(acid(500, line('use', 0, 0, { rolls: 1, paper: 1 })).used).toBeCloseTo(2 / stopCapacity(stopBath, 0.5)!, 9)
    expect([acid(null, used(0, 2)).used, acid(0, used(0, 2)).used]).toEqual([0, 0])
    expect(bottleState({ ...fixer, additions: stopBath.additions }, bottle, [full, used(0, 2)], 0).used).toBeCloseTo(2 / 20, 9)
  })
  test('tells its pH and its acid, which a fixer does not', () => {
    const one = acid(500, used(0, 2))
    expect([one.ph! > acid(500).ph!, one.acidUsed! > 0, acid(500).acidUsed]).toEqual([true, true, 0])
  })
})

test('what is taken back, or comes later, counts for nothing; silver closes a fixer for what is strict', () => {
  const wrong = used(1, 5)
  expect(state({ day: 2 }, wrong, line('reverse', 1, 0, { reverses: wrong.id })).rolls).toBe(0)
  expect([state({ day: 2 }, used(1, 5), used(3, 5)).rolls, state({ day: 3 }, used(1, 5), used(3, 5)).rolls]).toEqual([5, 10])
  expect([state({}, used(0, 12)).closedFor, state({ family: 'bleach' }, used(0, 12)).closedFor]).toEqual([['rc-paper', 'fibre-paper'], []])
  expect(bottleState(fixer, { ...bottle, madeAt: 3 * dayMs }, [full], 5 * dayMs).ageDays).toBe(2)
  expect(bottleState(fixer, { ...bottle, madeAt: 3 * dayMs }, [full], dayMs).ageDays).toBe(0)
  const read = { seconds: 40, celsius: 20, slow: false }
  const [, tested] = readings([1, 40])
  expect(state({ day: 1e-6 }, { ...tested!, test: { ...tested!.test!, clearing: read } }).clearingRead).toEqual([read])
  const replenished: Partial<FormulaUse> = { school: 'replenished', replenishment: { mlPerRoll: 50, turnovers: 2 } }
  const drained = state({ use: replenished, family: 'bleach' }, line('replenish', 0, 500), line('discard', 0, -1500))
  expect([
    drained.used,
    state({ use: { replenishment: { mlPerRoll: 50, turnovers: 2 } }, family: 'bleach' }, line('replenish', 0, 500)).used,
  ]).toEqual([0, 0])
})
