import { dayMs } from '../calendar/span'
import type { FormulaUse } from '../formula/use'
import type { TestMark } from '../proof/proof'
import { bottle, fixer } from '../samples'
import type { BottleEntry, Brought } from './bottle'
import { carryOf } from './bottleState'
import { carryOn, carryTo, emptyCarry } from './carry'

let made = 0
const line = (kind: BottleEntry['kind'], day: number, ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  ...{ id: `t${made++}`, kind, at: day * dayMs, ml, waterInMl: 0, reverses: null },
  ...more,
})
const mark = (reading: number | null, part: Partial<TestMark> = {}): TestMark => ({
  ...{ kind: 'clearing-time', verdict: 'keep', rule: 'r', reason: 'so', reading, reference: 30 },
  ...{ fixS: null, againAt: null, overruled: null, ...part },
})
const tested = (day: number, reading: number | null, part: Partial<TestMark> = {}) => line('test', day, 0, { test: mark(reading, part) })
const full = line('fill', 0, 1000)
const rolls = (day: number, count: number) => line('use', day, 0, { rolls: count })
const of = (...lines: BottleEntry[]) => carryOf(fixer, bottle, [full, ...lines])

describe('the clearing times of a bath', () => {
  test('stand against the rolls it had, begun by the fresh one of its batch, once', () => {
    const batch = { ofBatch: true }
    expect(of(rolls(1, 4), tested(2, 40, batch), rolls(3, 4), tested(4, 55, batch)).clearing).toEqual([
      { rollsPerLitre: 0, seconds: 30 },
      { rollsPerLitre: 4, seconds: 40 },
      { rollsPerLitre: 8, seconds: 55 },
    ])
    expect(of(rolls(1, 4), tested(2, 40)).clearing).toEqual([{ rollsPerLitre: 4, seconds: 40 }])
    for (const reference of [null, 0]) expect(of(rolls(1, 4), tested(2, 40, { ...batch, reference })).clearing).toHaveLength(1)
    // read on the fresh bath itself it begins with that
    expect(of(tested(1, 31, batch), rolls(2, 4), tested(3, 40, batch)).clearing.map((one) => one.rollsPerLitre)).toEqual([0, 0, 4])
    expect(of(tested(1, 31), rolls(2, 4), tested(3, 40, batch)).clearing.map((one) => one.seconds)).toEqual([31, 40])
  })
  test('are none where nothing was read, of another test, or where a technician went on in spite of it', () => {
    for (const part of [{ kind: 'silver-paper' as const }, { overruled: 'the strip was old' }])
      expect(of(tested(1, 40, part)).clearing).toEqual([])
    expect([of(tested(1, null)).clearing, of(tested(1, 0)).clearing]).toEqual([[], []])
  })
  test('keep the newest reading of each kind of film', () => {
    const read = (seconds: number, slow: boolean) => ({ clearing: { seconds, celsius: 20, slow } })
    const lines = [
      tested(1, 40, read(40, false)),
      tested(2, 80, read(80, true)),
      tested(3, 45, read(45, false)),
      tested(4, 90, { ...read(90, true), overruled: 'no' }),
    ]
    expect(of(...lines).clearingRead).toEqual([
      { seconds: 80, celsius: 20, slow: true },
      { seconds: 45, celsius: 20, slow: false },
    ])
    const { clearingRead: _none, ...before } = of()
    expect(carryOn(before as never, fixer.use, bottle, tested(1, 40, read(40, false))).clearingRead).toHaveLength(1)
  })
  test('a failure that two passes clear speaks no more, others of it stay', () => {
    const failed = tested(2, 95, { verdict: 'failed' })
    const lines = [rolls(1, 4), tested(1.5, 40), failed, tested(3, 41), tested(4, 42)]
    expect(of(...lines.slice(0, 4)).clearing.map((one) => one.seconds)).toEqual([40, 95, 41])
    expect(of(...lines).clearing.map((one) => one.seconds)).toEqual([40, 41, 42])
    // two passes of another test clear nothing of it
    const silver = { kind: 'silver-paper' as const }
    expect(of(...lines.slice(0, 3), tested(3, 1, silver), tested(4, 1, silver)).clearing.map((one) => one.seconds)).toEqual([40, 95])
  })
  test('set what to fix from then on', () => {
    expect([of(tested(1, 40, { fixS: 120 }), tested(2, 41)).fixS, of(tested(1, 40)).fixS]).toEqual([120, null])
  })
  test('are as many as a trend can use', () => {
    const many = of(...Array.from({ length: 70 }, (_, i) => tested(1 + i / 100, 40 + i))).clearing
    expect([many.length, many[0]?.seconds, many.at(-1)?.seconds]).toEqual([60, 50, 109])
  })
})

