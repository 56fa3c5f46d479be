import { draftOf } from '../process/edit/draft'
import { houseIds } from '../process/families/ids'
import { houseProcesses } from '../process/families'
import { agitations } from '../process/agitations'
import { courseOf } from '../run/course'
import { handsOnOf } from '../run/together'
import { arrangeEvening } from './arrange'
import { checkEvening } from './checkEvening'
import { loadOf } from './loadOf'

const planOf = (key: keyof typeof houseIds) =>
  draftOf(
    houseProcesses.find((one) => one.id === houseIds[key])!,
    {},
    agitations['30-5-30'],
  ).plan!
const as = (id: string, loadingS = 300) => ({ id, readyS: 64_800, dueS: 90_000, weight: 1, loadingS })

test('a load wants hands when its clock will call for them, and takes as long as its plan', () => {
  const plan = planOf('bw-negative')
  const load = loadOf(plan, as('l1', 0))
  expect(load.steps.map((step) => step.s)).toEqual(plan.steps.map((step) => step.seconds))
  const called = handsOnOf({ name: '', rotary: false, course: courseOf(plan), step: 0, startedAt: 0 })
  const seconds = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i)
  let at = 0
  const wanted = load.steps.flatMap(({ s, handsOn }) => {
    at += s
    return handsOn.flatMap(([from, to]) => seconds(at - s + from, at - s + to))
  })
  expect(wanted).toEqual([...new Set(called.flatMap((one) => seconds(one.fromAt / 1000, one.untilAt / 1000)))])
  expect(load).toMatchObject({ kind: 'hand', rolls: 1, temperatureC: 20 })
})

test('only what has to be within a degree stands in the bath', () => {
  const plan = planOf('colour-negative')
  const load = loadOf(plan, as('l1', 0))
  const inBath = plan.steps.filter((_, i) => load.steps[i]?.inBath).map((step) => step.kind)
  expect(inBath).toContain('develop')
  expect(inBath).not.toContain('bleach-fix')
  expect([load.temperatureC, load.toleranceC]).toEqual([37.8, 0.15])
})

test.each(Object.keys(houseIds) as (keyof typeof houseIds)[])(
  '%s waits when it is loaded and after its last wash, never between its chemicals',
  (key) => {
    const plan = planOf(key)
    const { steps } = loadOf(plan, as('l1'))
    const waits = steps.slice(1).flatMap((step, i) => (step.maxWaitS ? [i] : []))
    const lastWash = plan.steps.map((step) => step.kind).lastIndexOf('wash')
    expect(waits).toEqual([0, ...[...plan.steps.keys()].filter((i) => lastWash >= 0 && i > lastWash)])
    expect(loadOf(plan, as('l1', 0)).steps[0]?.maxWaitS).toBeUndefined()
  },
)

test('an evening of planned runs is arranged, its loading in one closet', () => {
  const loads = ['a', 'b', 'c'].map((id) => loadOf(planOf('bw-negative'), as(id)))
  const problem = {
    ...{ opensS: 64_800, closesS: 90_000, hands: 1, loads, resources: ['closet', 'wash', 'dryer'].map((id) => ({ id, places: 1 })) },
    vessels: ['v1', 'v2', 'v3'].map((id) => ({ id, kinds: ['hand'], rolls: 2, resetS: 600 })),
    baths: [{ id: 'tub', startC: 20, heatCPerMin: 0.5, coolCPerMin: 0.3, places: 4 }],
  }
  const plan = arrangeEvening(problem, { seed: 1, rounds: 5 })
  expect([checkEvening(problem, plan), plan.unplaced]).toEqual([[], []])
})
