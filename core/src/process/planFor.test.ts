import type { Bottle } from '../contract/bottle'
import type { ChartRow } from '../contract/chart'
import type { PlanRequest, Vessel } from '../contract/run'
import { planFor } from './planFor'

const bottle = (id: string, family: string, part: Partial<Bottle> = {}): Bottle => ({
  id,
  version: 1,
  label: id.toUpperCase(),
  code: '',
  name: id,
  family: family as Bottle['family'],
  formulaId: `f-${id}`,
  formulaNumber: 1,
  sizeMl: 2000,
  parts: null,
  madeAt: 0,
  madeBy: '',
  retiredAt: null,
  retiredWhy: null,
  use: {
    school: 'counted',
    capacityRollsPerL: 20,
    keeping: { fullDays: null, halfDays: null, workingDays: null },
    dilutions: [[1]],
    minConcentrateMlPerRoll: 0,
  },
  rangeC: null,
  temperatureCoefficient: null,
  usualS: null,
  state: {
    volumeMl: 1500,
    rolls: 0,
    paper: 0,
    used: 0,
    aged: 0,
    remaining: 1,
    governs: 'age',
    rollsLeft: 20,
    ageDays: 1,
    keepsDays: null,
    nextTimeFactor: 1,
    strength: 1,
    silverGPerL: null,
    findings: [],
  },
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
const film = (pushStops = 0) => ({ id: 'a', memberId: 'm', film: 'M', format: '135-36' as const, ei: 400, pushStops })
const request = (part: Partial<PlanRequest> = {}): PlanRequest => ({
  vesselId: 'hand',
  films: [film()],
  chartRowIds: ['cool', 'warm'],
  baths: [
    { family: 'film-developer', bottleId: 'd1', parts: [1, 1] },
    { family: 'stop-bath', bottleId: 's1', parts: [1] },
    { family: 'fixer', bottleId: 'f1', parts: [1] },
  ],
  temperatureC: 20,
  agitation: '30-5-30',
  preWet: false,
  washAid: false,
  wettingAgent: false,
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
    ['wash', 480, [300]],
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

test('a weak dilution fills a tank beyond what covers the film, and is refused where it cannot', () => {
  const weak = (count: number) =>
    planFor(
      request({
        chartRowIds: ['weak'],
        films: Array.from({ length: count }, () => film()),
        baths: [{ family: 'film-developer', bottleId: 'd1', parts: [1, 3] }, ...request().baths.slice(1)],
      }),
      shelf,
    )
  expect(weak(1).steps.map((step) => step.volumeMl)).toEqual([400, 300, 300, 300])
  expect(weak(1).findings).toEqual([])
  expect(weak(2).findings.map((finding) => finding.rule)).toEqual(['plan-concentrate'])
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
  ['no-bottle', { baths: [{ family: 'fixer', bottleId: 'gone', parts: [1] }] }],
  ['wrong-family', { baths: [{ family: 'fixer', bottleId: 's1', parts: [1] }] }],
  ['wrong-chart', { baths: request().baths.slice(1) }],
  ['wrong-chart', { chartRowIds: ['weak'] }],
  ['wrong-chart', { chartRowIds: ['other'] }],
])('%s is said', (wanted, part) => expect(code(part)).toBe(wanted))