describe('liquid that comes with a history', () => {
  const brings = (part: Partial<Brought> = {}): Brought => ({ strength: 0.8, rollsPerL: 4, silverGPerL: 1, aged: 0.3, ...part })
  const failed = (kind: TestMark['kind'] = 'clearing-time') => {
    const newest = mark(90, { kind, verdict: 'failed' })
    return { kind, newest, at: 0, rollsPerL: 0, failed: newest, failedAt: 0, passes: 0 }
  }
  const kept = (kind: TestMark['kind'] = 'clearing-time') => ({ ...failed(kind), newest: mark(30, { kind }), failed: null, failedAt: null })
  const into = (comes: Brought, ...lines: BottleEntry[]) => of(...lines, line('top-up', 5, 1000, { brings: comes }))
  test('is mixed by volume: strength by what is in it, use by what it was filled with', () => {
    const { strength, rollsPerL, silverGPerL } = into(brings(), rolls(1, 2))
    expect([strength, rollsPerL, silverGPerL]).toEqual([expect.closeTo(0.9, 9), expect.closeTo(3, 9), expect.closeTo((0.3612 + 1) / 2, 4)])
    const small = of(line('pour-out', 1, -500), line('top-up', 5, 1500, { brings: brings() }))
    expect([small.strength, small.rollsPerL]).toEqual([expect.closeTo(0.85, 9), expect.closeTo(3, 9)])
  })
  test('into an empty bottle brings all of it, tests and clearing times as well', () => {
    const all = brings({
      tests: [failed()],
      fixS: 100,
      clearingTimes: [{ rollsPerLitre: 2, seconds: 40 }],
      clearingRead: [{ seconds: 40, celsius: 20, slow: false }],
    })
    expect(carryOf(fixer, bottle, [line('fill', 0, 500, { brings: all })])).toMatchObject({
      ...{ strength: 0.8, rollsPerL: 4, aged: 0.3, fixS: 100, tests: [failed()] },
      ...{ clearing: all.clearingTimes, clearingRead: all.clearingRead },
    })
    expect(carryOf(fixer, bottle, [line('fill', 0, 500)])).toMatchObject({ tests: [], fixS: null, clearing: [], clearingRead: [] })
  })
  test('fails what it is poured into by what failed in it, and by nothing else', () => {
    const names = (comes: Brought, ...lines: BottleEntry[]) => into(comes, ...lines).tests.map((one) => [one.kind, one.failed !== null])
    expect(names(brings())).toEqual([])
    expect(names(brings({ tests: [kept()] }))).toEqual([])
    expect(names(brings({ tests: [failed()] }), tested(1, 40), tested(1, 1, { kind: 'silver-paper' }))).toEqual([
      ['silver-paper', false],
      ['clearing-time', true],
    ])
    // its own failure of that kind stays the one that is told
    const own = into(brings({ tests: [failed()] }), tested(1, 77, { verdict: 'failed' }))
    expect(own.tests.map((one) => one.failed?.reading)).toEqual([77])
    expect(names(brings({ tests: [failed('silver-paper')] }), tested(1, 77, { verdict: 'failed' }))).toEqual([
      ['clearing-time', true],
      ['silver-paper', true],
    ])
  })
})

