import type { Severity } from '../finding'
import type { FormulaUse } from '../formula/use'
import { emptyCarry } from './carry'
import { consumptionOf, costPerRoll } from './costPerRoll'
import { gravest, mayBeTested, mayBeUsed, reasonAgainst } from './mayBeUsed'
import { pouredFirst } from './orderOfUse'
import { least, nextTime, schoolCapacity } from './schools'

const found = (rule: string, severity: Severity = 'error') => ({ rule, severity, message: rule })
const holds = (...findings: ReturnType<typeof found>[]) => ({ retiredAt: null as number | null, state: { findings } })

test('a bottle may be used while nothing grave speaks against it, and tested where only a failure does', () => {
  const [good, warned, failed, over] = [
    holds(),
    holds(found('bottle-low', 'warning')),
    holds(found('bottle-failed')),
    holds(found('bottle-failed'), found('bottle-exhausted')),
  ]
  const retired = { ...good!, retiredAt: 1 }
  expect([good, warned, failed, over, retired].map((one) => mayBeUsed(one!))).toEqual([true, true, false, false, false])
  expect([good, warned, failed, over, retired].map((one) => mayBeTested(one!))).toEqual([true, true, true, false, false])
  expect([gravest(good!), gravest(warned!), gravest(over!)?.rule]).toEqual([null, null, 'bottle-failed'])
  expect([reasonAgainst(holds(found('bottle-empty'))), reasonAgainst(holds(found('bottle-empty'), found('bottle-failed')))?.rule]).toEqual([
    null,
    'bottle-failed',
  ])
})

test('what may be used is poured before what may not, open before untouched, old before new', () => {
  const bottle = (id: string, madeAt: number, openedAt: number | null, good = true) => ({
    id,
    madeAt,
    retiredAt: null,
    state: { openedAt, findings: good ? [] : [found('bottle-failed')] },
  })
  const shelf = [
    bottle('new', 3, null),
    bottle('bad', 0, 1, false),
    bottle('open', 4, 9),
    bottle('worse', 9, null, false),
    bottle('old', 1, null),
    bottle('opened', 2, 9),
  ]
  for (const order of [shelf, [...shelf].reverse()])
    expect([...order].sort(pouredFirst).map((one) => one.id)).toEqual(['opened', 'open', 'old', 'new', 'bad', 'worse'])
})

test('what was used up is summed by formula and school as its stock, and what no roll went through is left out', () => {
  const line = (formulaId: string, school: 'counted' | 'one-shot', ml: number, rolls: number, parts: number[] | null = null) => ({
    formulaId,
    school,
    ml,
    rolls,
    parts,
  })
  expect(
    consumptionOf([
      line('a', 'counted', 500, 4),
      line('a', 'counted', 1000, 6, [1, 4]),
      line('a', 'one-shot', 300, 2),
      line('b', 'counted', 100, 0),
      line('c', 'counted', 0, 3),
    ]),
  ).toEqual([
    { formulaId: 'a', school: 'counted', ml: 700, rolls: 10 },
    { formulaId: 'a', school: 'one-shot', ml: 300, rolls: 2 },
  ])
  const cost = (ml: number, rolls: number, perLitre: number | null = 10) => costPerRoll([{ school: 'counted', ml, rolls }], perLitre)[0]
  expect([cost(500, 4)?.perRoll, cost(500, 4, null)?.perRoll, cost(500, 0)]).toEqual([1.25, null, undefined])
  expect(() => cost(-1, 4)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

describe('a school', () => {
  const use = (part: Partial<FormulaUse>): FormulaUse => ({
    ...{ school: 'compensated', capacityRollsPerL: 20, dilutions: [[1]], minConcentrateMlPerRoll: 0 },
    ...{ keeping: { fullDays: null, halfDays: null, workingDays: null } },
    ...part,
  })
  const next = (part: Partial<FormulaUse>, rollsPerL = 0) => nextTime(use(part), { ...emptyCarry(), rollsPerL })
  const table = [
    { rollsPerL: 4, factor: 1.1 },
    { rollsPerL: 8, factor: 2 },
    { rollsPerL: 12, factor: 2.5 },
  ]
  test('says why the next roll has its time', () => {
    expect((['one-shot', 'counted', 'replenished', 'two-bath'] as const).map((school) => next({ school }, 9))).toEqual([
      { factor: 1, why: expect.stringMatching(/^Used once/) },
      { factor: 1, why: expect.stringMatching(/^Counted/) },
      { factor: 1, why: expect.stringMatching(/^Replenished/) },
      { factor: 1, why: expect.stringMatching(/^Two baths/) },
    ])
    expect(next({ compensation: { perRoll: 0.05 } }, 4)).toEqual({
      factor: 1.2,
      why: 'Compensated for 4.0 rolls a litre already processed.',
    })
    expect([next({ compensation: { perRoll: 0.05 } }).why, next({}, 9).factor]).toEqual([expect.stringMatching(/the first roll/), 1])
  })
  test('of a table takes the step it has reached, in whatever order it is written', () => {
    for (const rows of [table, [...table].reverse()])
      expect([3.9, 4, 7, 8, 99].map((rolls) => next({ compensation: { table: rows } }, rolls).factor)).toEqual([1, 1.1, 1.1, 2, 2.5])
  })
  test('is good for its count, or until the time has doubled', () => {
    const rolls = (part: Partial<FormulaUse>, position: 1 | 2 = 1) => schoolCapacity(use(part), position)
    expect([rolls({ school: 'one-shot' }), rolls({ school: 'replenished' }), rolls({ school: 'counted' })]).toEqual([null, null, 20])
    expect([rolls({ school: 'two-bath' }), rolls({ school: 'two-bath' }, 2)]).toEqual([20, null])
    expect([rolls({}), rolls({ compensation: { perRoll: 0.1 } }), rolls({ compensation: { perRoll: 0.01 } })]).toEqual([20, 10, 20])
    expect([rolls({ compensation: { perRoll: 0 } }), rolls({ compensation: { table } })]).toEqual([20, 8])
    expect(rolls({ compensation: { table: table.slice(0, 1) }, capacityRollsPerL: null })).toBeNull()
    expect([rolls({ compensation: { perRoll: 0 }, capacityRollsPerL: null }), rolls({ capacityRollsPerL: null })]).toEqual([null, null])
    expect([least(null, 3), least(3, null), least(3, 2), least(null, null)]).toEqual([3, 3, 2, null])
  })
})
