import fc from 'fast-check'
import { dayMs } from '../calendar/span'
import type { BottleEntry, BottleFacts, BottleState } from './bottle'
import type { FormulaUse, UsedFormula } from '../formula/use'
import { bottleState, carryOf, stateFrom } from './bottleState'
import { countsOf, throughputFrom } from './throughput'

const use = (part: Partial<FormulaUse> = {}): FormulaUse => ({
  school: 'counted',
  capacityRollsPerL: 20,
  keeping: { fullDays: null, halfDays: null, workingDays: null },
  dilutions: [[1]],
  minConcentrateMlPerRoll: 0,
  ...part,
})
const formula = (part: Partial<FormulaUse> = {}, more: Partial<UsedFormula> = {}): UsedFormula => ({
  id: 'f',
  name: 'F',
  family: 'fixer',
  finalMl: 1000,
  startMl: 700,
  mixC: 20,
  additions: [],
  use: use(part),
  ...more,
})
const facts: BottleFacts = { sizeMl: 1000, parts: null, madeAt: 0, retiredAt: null }
let made = 0
const line = (kind: BottleEntry['kind'], day: number, ml: number, more: Partial<BottleEntry> = {}): BottleEntry => ({
  id: `s${made++}`,
  kind,
  at: day * dayMs,
  ml,
  rolls: 0,
  paper: 0,
  waterInMl: 0,
  reverses: null,
  ...more,
})
const state = (f: UsedFormula, entries: BottleEntry[], day = 10, bottle = facts): BottleState =>
  bottleState(f, bottle, entries, day * dayMs)
const rules = (one: BottleState) => one.findings.map((finding) => finding.rule)
const fill = line('fill', 0, 1000)
const rolls = (day: number, count: number, more: Partial<BottleEntry> = {}) => line('use', day, 0, { rolls: count, ...more })

describe('compensated', () => {
  const linear = formula({ school: 'compensated', compensation: { perRoll: 0.04 } })
  test('t · (1 + p · E/V): five rolls through half a litre at 4 % ask for 1.4 times', () => {
    const half = state(linear, [line('fill', 0, 500), rolls(1, 5)])
    expect(half.nextTimeFactor).toBeCloseTo(1.4, 9)
    expect(half.nextTimeWhy).toContain('10.0 rolls')
  })
  test('it is over at N or when the time has doubled, whichever comes first', () => {
    expect(state(linear, [fill, rolls(1, 10)]).used).toBeCloseTo(10 / 20, 9)
    expect(state(formula({ school: 'compensated', compensation: { perRoll: 0.1 } }), [fill, rolls(1, 5)]).used).toBeCloseTo(0.5, 9)
  })
  test('a table holds from each of its steps on', () => {
    const table = formula({
      school: 'compensated',
      compensation: {
        table: [
          { rollsPerL: 4, factor: 1.15 },
          { rollsPerL: 8, factor: 1.3 },
        ],
      },
    })
    expect([3, 4, 7.9, 8].map((count) => state(table, [fill, rolls(1, count)]).nextTimeFactor)).toEqual([1, 1.15, 1.15, 1.3])
  })
})

describe('replenished', () => {
  const kept = formula({ school: 'replenished', replenishment: { mlPerRoll: 30, turnovers: 2 } })
  test('each roll makes replenisher due; what went in counts towards its throughput', () => {
    const owing = state(kept, [fill, rolls(1, 4, { ml: -60 })])
    expect([owing.replenishDueMl, owing.used, owing.nextTimeFactor]).toEqual([120, 0, 1])
    expect(rules(owing)).toContain('bottle-replenish')
    const paid = state(kept, [fill, rolls(1, 4, { ml: -60 }), line('replenish', 2, 120), line('bleed', 2, -60)])
    expect([paid.replenishDueMl, paid.volumeMl]).toEqual([0, 1000])
    expect(paid.used).toBeCloseTo(120 / 2000, 9)
    expect(paid.rollsLeft).toBeCloseTo(1880 / 30, 9)
  })
})

describe('two baths', () => {
  const pair = formula({ school: 'two-bath', capacityRollsPerL: 10, twoBath: { moves: 4, days: 60 } })
  const place = (position: 1 | 2, moves: number) => ({ twoBath: { position, moves, since: 0 } })
  test('the first bath ends at N, the second does not count until it moves up', () => {
    expect(rules(state(pair, [line('fill', 0, 1000, place(1, 0)), rolls(1, 10)]))).toContain('bottle-move-up')
    const second = [line('fill', 0, 1000, place(2, 0)), rolls(1, 10)]
    expect(state(pair, second).used).toBe(0)
    const up = state(pair, [...second, line('move-up', 2, 0, place(1, 1)), rolls(3, 4)])
    expect([up.used, up.twoBath?.moves]).toEqual([0.4, 1])
  })
  test('after the last move, or at its date, both are discarded', () => {
    const last = state(pair, [line('fill', 0, 1000, place(1, 4)), rolls(1, 10)])
    expect(last.findings[0]?.message).toContain('both')
    expect(rules(state(pair, [line('fill', 0, 1000, place(1, 0))], 61))).toContain('bottle-pair-date')
  })
})

