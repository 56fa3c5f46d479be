import { checkPlan } from './checkPlan'
import { compilePlan } from './compilePlan'
import { houseProcesses } from './families'
import { houseIds } from './families/ids'
import type { Load, Plan, PlanBottle } from './load'
import { chosenOptions, requireWhole, rolesOf, stepsOf, type Process } from './process'
import { processBody } from './processBody'
import { usesAtEnd, usesAtStart, wantsOf } from './uses'

const named = (name: keyof typeof houseIds): Process => houseProcesses.find((one) => one.id === houseIds[name])!
const bottle = (family: string, more: Partial<PlanBottle> = {}): PlanBottle => ({
  ...{ id: family, name: family, label: family, family, parts: [1], volumeMl: 5000, rollsLeft: 20, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1 },
  ...more,
})
const load = (process: Process, more: Partial<Load> = {}): Load => {
  const developer = stepsOf(process).find((step) => step.kind === 'develop' || step.kind === 'monobath')
  return {
    vessel: { id: 'v', name: 'Tank 2', kind: process.vessel ?? 'hand', reels: 2, coversMl: 600 },
    films: [{ format: '135-36', count: 1 }],
    temperatureC: developer?.atC ?? 20,
    chart: [{ temperatureC: 20, seconds: 600 }],
    pushStops: 0,
    ...more,
  }
}
const compile = (process: Process, more: Partial<Load> = {}, bottles: Record<string, Partial<PlanBottle>> = {}): Plan =>
  compilePlan(
    process,
    load(process, more),
    process.roles.map((role) => ({ role: role.id, bottle: bottle(role.family, { id: role.id, ...bottles[role.id] }) })),
  )
const told = (plan: Plan) => plan.findings.map(({ rule, severity }) => [rule, severity])
const rules = (plan: Plan) => plan.findings.map((one) => one.rule)
/** A process with one of its steps otherwise, or without it. */
const with_ = (process: Process, key: string, more: Partial<Process['steps'][0]> | null): Process => ({
  ...process,
  steps: process.steps.flatMap((step) => (step.key !== key ? [step] : more ? [{ ...step, ...more } as never] : [])),
  options: process.options.map((one) => ({ ...one, steps: one.steps.filter((step) => more || step !== key) })),
})

test.each(houseProcesses.map((one) => [one.name, one] as const))('%s is whole, and a plan by it has nothing against it', (id, process) => {
  const { id: _, ...body } = process
  expect(processBody.parse(body)).toEqual(body)
  expect(() => requireWhole(process)).not.toThrow()
  const findings = compile(process).findings.filter((one) => one.severity !== 'advice')
  // the warm half of the crossed process follows the cold one: its film is no black-and-white film
  expect([id, findings]).toEqual([id, []])
})

test('what schools do differently is turned on and off; of one group exactly one is on', () => {
  const hand = named('bw-negative')
  const keys = (chosen: Record<string, boolean>) => stepsOf(hand, chosen).map((step) => step.key)
  expect(keys({})).toEqual(['develop', 'stop', 'fix', 'wash-1', 'wash-2', 'wash-3', 'wetting-agent'])
  expect(keys({ 'pre-wet': true, 'water-stop': true, 'two-fix': true, 'wash-aid': true, 'wetting-agent': false })).toEqual([
    ...['pre-wet', 'develop', 'water-stop', 'fix-1', 'fix-2', 'rinse', 'wash-aid', 'wash-after'],
  ])
  expect(
    chosenOptions(hand, { running: true })
      .filter((one) => one.group === 'washing' && one.on)
      .map((one) => one.id),
  ).toEqual(['running'])
  expect(rolesOf(hand, { 'water-stop': true, 'wetting-agent': false }).map((one) => one.id)).toEqual(['developer', 'fixer'])
})

test.each<[string, (process: Process) => Process, string]>([
  ['a key twice', (one) => ({ ...one, steps: [...one.steps, one.steps[0]!] }), 'stands there twice'],
  ['a bath it does not have', (one) => ({ ...one, roles: one.roles.slice(1) }), 'takes a bath first-developer'],
  ['a liquid nobody saves', (one) => with_(one, 'first-developer', { fate: 'back' }), 'no earlier step saves it'],
  ['an option for no step', (one) => ({ ...one, options: [{ id: 'x', name: 'x', on: true, steps: ['gone'] }] }), 'is about a step gone'],
  ['a share of no step', (one) => with_(one, 'fix', { time: { share: 0.5, of: 'gone' } }), 'takes a share of gone'],
  ['no choice on', (one) => ({ ...one, options: one.options.map((option) => ({ ...option, on: false })) }), 'exactly one is on'],
])('a process with %s is refused', (_, broken, says) => expect(() => requireWhole(broken(named('bw-slide')))).toThrow(says))

