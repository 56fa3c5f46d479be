import fc from 'fast-check'
import { bottleState, carryOf } from '../../bottle/bottleState'
import type { UsedFormula } from '../../formula/use'
import { usualDueRules } from '../../proof/due'
import { darkroomEvening, developer } from '../../samples'
import { checkEvening } from '../checkEvening'
import { arrangeDarkroom } from './arrangeDarkroom'
import type { DarkroomEvening, DarkroomPlan, DecidedLoad, EveningBottle } from './evening'

const [first] = darkroomEvening.loads as [DecidedLoad]
const [stock, fix] = darkroomEvening.bottles as [EveningBottle, EveningBottle]

/** A bottle of a developer that is poured back and takes a tenth longer for every roll a litre. */
const used: UsedFormula = {
  ...developer,
  use: {
    ...developer.use,
    school: 'compensated',
    capacityRollsPerL: 10,
    dilutions: [[1]],
    minConcentrateMlPerRoll: 0,
    compensation: { perRoll: 0.1 },
  },
}
const bottleOf = (formula: UsedFormula, ml: number): EveningBottle => {
  const facts = { ...stock.facts, sizeMl: ml }
  const fill = [{ id: 'fill', kind: 'fill' as const, at: 0, ml, waterInMl: 0, reverses: null }]
  return {
    ...stock,
    ...{ formula, facts, carry: carryOf(formula, facts, fill) },
    shelf: { ...stock.shelf, use: formula.use, state: bottleState(formula, facts, fill, darkroomEvening.midnight) },
  }
}
const undiluted = [
  { role: 'developer', bottleId: 'd1', parts: [1] },
  { role: 'fixer', bottleId: 'f1', parts: [1] },
]
const loadNo = (i: number, more: Partial<DecidedLoad> = {}): DecidedLoad => ({ ...first, id: `l${i}`, dueS: 72_000 + i, ...more })
const loads = (count: number, more: Partial<DecidedLoad> = {}): DecidedLoad[] => Array.from({ length: count }, (_, i) => loadNo(i, more))
const tanks = (count: number) =>
  Array.from({ length: count }, (_, i) => ({ ...darkroomEvening.vessels[0]!, id: i === 0 ? 'tank' : `tank ${i}` }))
const shared = (more: Partial<DarkroomEvening> = {}): DarkroomEvening => ({
  ...darkroomEvening,
  room: {
    ...darkroomEvening.room,
    closesS: 90_000,
    resources: [
      { id: 'closet', places: 1 },
      { id: 'wash', places: 2 },
      { id: 'dryer', places: 8 },
    ],
  },
  vessels: tanks(3),
  chart: darkroomEvening.chart.map((row) => ({ ...row, parts: [1] })),
  bottles: [bottleOf(used, 1000), fix],
  loads: loads(3, { request: { ...first.request, baths: undiluted } }),
  ...more,
})
const arranged = (evening: DarkroomEvening, rounds = 3): DarkroomPlan => {
  let last: DarkroomPlan | null = null
  for (const plan of arrangeDarkroom(evening, 1)) {
    last = plan
    if (plan.rota.rounds >= rounds) break
  }
  return last as DarkroomPlan
}
/** Loads in the order in which they pour their developer: after they were loaded, and waited. */
const poured = ({ rota }: DarkroomPlan) => {
  const at = ({ startS, waits }: (typeof rota.placed)[0]) => startS + (waits?.[1] ?? 0)
  return [...rota.placed].sort((a, b) => at(a) - at(b) || (a.load < b.load ? -1 : 1)).map((one) => one.load)
}

test('whoever pours of a used developer later develops longer, and what is arranged has those times', () => {
  const plan = arranged(shared())
  expect(plan.rota.unplaced).toEqual([])
  expect(checkEvening(plan.problem, plan.rota)).toEqual([])
  const times = poured(plan).map((id) => Math.round(plan.plans[id]?.developing?.seconds ?? 0))
  expect(times[0]).toBe(600)
  // one roll in a litre, less what it carried out
  expect((times[1] as number) / 600).toBeCloseTo(1.1, 2)
  expect((times[2] as number) / 600).toBeCloseTo(1.2, 1)
  poured(plan).forEach((id, i) => {
    const steps = plan.problem.loads.find((load) => load.id === id)?.steps.map((step) => step.s) ?? []
    expect(steps).toContain(times[i])
  })
})

test('what a bottle does not bear is left out with what speaks against it, what matters least first', () => {
  const evening = shared({ loads: loads(3, { request: { ...first.request, baths: undiluted } }) })
  const capacity = { ...used, use: { ...used.use, capacityRollsPerL: 2.5 } }
  const plan = arranged({
    ...evening,
    bottles: [bottleOf(capacity, 1000), fix],
    loads: evening.loads.map((load, i) => ({ ...load, weight: i === 1 ? 1 : 3 })),
  })
  expect(plan.left.map((one) => [one.load, one.findings.map((finding) => finding.rule)])).toEqual([['l1', ['plan-capacity']]])
  expect(poured(plan).sort()).toEqual(['l0', 'l2'])
  expect(plan.left[0]?.findings[0]?.message).toMatch(/^D1 is good for/)
})

