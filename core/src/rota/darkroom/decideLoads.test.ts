import type { OrderWish } from '../../order/order'
import { aWish, darkroomEvening } from '../../samples'
import { checkEvening } from '../checkEvening'
import { arrangeDarkroom } from './arrangeDarkroom'
import { decideLoads, type Waiting } from './decideLoads'
import type { DarkroomPlan } from './evening'
import type { RotaBottle, RotaHouse } from './proposed'

const [versionId] = Object.keys(darkroomEvening.processes) as [string]
const body = darkroomEvening.processes[versionId]!
const bottles = darkroomEvening.bottles.map(({ shelf, formula, facts }) => ({ ...shelf, ...facts, use: formula.use })) as RotaBottle[]
const [row] = darkroomEvening.chart
const house: RotaHouse = {
  processes: [{ id: aWish.processId, versionId, body }],
  vessels: darkroomEvening.vessels,
  bottles,
  chart: [
    row!,
    { ...row!, id: 'near', film: 'Millrace 100', ei: 100, seconds: 612 },
    { ...row!, id: 'far', film: 'Saltpan 50', ei: 50, seconds: 700 },
  ],
}
const hours = { midnight: darkroomEvening.midnight, opensS: 64_800, closesS: 79_200 }
const order = (id: string, wish: Partial<OrderWish> = {}): Waiting => ({ id, wish: { ...aWish, count: 1, ...wish } })
const decide = (...waiting: Waiting[]) => decideLoads(waiting, house, hours)
const groups = (...waiting: Waiting[]) => decide(...waiting).decided.map(({ films }) => films.join())
const near = { film: 'Millrace 100', ei: 100 }

test('what develops within 3 % in the same baths goes into one tank, whatever the film; what does not, does not', () => {
  expect(groups(order('a'), order('b', near))).toEqual(['a,b'])
  expect(groups(order('a'), order('c', { film: 'Saltpan 50', ei: 50 }))).toEqual(['a', 'c'])
  expect(groups(order('a'), order('b', { format: '120' }))).toEqual(['a', 'b'])
  expect(groups(order('a'), order('b', { critical: true }))).toEqual(['a', 'b'])
  // two reels
  expect(groups(order('a', { count: 5 }))).toEqual(['a,a', 'a,a', 'a'])
})

test('a load has the request of a run: films, rows of the chart, baths, a tank that takes them', () => {
  const [one] = decide(
    order('a'),
    order('b', { ...near, wantedBy: hours.midnight + 70_000_000, earliest: hours.midnight + 66_000_000 }),
  ).decided
  expect(one?.load).toMatchObject({ readyS: 66_000, dueS: 70_000, weight: 2, loadingS: 300 })
  expect(one?.load.request).toMatchObject({ vesselId: 'tank', temperatureC: 20, chartRowIds: ['row', 'near'] })
  expect(one?.load.request.baths.map(({ role, bottleId, parts }) => [role, bottleId, parts.join('+')])).toEqual([
    ['developer', 'd1', '1+1'],
    ['fixer', 'f1', '1'],
  ])
  // no stop bath on the shelf: water
  expect(one?.load.request.options).toMatchObject({ 'water-stop': true, 'acid-stop': false })
})

test('a developer that is wished for is taken; what cannot be made is left with what is missing', () => {
  const wished = { formulaId: 'developer', parts: [1] }
  const charted = { ...house, chart: [...house.chart, { ...row!, id: 'undiluted', parts: [1], seconds: 400 }] }
  expect(decideLoads([order('a', { developer: wished })], charted, hours).decided[0]?.load.request.chartRowIds).toEqual(['undiluted'])
  const left = (wish: Partial<OrderWish>, change: Partial<RotaHouse> = {}) =>
    decideLoads([order('a', wish)], { ...house, ...change }, hours).left.map((one) => one.message)[0]
  expect(left({ film: 'Unknown 25' })).toMatch(/^The chart has no time for Unknown 25 at EI 400/)
  expect(left({ developer: { formulaId: 'other', parts: [1] } })).toMatch(/^The developer that is wished for/)
  expect(left({}, { bottles: bottles.slice(0, 1) })).toMatch(/^There is no fixer/)
  expect(left({ format: '4x5in' })).toBe('No tank here takes 4x5in.')
  expect(left({}, { processes: [] })).toMatch(/not there any more/)
})

test('the orders of an evening become a plan without a breach', () => {
  const { decided } = decide(order('a'), order('b', near), order('c', { film: 'Saltpan 50', ei: 50 }), order('d', { critical: true }))
  const evening = {
    ...darkroomEvening,
    chart: house.chart,
    room: { ...darkroomEvening.room, resources: ['closet', 'wash', 'dryer'].map((id) => ({ id, places: 1 })) },
    loads: decided.map((one) => one.load),
  }
  let last: DarkroomPlan | null = null
  for (const plan of arrangeDarkroom(evening, 1)) {
    last = plan
    if (plan.rota.rounds >= 2) break
  }
  expect([last?.left, last?.rota.unplaced, last && checkEvening(last.problem, last.rota)]).toEqual([[], [], []])
  expect(last?.plans.a?.findings.map((finding) => finding.rule)).toContain('plan-films-mixed')
})

test('a load is no larger than its bottles have enough for, and the next takes another bottle', () => {
  const [dev, fix] = bottles as [RotaBottle, RotaBottle]
  const holding = (bottle: RotaBottle, id: string, state: Partial<RotaBottle['state']>): RotaBottle => ({
    ...bottle,
    id,
    label: id,
    state: { ...bottle.state, ...state },
  })
  const wide = { ...house.vessels[0]!, coversMl: [300, 600, 900, 1200] }
  const of = (fixers: RotaBottle[]) =>
    decideLoads([order('a', { count: 4 })], { ...house, vessels: [wide], bottles: [dev, ...fixers] }, hours).decided
  const fixer = (load: (typeof decided)[number]) => load.load.request.baths.find((bath) => bath.role === 'fixer')?.bottleId
  // 700 ml cover two films
  const decided = of([holding(fix, 'F1', { volumeMl: 700, rollsLeft: null })])
  expect(decided.map((one) => one.films.length)).toEqual([2, 2])
  // a bottle that has enough for all goes before halves
  const two = of([holding(fix, 'F1', { volumeMl: 700, rollsLeft: null }), holding(fix, 'F2', { volumeMl: 2000, rollsLeft: null })])
  expect(two.map((one) => [one.films.length, fixer(one)])).toEqual([[4, 'F2']])
  // good for two more rolls: the others go through the next
  const worn = of([holding(fix, 'F1', { volumeMl: 700, rollsLeft: 2 }), holding(fix, 'F2', { volumeMl: 700, rollsLeft: 9 })])
  expect(worn.map((one) => [one.films.length, fixer(one)])).toEqual([
    [2, 'F1'],
    [2, 'F2'],
  ])
  // where there is no other it is a load all the same, and its plan says what is missing
  expect(of([holding(fix, 'F1', { volumeMl: 700, rollsLeft: 2 })]).map((one) => one.films.length)).toEqual([2, 1, 1])
})