test('a pair of fixing baths shares the time of one', () => {
  const plan = compile(named('bw-negative'), { options: { 'two-fix': true }, times: { fix: 260 } })
  expect(plan.steps.filter((step) => step.kind === 'fix').map((step) => [step.bottle?.id, step.seconds])).toEqual([
    ['fixer', 130],
    ['second-fixer', 130],
  ])
  expect(compile(named('bw-negative'), { clearingS: 70 }).steps.find((step) => step.key === 'fix')?.seconds).toBe(140)
})

test('a stop of half a minute in a litre is lengthened, and it is said; a developer as short is refused', () => {
  const litre = { vessel: { ...load(named('bw-negative')).vessel, coversMl: 1000 } }
  const plan = compile(named('bw-negative'), litre)
  expect(plan.steps.find((step) => step.key === 'stop')?.seconds).toBe(45)
  expect(told(plan)).toContainEqual(['plan-step-short', 'advice'])
  expect(compile(named('bw-negative')).steps.find((step) => step.key === 'stop')?.seconds).toBe(30)
  expect(told(compile(with_(named('monobath'), 'monobath', { time: { s: 28 }, perRollPerLitreS: 0 })))).toContainEqual([
    'plan-step-short',
    'error',
  ])
})

test('a saved first developer starts with the carry-out more, covers the film when it comes back, and leaves its bottle once', () => {
  const plan = compile(named('bw-slide'))
  const [first, second] = ['first-developer', 'second-developer'].map((key) => plan.steps.find((step) => step.key === key)!)
  expect([first?.volumeMl, second?.volumeMl, second?.bottle?.id]).toEqual([615, 600, 'first-developer'])
  expect(
    usesAtStart(plan)
      .filter((use) => use.bottleId === 'first-developer')
      .map((use) => use.ml),
  ).toEqual([-615])
  expect(usesAtEnd(plan).filter((use) => use.bottleId === 'first-developer')).toEqual([])
  expect(
    wantsOf(plan)
      .filter((want) => want.bottleId === 'first-developer')
      .map((want) => want.ml),
  ).toEqual([615])
  // where it goes back at last, both developments count, and nothing is poured away
  const back = compile(with_(named('bw-slide'), 'second-developer', { fate: 'back' }))
  expect(usesAtStart(back)).toEqual([])
  expect(
    usesAtEnd(back)
      .filter((use) => use.bottleId === 'first-developer')
      .map((use) => use.rolls),
  ).toEqual([1, 1])
  const worn = { 'first-developer': { rollsLeft: 1.5 } }
  expect(rules(compile(with_(named('bw-slide'), 'second-developer', { fate: 'back' }), {}, worn))).toContain('plan-capacity')
  expect(rules(compile(named('bw-slide'), {}, worn))).not.toContain('plan-capacity')
  expect(rules(compile(named('bw-slide'), {}, { 'first-developer': { volumeMl: 610 } }))).toContain('plan-volume')
})

test('one bottle may serve two roles, and writes two uses', () => {
  const six = compile(named('colour-negative'), { options: { 'five-baths': true } }, { fixer: { id: 'same' }, stabiliser: { id: 'same' } })
  expect(
    usesAtEnd(six)
      .filter((use) => use.bottleId === 'same')
      .map((use) => six.steps[use.step]?.key),
  ).toEqual(['fixer', 'stabiliser'])
})

test('a colour developer has its time by its temperature, and its push by its own figures', () => {
  const seconds = (more: Partial<Load>, bottles = {}) =>
    compile(named('colour-negative'), more, bottles).steps.find((step) => step.key === 'developer')!
  expect([seconds({}).seconds, seconds({ temperatureC: 30 }).seconds]).toEqual([195, 480])
  expect(seconds({ temperatureC: 33 }).seconds).toBeCloseTo(480 * (195 / 480) ** (3 / 7.8), 6)
  expect(seconds({ pushStops: 1 }).seconds).toBeCloseTo(195 * 1.15, 9)
  expect(seconds({ pushStops: 1.5 }).seconds).toBeCloseTo(195 * Math.sqrt(1.15 * 1.4), 6)
  expect(seconds({}, { developer: { timeFactor: 1.1 } })).toMatchObject({
    seconds: 195 * 1.1,
    factors: [{ name: 'used bath', factor: 1.1 }],
  })
  for (const [more, code] of [
    [{ temperatureC: 40 }, 'outside-range'],
    [{ pushStops: 3 }, 'push-unknown'],
    [{ pushStops: -1 }, 'push-unknown'],
  ] as const)
    expect(() => seconds(more)).toThrow(expect.objectContaining({ code }))
  const slide = (pushStops: number) =>
    compile(named('slide-three'), { pushStops }).steps.find((step) => step.key === 'first-developer')?.seconds
  expect([slide(-1), slide(2)]).toEqual([390 * 0.75, 390 * 1.9])
  expect(slide(-0.5)).toBeCloseTo(390 * Math.sqrt(0.75), 6)
  expect(() => compile(named('monobath'), { pushStops: 1 })).toThrow(expect.objectContaining({ code: 'push-unknown' }))
})

