import type { Bottle } from '../contract/bottle'
import type { ChartRow } from '../contract/chart'
import type { Vessel } from '../contract/run'
import type { PlanRequest } from './request'
import { bottleState } from '../bottle/bottleState'
import { houseProcesses } from './families'
import { houseFirstVersion, houseIds } from './families/ids'
import { planFor as worked } from './planFor'
import type { PlanShelf } from './shelf'
import { usesAtEnd } from './uses'

const baseUse: Bottle['use'] = {
  school: 'counted',
  capacityRollsPerL: 20,
  keeping: { fullDays: null, halfDays: null, workingDays: null },
  dilutions: [[1]],
  minConcentrateMlPerRoll: 0,
}

const bottle = (id: string, family: string, part: Partial<Bottle> = {}): Bottle => ({
  id,
  version: 1,
  label: id.toUpperCase(),
  code: '',
  name: id,
  family: family as Bottle['family'],
  formulaId: `f-${id}`,
  formulaNumber: 1,
  ph: null,
  sizeMl: 2000,
  parts: null,
  madeAt: 0,
  madeBy: '',
  retiredAt: null,
  retiredWhy: null,
  use: baseUse,
  rangeC: null,
  temperatureCoefficient: null,
  usualS: null,
  state: {
    ...bottleState(
      { id: 'f', name: 'F', family: 'other', finalMl: 1000, startMl: 0, mixC: 20, additions: [], use: baseUse },
      { sizeMl: 2000, parts: null, madeAt: 0, retiredAt: null },
      [{ id: 'e', kind: 'fill', at: 0, ml: 1500, rolls: 0, paper: 0, waterInMl: 0, reverses: null }],
      1,
    ),
    rollsLeft: 20,
  },
  batchId: null,
  shelfId: null,
  ownUse: false,
  due: [],
  critical: [],
  ...part,
})
const developer = bottle('d1', 'film-developer', {
  rangeC: [18, 26],
  use: { ...bottle('x', 'other').use, school: 'one-shot', minConcentrateMlPerRoll: 100 },
})
const shelf = {
  vessels: [
    { id: 'hand', name: 'Tank 2', kind: 'hand', format: '135', reels: 2, coversMl: [300, 600] },
    { id: 'drum', name: 'Drum', kind: 'rotary', format: '135', reels: 2, coversMl: [140, 170] },
  ] as Vessel[],
  bottles: [developer, bottle('s1', 'stop-bath', { usualS: 45 }), bottle('f1', 'fixer', { usualS: 240 })],
  chart: [
    { id: 'cool', film: 'M', formulaId: 'f-d1', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 600, source: '', note: '', by: '' },
    { id: 'warm', film: 'M', formulaId: 'f-d1', parts: [1, 1], ei: 400, temperatureC: 24, seconds: 450, source: '', note: '', by: '' },
    { id: 'weak', film: 'M', formulaId: 'f-d1', parts: [1, 3], ei: 400, temperatureC: 20, seconds: 1100, source: '', note: '', by: '' },
    { id: 'other', film: 'N', formulaId: 'f-d1', parts: [1, 1], ei: 400, temperatureC: 20, seconds: 500, source: '', note: '', by: '' },
  ] as ChartRow[],
}
const [hand, rotary] = houseProcesses
/** By hand or in the drum, by the house's own process for it. */
const planFor = (asked: PlanRequest, on: Omit<PlanShelf, 'process'>) =>
  worked(asked, { process: asked.vesselId === 'drum' ? rotary! : hand, ...on })
const film = (pushStops = 0) => ({ id: 'a', memberId: 'm', film: 'M', format: '135-36' as const, ei: 400, pushStops })
const request = (part: Partial<PlanRequest> = {}): PlanRequest => ({
  processVersionId: houseFirstVersion(houseIds['bw-negative']),
  options: { 'pre-wet': false, 'wetting-agent': false },
  vesselId: 'hand',
  films: [film()],
  chartRowIds: ['cool', 'warm'],
  baths: [
    { role: 'developer', bottleId: 'd1', parts: [1, 1] },
    { role: 'stop', bottleId: 's1', parts: [1] },
    { role: 'fixer', bottleId: 'f1', parts: [1] },
  ],
  temperatureC: 20,
  agitation: '30-5-30',
  ...part,
})
const code = (part: Partial<PlanRequest>): string => {
  try {
    planFor(request(part), shelf)
  } catch (error) {
    return (error as { code: string }).code
  }
  return 'no error'
}