describe('what a use does', () => {
  test('film, colour and paper leave their own silver, and its limit is that of what it fixes', () => {
    const one = state(formula(), [fill, rolls(1, 10, { colourRolls: 4 })])
    expect(one.silverGPerL).toBeCloseTo(6 * 0.1806 + 4 * 0.258, 9)
    const fibre = state(formula({ fixes: 'fibre-paper' }), [fill, line('use', 1, 0, { paper: 18 })])
    expect(fibre.silverGPerL).toBeCloseTo(18 * 0.0516 * 1.5 * 0.75, 9)
    expect([fibre.silverLimitGPerL, rules(fibre)[0]]).toEqual([1, 'bottle-silver'])
  })
  test('plain thiosulfate takes 4 g/L, ammonium 6', () => {
    const limit = (chemical: string) => state(formula({}, { additions: [{ chemical, grams: 200 }] }), [fill]).silverLimitGPerL
    expect([limit('sodium-thiosulfate'), state(formula(), [fill]).silverLimitGPerL]).toEqual([4, 6])
  })
  test('liquid decanted from a used bath brings its history along', () => {
    const brings = { strength: 0.9, rollsPerL: 10, silverGPerL: 2, aged: 0.3 }
    expect(state(formula(), [line('fill', 0, 500, { brings })])).toMatchObject({ strength: 0.9, used: 0.5, aged: 0.3, silverGPerL: 2 })
    const mixed = state(formula(), [fill, rolls(1, 10), line('discard', 2, -500), line('top-up', 3, 500)])
    expect(mixed.used).toBeCloseTo(0.25, 9)
  })
  test('water for what evaporated changes nothing, water added thins it', () => {
    expect(state(formula(), [fill, line('evaporate', 1, -50), line('water', 1, 50)])).toMatchObject({ volumeMl: 1000, strength: 1 })
    expect(state(formula(), [line('fill', 0, 900), line('water', 1, 100, { waterInMl: 100 })]).strength).toBeCloseTo(0.9, 9)
  })
  test('a 2 % acetic stop bath is at pH 5.2 when some four fifths of its acid are used', () => {
    const stop = formula({}, { family: 'stop-bath', additions: [{ chemical: 'acetic-acid-glacial', grams: 20 }] })
    const at = (count: number) => state(stop, [fill, rolls(1, count)])
    const turning = Array.from({ length: 60 }, (_, i) => at(i / 2)).find((one) => (one.ph ?? 0) >= 5.2)
    expect(turning?.acidUsed).toBeGreaterThan(0.74)
    expect(turning?.acidUsed).toBeLessThan(0.84)
    expect(rules(turning as BottleState)).toContain('bottle-stop-turning')
  })
})

describe('ageing by container and temperature', () => {
  const keeping = { fullDays: 100, halfDays: 50, workingDays: 10, trayDays: 1 }
  const aged = (entries: BottleEntry[], day: number, parts: number[] | null = null) =>
    state(formula({ keeping }), entries, day, { ...facts, parts }).aged
  test('half full it ages twice as fast, with the air out as if full, in a tray in a day', () => {
    const half = line('fill', 0, 500)
    expect(aged([half], 10)).toBeCloseTo(0.2, 9)
    expect(aged([{ ...half, container: 'airless' }], 10)).toBeCloseTo(0.1, 9)
    expect(aged([half, line('move', 5, 0, { container: 'tray' })], 5.5)).toBeCloseTo(0.1 + 0.5, 9)
  })
  test('above 25 °C lives halve every 10 °C, below nothing is gained', () => {
    expect(aged([line('fill', 0, 1000, { celsius: 35 })], 10)).toBeCloseTo(0.2, 9)
    expect(aged([line('fill', 0, 1000, { celsius: 8 })], 10)).toBeCloseTo(0.1, 9)
  })
})