test('a monobath takes longer for each roll a litre has to bear', () =>
  expect(compile(named('monobath')).steps[0]?.seconds).toBeCloseTo(300 + 15 / 0.6, 9))

test('each side is exposed as long, and light and air fill no beaker', () => {
  const step = compile(named('bw-slide')).steps.find((one) => one.key === 're-expose')
  expect(step).toMatchObject({ seconds: 120, volumeMl: 0, partsMl: [], waits: true, family: 'light' })
})

describe('what is caught before anyone loads film', () => {
  const slide = named('bw-slide')
  const six = named('slide-six')
  const wash = { ...six.steps.find((step) => step.key === 'wash')!, key: 'wash-more' }
  const after = (process: Process, key: string): Process => ({
    ...process,
    steps: process.steps.flatMap((step) => (step.key === key ? [step, wash] : [step])),
  })
  test.each<[string, 'error' | 'warning' | 'advice', () => Plan]>([
    ['plan-no-fix', 'error', () => compile(with_(named('bw-negative'), 'fix', null))],
    ['plan-no-fix', 'advice', () => compile(slide, { options: { fix: false } })],
    ['plan-rinse-after-last', 'error', () => compile(after(named('slide-three'), 'stabiliser'))],
    ['plan-no-reexposure', 'error', () => compile(with_(slide, 're-expose', null))],
    ['plan-no-reexposure', 'error', () => compile(with_(named('slide-three'), 'colour-developer', { reverses: false }))],
    ['plan-temperature', 'error', () => compile(named('colour-negative'), { bathC: { 'bleach-fix': 23 } })],
    ['plan-temperature', 'error', () => compile(named('slide-three'), { bathC: { 'colour-developer': 37 } })],
    ['plan-temperature', 'error', () => compile(named('slide-three'), { temperatureC: 37 })],
    ['plan-temperature', 'warning', () => compile(named('bw-negative'), { bathC: { fix: 23 } })],
    ['plan-colours-cross', 'warning', () => compile(named('colour-negative'), { temperatureC: 30 })],
    ['plan-reticulation', 'warning', () => compile(named('bw-negative'), { bathC: { stop: 26 } })],
    ['plan-reticulation', 'error', () => compile(named('bw-negative'), { bathC: { 'wash-1': 9 } })],
    ['plan-light', 'error', () => compile(with_(named('bw-negative'), 'stop', { light: 'white' }))],
    ['plan-light', 'error', () => compile(with_(slide, 'bleach', { light: 'white' }))],
    ['plan-light', 'error', () => compile(with_(named('slide-three'), 'wash-first', { light: 'white' }))],
    ['plan-bath-gone', 'error', () => compile(with_(slide, 'first-developer', { fate: 'discard' }))],
    ['plan-wash-between', 'error', () => compile(after(six, 'reversal-bath'))],
    ['plan-wash-between', 'error', () => compile(after(six, 'colour-developer'))],
    ['plan-wash-between', 'error', () => compile(after(six, 'conditioner'))],
    ['plan-permanganate-warm', 'error', () => compile(slide, { bathC: { bleach: 21.1 } })],
  ])('%s (%s)', (rule, severity, make) => expect(told(make())).toContainEqual([rule, severity]))

  test('and not where it is in order', () => {
    const silent = (rule: string, plan: Plan) => expect(rules(plan)).not.toContain(rule)
    silent('plan-wash-between', compile(after(six, 'bleach')))
    silent('plan-wash-between', compile(after(named('slide-three'), 'colour-developer')))
    silent('plan-colours-cross', compile(named('colour-negative'), { temperatureC: 37.9 }))
    silent('plan-reticulation', compile(named('slide-crossed')))
    silent('plan-permanganate-warm', compile(slide, { bathC: { bleach: 21 } }))
    silent('plan-permanganate-warm', compile(slide, { bathC: { bleach: 24 } }, { bleach: { bleaches: 'dichromate' } }))
    silent('plan-light', compile(with_(named('bw-negative'), 'wash-1', { light: 'white' })))
    expect(checkPlan(compile(named('slide-six')))).toEqual([])
  })
})