test('one film in a tank for two takes the volume of one, and the baths’ usual times', () => {
  const plan = planFor(request(), shelf)
  expect(plan.steps.map((step) => [step.kind, step.seconds, step.partsMl])).toEqual([
    ['develop', 600, [150, 150]],
    ['stop', 45, [300]],
    ['fix', 240, [300]],
    ['wash', 30, [300]],
    ['wash', 60, [300]],
    ['wash', 120, [300]],
  ])
  expect(plan.findings).toEqual([])
})

test('a drum agitates all the time and shortens; push lengthens; both are shown', () => {
  const plan = planFor(request({ vesselId: 'drum', films: [film(1)] }), shelf)
  expect(plan.developing?.steps.map((step) => step.name)).toEqual(['temperature', 'push 1', 'rotary'])
  expect(plan.developing?.seconds).toBeCloseTo(600 * 1.35 * 0.85, 6)
  expect(plan.steps[0]?.agitation.name).toBe('all the time')
  expect(plan.findings.map((finding) => finding.rule)).toContain('plan-concentrate')
})

test('where neither a test nor the formula says how long, the process does', () => {
  const silent = { ...shelf, bottles: shelf.bottles.map((one) => ({ ...one, usualS: null })) }
  const seconds = (vesselId: string) =>
    planFor(request({ vesselId, options: { 'pre-wet': true, 'wetting-agent': false } }), silent)
      .steps.filter((step) => step.kind === 'stop' || step.kind === 'fix')
      .map((step) => step.seconds)
  expect([seconds('hand'), seconds('drum')]).toEqual([
    [30, 300],
    [30, 240],
  ])
})

test('a weak dilution fills a tank beyond what covers the film, and is refused where it cannot', () => {
  const weak = (count: number) =>
    planFor(
      request({
        chartRowIds: ['weak'],
        films: Array.from({ length: count }, () => film()),
        baths: [{ role: 'developer', bottleId: 'd1', parts: [1, 3] }, ...request().baths.slice(1)],
      }),
      shelf,
    )
  expect(weak(1).steps.map((step) => step.volumeMl)).toEqual([400, 300, 300, 300, 300, 300])
  expect(weak(1).findings).toEqual([])
  expect(weak(2).findings.map((finding) => finding.rule)).toEqual(['plan-concentrate'])
})

test('between charted temperatures a developer’s own coefficient counts', () => {
  const at22 = (temperatureCoefficient: number | null) =>
    planFor(request({ temperatureC: 22, chartRowIds: ['cool'] }), {
      ...shelf,
      bottles: [{ ...developer, temperatureCoefficient }, ...shelf.bottles.slice(1)],
    }).developing?.seconds
  expect(at22(0.12)).toBeCloseTo(600 * Math.exp(-0.24), 6)
  expect(at22(0.05)).toBeCloseTo(600 * Math.exp(-0.1), 6)
  expect(at22(null)).not.toBeCloseTo(at22(0.05) ?? 0, 0)
})

test('what is diluted for the run is used once and goes to the waste, also of a stock that is otherwise counted; as it is it goes back', () => {
  const counted = { ...developer, use: { ...developer.use, school: 'counted' as const } }
  const fateOf = (parts: number[], id: string) => {
    const plan = planFor(
      request({ chartRowIds: [id], baths: [{ role: 'developer', bottleId: 'd1', parts }, ...request().baths.slice(1)] }),
      {
        ...shelf,
        bottles: [counted, ...shelf.bottles.slice(1)],
        chart: [...shelf.chart, { ...shelf.chart[0]!, id: 'stock', parts: [1] }],
      },
    )
    return [plan.steps[0]?.fate, usesAtEnd(plan).some((use) => use.bottleId === 'd1')]
  }
  expect(fateOf([1, 1], 'cool')).toEqual(['discard', false])
  expect(fateOf([1], 'stock')).toEqual(['back', true])
})