describe('tests in the ledger', () => {
  const mark = (reading: number | null, part: object = {}) => ({
    test: {
      kind: 'clearing-time' as const,
      verdict: 'keep' as const,
      rule: 'clearing-2x',
      reason: 'It clears.',
      reading,
      reference: 30,
      fixS: reading === null ? null : 2 * reading,
      againAt: null,
      overruled: null,
      ...part,
    },
  })
  test('a failure stands until two passes or a technician’s reason', () => {
    const failed = line('test', 2, 0, mark(62, { verdict: 'failed', reason: 'Twice the fresh time.' }))
    const pass = (day: number) => line('test', day, 0, mark(40))
    expect(rules(state(formula(), [fill, failed]))[0]).toBe('bottle-failed')
    expect(rules(state(formula(), [fill, failed, pass(3)]))[0]).toBe('bottle-failed')
    expect(rules(state(formula(), [fill, failed, pass(3), pass(4)]))).toEqual([])
    expect(rules(state(formula(), [fill, failed, line('test', 3, 0, mark(null, { overruled: 'scrap film only' }))]))).toEqual([
      'bottle-marginal',
    ])
  })
  test('a failed reading that was overruled no longer ends the bath by its trend', () => {
    const failed = line('test', 4, 0, mark(70, { verdict: 'failed', reason: 'Twice the fresh time.' }))
    const history = [fill, line('test', 0.1, 0, mark(30)), rolls(1, 5), line('test', 2, 0, mark(33)), rolls(3, 5), failed]
    expect(state(formula(), history).used).toBe(1)
    const overruled = state(formula(), [...history, line('test', 5, 0, mark(null, { overruled: 'a wrong scrap' }))])
    expect([overruled.used < 0.6, rules(overruled)]).toEqual([true, ['bottle-marginal']])
  })
  test('what liquid was tested for goes along with it, and a failure into whatever it is poured', () => {
    const failed = line('test', 4, 0, mark(70, { verdict: 'failed', reason: 'Twice the fresh time.' }))
    const behind = state(formula(), [fill, line('test', 0.1, 0, mark(30)), rolls(1, 5), failed])
    const { strength, rollsPerL, aged, tests, fixS, clearingTimes } = behind
    const brings = { strength, rollsPerL, silverGPerL: behind.silverGPerL ?? 0, aged, tests, fixS: fixS ?? 0, clearingTimes }
    const decanted = state(formula(), [line('fill', 5, 500, { brings })])
    expect([rules(decanted)[0], decanted.fixS, decanted.clearing, decanted.used]).toEqual([
      'bottle-failed',
      behind.fixS,
      behind.clearing,
      behind.used,
    ])
    const good = [line('fill', 0, 500), line('test', 1, 0, mark(32))]
    const toppedUp = state(formula(), [...good, line('top-up', 6, 100, { brings })])
    expect([rules(state(formula(), good)), rules(toppedUp)[0], toppedUp.fixS]).toEqual([[], 'bottle-failed', 64])
    // a bottle that was emptied begins anew with what is filled in
    expect(rules(state(formula(), [...good, failed, line('discard', 5, -500), line('fill', 6, 500)]))).toEqual([])
  })
  test('a clearing test sets the fixing time, and its trend shortens or lengthens the life of a film fixer', () => {
    const readings = (last: number) => [
      fill,
      line('test', 0.1, 0, mark(30)),
      rolls(1, 5),
      line('test', 2, 0, mark(Math.sqrt(30 * last))),
      rolls(3, 5),
      line('test', 4, 0, mark(last)),
    ]
    const quick = state(formula(), readings(52))
    expect(quick.fixS).toBe(104)
    expect([quick.governs, quick.used > 0.5]).toEqual(['test', true])
    expect(state(formula(), readings(35)).used).toBeLessThan(0.5)
    expect(state(formula({ fixes: 'rc-paper' }), readings(35)).used).toBeCloseTo(0.5, 9)
  })
})