test('a concentrate that is not enough, and a promise to another run, leave a load out; somebody who said why puts it in', () => {
  const little = { ...stock, shelf: { ...stock.shelf, reserved: { ml: 800, rolls: 0, runs: [7] } } }
  const evening = { ...darkroomEvening, bottles: [little, fix], vessels: tanks(2), loads: [loadNo(0), loadNo(1)] }
  const plan = arranged(evening)
  expect(plan.left.map((one) => [one.load, one.findings[0]?.rule])).toEqual([['l1', 'plan-volume']])
  expect(plan.left[0]?.findings[0]?.message).toContain('reserved for run 7')
  expect(arranged({ ...evening, loads: evening.loads.map((load) => ({ ...load, overruled: true })) }).left).toEqual([])
})

test('a bath that is enough for one tank at a time is in one tank at a time', () => {
  const together = (ml: number): boolean => {
    const plan = arranged(shared({ bottles: [bottleOf(used, ml), { ...fix }], room: { ...shared().room, hands: 3 } }), 10)
    const spans = plan.rota.placed.map(({ load, startS, waits = [] }) => {
      const steps = plan.problem.loads.find((one) => one.id === load)?.steps ?? []
      const at = steps.findIndex((step) => step.uses?.includes('bottle d1'))
      const from =
        startS + steps.slice(0, at).reduce((sum, step) => sum + step.s, 0) + waits.slice(0, at + 1).reduce((sum, wait) => sum + wait, 0)
      return [from, from + (steps[at]?.s ?? 0)] as const
    })
    expect(spans).toHaveLength(3)
    return spans.some(([from, to], i) => spans.some(([a, b], j) => i < j && a < to && from < b))
  }
  expect(together(500)).toBe(false)
  expect(together(1500)).toBe(true)
})

test('a test that falls due between two loads is said before the second, and one that stands before critical films too', () => {
  const rules = usualDueRules.map((rule) => ({
    ...rule,
    everyDays: null,
    atMixing: false,
    everyShare: rule.kind === 'leader-black' && rule.family === 'film-developer' ? 0.15 : null,
  }))
  const plan = arranged(shared({ rules }))
  const [, second, third] = poured(plan)
  expect(plan.tests.map((one) => [one.load, one.label, one.kind])).toEqual([[third, 'D1', 'leader-black']])
  const critical = shared({ rules })
  const asked = arranged({
    ...critical,
    loads: critical.loads.map((load) => ({ ...load, request: { ...load.request, critical: load.id === second } })),
  })
  expect(asked.left).toEqual([])
  expect(asked.tests.filter((one) => one.load === second).map((one) => [one.label, one.kind])).toEqual([
    ['D1', 'leader-black'],
    ['F1', 'clearing-time'],
  ])
})

test('a closet is dark while somebody loads there, and nothing else is lit in it', () => {
  const plan = arranged(
    shared({
      rooms: { loading: 'loft' },
      room: { ...shared().room, lit: [{ room: 'loft', light: 'red', fromS: 64_800, toS: 68_400 }] },
    }),
  )
  expect(plan.rota.placed).toHaveLength(3)
  expect(Math.min(...plan.rota.placed.map((one) => one.startS))).toBe(68_400)
})

test('any evening of up to five loads: no breach, every load has the times of its turn, and no plan is worse than the one before', () => {
  const anEvening = fc.record({
    count: fc.integer({ min: 0, max: 5 }),
    ml: fc.constantFrom(400, 700, 1000, 2000),
    perRoll: fc.constantFrom(0, 0.05, 0.1),
    hands: fc.integer({ min: 1, max: 2 }),
    closesS: fc.constantFrom(68_000, 72_000, 90_000),
    ready: fc.array(fc.constantFrom(64_800, 66_000, 68_000), { minLength: 5, maxLength: 5 }),
    weights: fc.array(fc.integer({ min: 1, max: 10 }), { minLength: 5, maxLength: 5 }),
  })
  fc.assert(
    fc.property(anEvening, ({ count, ml, perRoll, hands, closesS, ready, weights }) => {
      const formula = { ...used, use: { ...used.use, ...(perRoll === 0 ? {} : { compensation: { perRoll } }) } }
      const evening = shared({
        bottles: [bottleOf(formula, ml), fix],
        room: { ...shared().room, hands, closesS },
        loads: loads(count, { request: { ...first.request, baths: undiluted } }).map((load, i) => ({
          ...load,
          ...{ readyS: ready[i] as number, weight: weights[i] as number },
        })),
      })
      let before: DarkroomPlan | null = null
      for (const plan of arrangeDarkroom(evening, 1)) {
        expect(checkEvening(plan.problem, plan.rota)).toEqual([])
        expect(plan.rota.placed.length + plan.rota.unplaced.length + plan.left.length).toBe(count)
        // of a compensated developer, later is longer
        const times = poured(plan).map((id) => plan.plans[id]?.developing?.seconds ?? 0)
        if (perRoll > 0) expect([...times].sort((a, b) => a - b)).toEqual(times)
        const out = ({ rota }: DarkroomPlan) => rota.unplaced.reduce((sum, { load }) => sum + (weights[Number(load.slice(1))] as number), 0)
        if (before)
          expect(
            out(before) - out(plan) || before.rota.lateS - plan.rota.lateS || before.rota.endS - plan.rota.endS,
          ).toBeGreaterThanOrEqual(0)
        before = plan
        if (plan.rota.rounds >= 3) break
      }
    }),
    { numRuns: 60 },
  )
})