test('the developer’s range is kept, and hydroquinone’s 13 °C where none is written', () => {
  expect(code({ temperatureC: 27 })).toBe('outside-range')
  const cold = {
    ...shelf,
    bottles: [{ ...developer, rangeC: null }, ...shelf.bottles.slice(1)],
    chart: [{ ...shelf.chart[0]!, temperatureC: 16 }],
  }
  expect(() => planFor(request({ temperatureC: 12.5, chartRowIds: ['cool'] }), cold)).toThrow(
    expect.objectContaining({ code: 'outside-range' }),
  )
  expect(planFor(request({ temperatureC: 14, chartRowIds: ['cool'] }), cold).developing?.seconds).toBeGreaterThan(600)
})

test.each<[string, Partial<PlanRequest>]>([
  ['no-vessel', { vesselId: 'gone' }],
  ['no-agitation', { agitation: 'constructor' }],
  ['no-chart', { chartRowIds: ['gone'] }],
  ['push-differs', { films: [film(0), film(1)] }],
  ['no-bottle', { baths: [{ role: 'fixer', bottleId: 'gone', parts: [1] }] }],
  ['no-role', { baths: [{ role: 'stabiliser', bottleId: 's1', parts: [1] }] }],
  ['wrong-family', { baths: [{ role: 'fixer', bottleId: 's1', parts: [1] }] }],
  ['wrong-chart', { baths: request().baths.slice(1) }],
  ['wrong-chart', { chartRowIds: ['weak'] }],
  ['wrong-chart', { chartRowIds: ['other'] }],
])('%s is said', (wanted, part) => expect(code(part)).toBe(wanted))

test('a process for a drum is not worked by hand, and the other way round', () => {
  expect(() => worked(request(), { process: rotary!, ...shelf })).toThrow(expect.objectContaining({ code: 'wrong-vessel' }))
  expect(() => worked(request({ vesselId: 'drum' }), { process: hand, ...shelf })).toThrow(
    expect.objectContaining({ code: 'wrong-vessel' }),
  )
})

test('in a drum what is agitated at all is turned all the time', () => {
  const plan = worked(request({ vesselId: 'drum', agitation: '10-10-60' }), { process: { ...hand, vessel: undefined }, ...shelf })
  const names = new Map(plan.steps.map((step) => [step.key, step.agitation.name]))
  expect([names.get('develop'), names.get('fix'), names.get('wash-1')]).toEqual(['all the time', 'all the time', '5 inversions'])
})

test('what fixes longer than twice the clearing time does so by its fixer’s own figure as well', () => {
  const crossed = houseProcesses.find((one) => one.id === houseIds['colour-as-bw'])!
  const fixS = (process: typeof hand) => worked(request(), { process, ...shelf }).steps.find((step) => step.key === 'fix')?.seconds
  expect([fixS(hand), fixS(crossed)]).toEqual([240, 360])
})

test('films of two kinds get one time, the mean by how many there are of each, and it is said what the chart has', () => {
  const chart = [
    ...shelf.chart,
    { ...shelf.chart[3]!, id: 'near', film: 'Near', seconds: 612 },
    { ...shelf.chart[3]!, id: 'near warm', film: 'Near', temperatureC: 24, seconds: 459 },
  ]
  const films = (...names: string[]) => names.map((name) => ({ ...film(), film: name }))
  const both = planFor(request({ films: films('M', 'M', 'Near'), chartRowIds: ['cool', 'warm', 'near', 'near warm'] }), { ...shelf, chart })
  expect(both.developing?.seconds).toBeCloseTo(604, 6)
  expect(both.drift?.chart).toEqual([
    { temperatureC: 20, seconds: expect.closeTo(604, 6) },
    { temperatureC: 24, seconds: expect.closeTo(453, 6) },
  ])
  const says = (plan: typeof both) =>
    plan.findings.filter(({ rule }) => rule.startsWith('plan-films')).map(({ rule, message }) => [rule, message])
  expect(says(both)).toEqual([['plan-films-mixed', 'The films get one time: the chart has 10:00 for M and 10:12 for Near.']])
  const apart = planFor(request({ films: films('M', 'N'), chartRowIds: ['cool', 'warm', 'other'] }), { ...shelf, chart })
  expect(says(apart)[0]?.[0]).toBe('plan-films-apart')
  // a film without a row, and a row of none of the films
  expect(() => planFor(request({ films: films('M', 'N'), chartRowIds: ['cool'] }), { ...shelf, chart })).toThrow('Choose them again')
  expect(() => planFor(request({ chartRowIds: ['cool', 'near'] }), { ...shelf, chart })).toThrow('Choose them again')
})
test('rows of two sources are gone between, and it is said whose they are', () => {
  const two = { ...shelf, chart: [...shelf.chart, { ...shelf.chart[0]!, id: 'odo', seconds: 726, source: 'Odo' }] }
  const plan = planFor(request({ chartRowIds: ['cool', 'odo'] }), two)
  expect(plan.developing?.seconds).toBeCloseTo(660, 6)
  expect(plan.findings).toEqual([
    { rule: 'plan-between', severity: 'advice', message: 'The time lies between 10:00 of no source and 12:06 of Odo.' },
  ])
  // a bath that drifts follows the same line
  expect(plan.drift?.chart[0]).toEqual({ temperatureC: 20, seconds: expect.closeTo(660, 6) })
})