describe('what a line changes', () => {
  const use = (part: Partial<FormulaUse>) => ({ ...fixer.use, ...part })
  const on = (entry: BottleEntry, part: Partial<FormulaUse> = {}) => carryOn(of(), use(part), bottle, entry)
  test('is opened by the first liquid taken or the first film, not by a look', () => {
    expect(of(tested(1, 40)).openedAt).toBeNull()
    expect(of(line('evaporate', 2, -5), rolls(3, 1)).openedAt).toBe(2 * dayMs)
    expect(of(rolls(3, 1), line('pour-out', 4, -100)).openedAt).toBe(3 * dayMs)
    expect(of(line('water', 1, 20, { waterInMl: 20 })).openedAt).toBeNull()
  })
  test('water thins by what it adds; wet film by what each roll carries out', () => {
    expect(on(line('water', 1, 100, { waterInMl: 100 })).strength).toBeCloseTo(1000 / 1100, 9)
    expect(on(line('use', 1, 0, { rolls: 2, waterInMl: 30 })).strength).toBeCloseTo((1 - 15 / 1000) ** 2, 9)
    expect(on(line('use', 1, 0, { rolls: 0.5, waterInMl: 30 })).strength).toBeCloseTo(1 - 30 / 1000, 9)
    expect(on(line('use', 1, 0, { rolls: 1, waterInMl: 5000 })).strength).toBe(0)
    expect(carryOn(emptyCarry(), fixer.use, bottle, line('use', 1, 0, { rolls: 1, waterInMl: 30 })).strength).toBe(1)
  })
  test('what the count per litre refers to is what was filled in: not water, air or carry-out', () => {
    const reference = (entry: BottleEntry, part: Partial<FormulaUse> = {}) => on(entry, part).referenceMl
    expect([
      reference(line('water', 1, 100, { waterInMl: 100 })),
      reference(line('evaporate', 1, -50)),
      reference(line('use', 1, -15, { rolls: 1 })),
    ]).toEqual([1000, 1000, 1000])
    expect([
      reference(line('pour-out', 1, -300)),
      reference(line('use', 1, -15, { rolls: 1 }), { school: 'replenished' }),
      reference(line('pour-out', 1, -1300)),
    ]).toEqual([700, 985, 0])
  })
  test('a replenished bath owes by film and prints what was not put in yet', () => {
    const part: Partial<FormulaUse> = { school: 'replenished', replenishment: { mlPerRoll: 70, turnovers: 2 } }
    const after = carryOf({ ...fixer, use: use(part) }, bottle, [full, line('use', 1, 0, { rolls: 2, paper: 1 })])
    expect([after.replenishDueMl, after.rollsPerL]).toEqual([210, 3])
    const paid = carryOn(after, use(part), bottle, line('replenish', 2, 150))
    expect([paid.replenishDueMl, paid.replenishedMl, carryOn(paid, use(part), bottle, line('replenish', 3, 150)).replenishDueMl]).toEqual([
      60, 150, 0,
    ])
    expect(on(line('use', 1, 0, { rolls: 2 }), { school: 'replenished' }).replenishDueMl).toBe(0)
  })
  test('where and how it stands is kept until it is said anew; a move up begins its count', () => {
    const stands = of(line('move', 1, 0, { container: 'tray', celsius: 24 }), line('move', 2, 0, { celsius: null }))
    expect([stands.container, stands.celsius]).toEqual(['tray', 24])
    const twoBath = { position: 1 as const, moves: 1, since: 5 }
    expect(of(rolls(1, 4), line('move-up', 2, 0, { twoBath }))).toMatchObject({ rollsPerL: 0, rolls: 4, twoBath })
    expect(of(rolls(1, 4), line('change', 2, 0, { twoBath })).rollsPerL).toBe(4)
  })
  test('time goes on and never back, and an empty bottle does not age', () => {
    const { use: of_ } = fixer
    expect(carryTo(emptyCarry(), of_, bottle, 5 * dayMs)).toMatchObject({ at: null, aged: 0 })
    expect(carryTo(of(), of_, bottle, 5 * dayMs).at).toBe(5 * dayMs)
    expect(carryTo(of(rolls(7, 1)), of_, bottle, 5 * dayMs)).toMatchObject({ at: 7 * dayMs })
    expect(carryTo(of(line('pour-out', 0, -1000)), of_, bottle, 50 * dayMs).aged).toBe(0)
    expect(carryTo(of(), of_, bottle, 18 * dayMs).aged).toBeCloseTo(0.1, 9)
    expect(carryOn(of(rolls(7, 1)), of_, bottle, rolls(5, 1)).at).toBe(7 * dayMs)
  })
})