describe('laws of the ledger', () => {
  const anyUse = fc.constantFrom<Partial<FormulaUse>>(
    {},
    { school: 'compensated', compensation: { perRoll: 0.05 } },
    { school: 'replenished', replenishment: { mlPerRoll: 25, turnovers: 3 } },
    { school: 'two-bath', twoBath: { moves: 4, days: null } },
  )
  const rows = fc.array(
    fc.record({
      kind: fc.constantFrom<BottleEntry['kind']>('use', 'pour-out', 'pour-back', 'top-up', 'water', 'replenish', 'discard', 'decant'),
      ml: fc.integer({ min: 0, max: 60 }),
      rolls: fc.integer({ min: 0, max: 2 }),
    }),
    { maxLength: 14 },
  )
  const outward = ['use', 'pour-out', 'discard', 'decant']
  const ledgerOf = (list: { kind: BottleEntry['kind']; ml: number; rolls: number }[]) => [
    line('fill', 0, 1000),
    ...list.map((row, i) =>
      line(row.kind, 1 + i / 20, outward.includes(row.kind) ? -row.ml : row.ml, { rolls: row.kind === 'use' ? row.rolls : 0 }),
    ),
  ]
  test('shares stay between nothing and all, whatever happens; the sum is the sum of its lines', () => {
    fc.assert(
      fc.property(anyUse, rows, (part, list) => {
        const ledger = ledgerOf(list)
        const one = state(formula({ ...part, keeping: { fullDays: 90, halfDays: 40, workingDays: 5 } }), ledger, 5)
        expect(one.volumeMl).toBeCloseTo(
          ledger.reduce((sum, entry) => sum + entry.ml, 0),
          6,
        )
        for (const share of [one.used, one.aged, one.remaining]) expect(share >= 0 && share <= 1).toBe(true)
        expect(one.remaining).toBeCloseTo(Math.max(0, 1 - one.used - one.aged), 9)
        expect(one.replenishDueMl).toBeGreaterThanOrEqual(0)
        expect(one.silverGPerL).toBeGreaterThanOrEqual(0)
      }),
    )
  })
  test('uses of one moment may be written in any order', () => {
    fc.assert(
      fc.property(anyUse, fc.shuffledSubarray([1, 2, 3, 4, 5, 6], { minLength: 6 }), (part, order) => {
        const uses = [1, 2, 3, 4, 5, 6].map((count) => line('use', 2, -count, { rolls: count }))
        const shuffled = order.map((count) => uses[count - 1] as BottleEntry)
        const [a, b] = [uses, shuffled].map((entries) => state(formula(part), [line('fill', 0, 1000), ...entries], 3)) as [
          BottleState,
          BottleState,
        ]
        expect(b.volumeMl).toBeCloseTo(a.volumeMl, 9)
        if (part.school !== 'replenished') expect(b.used).toBeCloseTo(a.used, 9)
      }),
    )
  })
  test('taking a line back restores what was, line by line', () => {
    fc.assert(
      fc.property(anyUse, rows, fc.nat(), (part, list, pick) => {
        const ledger = ledgerOf(list)
        const wrong = ledger[1 + (pick % Math.max(1, ledger.length - 1))]
        if (!wrong || ledger.length < 2) return
        const without = ledger.filter((entry) => entry !== wrong)
        const back = line('reverse', 4, -wrong.ml, { reverses: wrong.id })
        expect(state(formula(part), [...ledger, back], 5)).toEqual(state(formula(part), without, 5))
      }),
    )
  })
  test('a ledger cut off anywhere and reckoned on from there comes to the same', () => {
    fc.assert(
      fc.property(anyUse, rows, fc.nat(), (part, list, pick) => {
        const ledger = ledgerOf(list)
        const cut = pick % (ledger.length + 1)
        const f = formula({ ...part, keeping: { fullDays: 90, halfDays: 40, workingDays: 5 } })
        const carry = JSON.parse(JSON.stringify(carryOf(f, facts, ledger.slice(0, cut)))) as ReturnType<typeof carryOf>
        const later = carryOf(f, facts, ledger.slice(cut), carry)
        const whole = bottleState(f, facts, ledger, 5 * dayMs)
        const joined = stateFrom(f, facts, later, 5 * dayMs)
        expect(joined.used).toBeCloseTo(whole.used, 12)
        expect(joined.aged).toBeCloseTo(whole.aged, 12)
        expect({ ...joined, used: 0, aged: 0, remaining: 0, rollsLeft: 0, daysLeft: 0 }).toEqual({
          ...whole,
          used: 0,
          aged: 0,
          remaining: 0,
          rollsLeft: 0,
          daysLeft: 0,
        })
      }),
    )
  })
})

describe('what went through', () => {
  const amounts = fc.record({ film: fc.nat({ max: 50 }), colour: fc.nat({ max: 50 }), paper: fc.nat({ max: 50 }) })

  test('counts become kinds and equivalents, and back, and nothing is lost or invented', () => {
    fc.assert(
      fc.property(amounts, ({ film, colour, paper }) => {
        const counts = { rolls: film + colour, colourRolls: colour, paper }
        const throughput = throughputFrom(counts)
        expect(countsOf({ throughput })).toEqual(counts)
        expect(throughput.every((one) => one.equivalents > 0)).toBe(true)
      }),
    )
  })
  test('a line that says it by kinds uses a bath up as one that says it by counts', () => {
    const said = { rolls: 3, colourRolls: 1, paper: 4 }
    const by = (load: object) => state(formula(), [fill, rolls(1, 0, { rolls: 0, ...load })])
    const { findings: _a, ...kinds } = by({ throughput: throughputFrom(said) })
    const { findings: _b, ...counts } = by(said)
    expect(kinds).toEqual(counts)
    expect([kinds.rolls, kinds.paper]).toEqual([3, 4])
  })
})