test('a bottle of what is only a part of another bath is known as that', () => {
  const plan = planFor(request(), { ...shelf, partOf: { 'f-f1': 'Fixer, working' } })
  expect(plan.steps.map((step) => step.bottle?.partOf)).toEqual([undefined, undefined, 'Fixer, working', undefined, undefined, undefined])
})

test('a bath that was measured is planned at its own temperature', () => {
  const plan = planFor(request({ bathC: { fix: 27 } }), shelf)
  expect(plan.steps.map((step) => step.temperatureC)).toEqual([20, 20, 27, 20, 20, 20])
  expect(plan.findings.map((one) => one.rule)).toContain('plan-temperature')
})

describe('baths that are more than a count', () => {
  const pairUse = { ...baseUse, school: 'two-bath' as const }
  const placed = (id: string, position: 1 | 2): Bottle => {
    const one = bottle(id, 'fixer', { usualS: 240, use: pairUse })
    return { ...one, state: { ...one.state, twoBath: { position, moves: 0, since: 0 } } }
  }
  const with_ = (bottles: Bottle[]) => ({ ...shelf, bottles: [...shelf.bottles, ...bottles] })
  const pairing = { 'wetting-agent': false, 'two-fix': true }
  const baths = (...ids: string[]) => [
    ...request().baths.filter((bath) => bath.role !== 'fixer'),
    ...ids.map((id, i) => ({ role: i === 0 ? 'fixer' : 'second-fixer', bottleId: id, parts: [1] })),
  ]
  const rules = (plan: ReturnType<typeof planFor>) => plan.findings.map((finding) => finding.rule)

  test('a pair fixes half the time in each bath, in order, and marks both', () => {
    const plan = planFor(request({ options: pairing, baths: baths('p1', 'p2') }), with_([placed('p1', 1), placed('p2', 2)]))
    expect(plan.steps.filter((step) => step.kind === 'fix').map((step) => [step.bottle?.id, step.seconds])).toEqual([
      ['p1', 120],
      ['p2', 120],
    ])
    expect(usesAtEnd(plan).map((use) => use.bottleId)).toEqual(['s1', 'p1', 'p2'])
    expect(rules(plan)).not.toContain('plan-bath-order')
  })
  test('a pair the wrong way round, or half of it, is refused', () => {
    const pair = with_([placed('p1', 1), placed('p2', 2)])
    expect(rules(planFor(request({ options: pairing, baths: baths('p2', 'p1') }), pair))).toContain('plan-bath-order')
    expect(rules(planFor(request({ baths: baths('p1') }), pair))).toContain('plan-second-bath')
  })
  test('a clearing test sets the fixing time', () => {
    const tested = bottle('f9', 'fixer', { usualS: 240 })
    const plan = planFor(request({ baths: baths('f9') }), with_([{ ...tested, state: { ...tested.state, fixS: 96 } }]))
    expect(plan.steps.find((step) => step.kind === 'fix')?.seconds).toBe(96)
  })
  test('a test due stands in the way of critical films only', () => {
    const due = [{ kind: 'clearing-time' as const, name: 'Clearing time', why: 'days', says: '40 days without it' }]
    const shelfWith = with_([bottle('f9', 'fixer', { critical: due })])
    expect(rules(planFor(request({ baths: baths('f9') }), shelfWith))).not.toContain('plan-test-due')
    expect(rules(planFor(request({ baths: baths('f9'), critical: true }), shelfWith))).toContain('plan-test-due')
  })
})
