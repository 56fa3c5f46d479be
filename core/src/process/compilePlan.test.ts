import { developingTime } from '../development/developingTime'
import { agitations } from './agitations'
import { compilePlan } from './compilePlan'
import type { Load, PlanBottle } from './load'
import { loadRolls } from './loaded'
import type { Process } from './process'
import { usesAtEnd, usesAtStart, wantsOf } from './uses'

const step = (kind: string, bath: string, time: number | 'chart', more: object = {}) =>
  ({
    key: `${kind}-${bath}`,
    kind,
    name: kind,
    liquid: bath === 'water' || bath === 'air' ? bath : { role: bath },
    time: time === 'chart' ? time : { s: time },
    toleranceC: 2,
    agitation: agitations['10-4inv-30'],
    light: 'tank',
    drainS: 10,
    fate: 'drain',
    ...more,
  }) as never
/** each family of bath is its own role */
const roles = ['film-developer', 'stop-bath', 'fixer', 'wetting-agent'].map((family) => ({ id: family, name: family, family }))
const process = (...steps: never[]): Process =>
  ({ id: 'p', name: 'Negative', material: 'bw-film', roles, steps, options: [] }) as unknown as Process
const develop = step('develop', 'film-developer', 'chart')
const fix = step('fix', 'fixer', 300)
const usual = process(develop, step('stop', 'water', 60), fix, step('wash', 'water', 300))
const bottle = (id: string, family: string, more: object = {}): PlanBottle =>
  ({
    id,
    label: id,
    name: id,
    family,
    parts: [1],
    volumeMl: 2000,
    rollsLeft: 20,
    oneShot: false,
    timeFactor: 1,
    minConcentrateMlPerRoll: 0,
    findings: [],
    ...more,
  }) as unknown as PlanBottle
const d1 = bottle('d1', 'film-developer', { parts: [1, 1], oneShot: true })
const f1 = bottle('f1', 'fixer')
const chart = [{ temperatureC: 20, seconds: 600 }]
const load = (more: object = {}): Load =>
  ({
    films: [{ format: '135-36', count: 2 }],
    vessel: { id: 'v', name: 'Tank 2', kind: 'hand', reels: 2, coversMl: 600 },
    chart,
    temperatureC: 20,
    pushStops: 0,
    ...more,
  }) as unknown as Load
const inRoles = (bottles: PlanBottle[]) => bottles.map((one) => ({ role: one.family, bottle: one }))
const compile = (more: object = {}, bottles = [f1, d1], of = usual) => compilePlan(of, load(more), inRoles(bottles))
const seconds = (...given: Parameters<typeof compile>) => compile(...given).steps[0]?.seconds

test('a load is counted in rolls, and there is one', () => {
  expect(
    loadRolls([
      { format: '135-36', count: 2 },
      { format: '4x5in', count: 4 },
    ]),
  ).toBe(3)
  expect(() => compile({ films: [] })).toThrow('at least one film')
  expect(() => compile({}, [d1])).toThrow('fix has no bottle yet')
})

test('a developer that was used takes longer by its own factor, whoever stands first; one that is fresh says nothing', () => {
  expect(seconds()).toBe(600)
  const used = { ...d1, timeFactor: 1.2 }
  for (const order of [
    [f1, used],
    [used, f1],
  ])
    expect(seconds({}, order)).toBe(720)
  expect(compile({}, [f1, used]).developing?.steps.map((one) => one.name)).toContain('used bath')
  expect(compile().developing?.steps.map((one) => one.name)).not.toContain('used bath')
  // a fixer that takes longer is no reason to develop longer
  expect(seconds({}, [{ ...f1, timeFactor: 1.2 }, d1])).toBe(600)
})

test('the developer’s own coefficient and range count, for the time and for the drift on the clock', () => {
  const own = developingTime({ chart, temperatureC: 22, k: 0.12 }).seconds
  expect(seconds({ temperatureC: 22, k: 0.12 })).toBe(own)
  expect(seconds({ temperatureC: 22 })).toBe(developingTime({ chart, temperatureC: 22 }).seconds)
  expect(seconds({ temperatureC: 22 })).not.toBe(own)
  expect(compile({ k: 0.12 }).drift).toEqual({ chart, k: 0.12 })
  expect(compile().drift).toEqual({ chart })
  expect(() => compile({ temperatureC: 22, rangeC: [18, 21] })).toThrow('18')
  expect(compile({ temperatureC: 22, rangeC: [18, 24] }).temperatureC).toBe(22)
})

test('a process that charts nothing has no developing time and no drift', () => {
  const plan = compile({}, [f1], process(fix, step('wash', 'water', 300)))
  expect([plan.developing, 'drift' in plan, plan.steps.map((one) => one.seconds), plan.findings]).toEqual([null, false, [300, 300], []])
})

test('a long pre-wet takes the drum’s share away, a short one and other water do not', () => {
  const drum = { vessel: { ...load().vessel, kind: 'rotary' } }
  const first = (...steps: never[]) => compile(drum, [f1, d1], process(...steps, ...(usual.steps as never[])))
  const told = (plan: ReturnType<typeof compile>) => plan.developing?.steps.map((one) => one.name)
  const wet = (time: number | 'chart') => step('pre-wet', 'water', time)
  expect(told(first())).toContain('rotary')
  expect(told(first(wet(60)))).toContain('rotary')
  expect(told(first(step('rinse', 'water', 600)))).toContain('rotary')
  expect(told(first(wet(119)))).toContain('rotary')
  expect(told(first(wet(120)))).not.toContain('rotary')
  // two short ones are one long one
  expect(told(first(wet(60), wet(60)))).not.toContain('rotary')
})

test('a push lengthens and a pull shortens, and what no factor is good for is said', () => {
  expect(seconds({ pushStops: 1 })).toBeGreaterThan(600)
  expect(seconds({ pushStops: -1 })).toBeLessThan(600)
  expect(compile({ pushStops: 4 }).findings.map((one) => one.message)).toEqual([expect.stringContaining('More than 3 stops')])
})

test('the gravest finding comes first, whichever part found it', () => {
  const severities = compile({ pushStops: 4, films: [{ format: '135-36', count: 3 }] }).findings.map((one) => one.severity)
  expect(severities).toEqual(
    [...severities].sort((a, b) => ['error', 'warning', 'advice'].indexOf(a) - ['error', 'warning', 'advice'].indexOf(b)),
  )
  expect(new Set(severities).size).toBeGreaterThan(1)
})

test('what is used once needs its concentrate for every roll, what is poured back only covers the film', () => {
  const strong = { minConcentrateMlPerRoll: 400 }
  expect(compile({}, [f1, { ...d1, ...strong }]).steps[0]).toMatchObject({ volumeMl: 1600, partsMl: [800, 800] })
  expect(compile({}, [{ ...f1, ...strong }, d1]).steps[2]).toMatchObject({ volumeMl: 600, partsMl: [600] })
})

test('each step has its temperature, its end, and where its liquid goes', () => {
  const plan = compile({ temperatureC: 20.5, bathC: { 'stop-water': 19, 'fix-fixer': 20, 'wash-water': 20 } })
  expect(plan.steps.map((one) => [one.temperatureC, one.waits, one.fate])).toEqual([
    [20.5, false, 'discard'],
    // water that ends the developing does so on time
    [19, false, 'drain'],
    [20, false, 'back'],
    [20, true, 'drain'],
  ])
  expect([compile().critical, compile({ critical: true }).critical]).toEqual([undefined, true])
})

test('what leaves the bottles at the start is what is used once', () => {
  expect(usesAtStart(compile())).toEqual([{ step: 0, bottleId: 'd1', kind: 'dilute-out', ml: -300, waterInMl: 0, rolls: 0 }])
})

test('what is poured back has its rolls; film that goes in dry takes liquid out, film that comes wet thins it', () => {
  const carry = (plan: ReturnType<typeof compile>) =>
    usesAtEnd(plan).map(({ step: at, ml, waterInMl, rolls }) => [at, ml, waterInMl, rolls])
  const mild = load().vessel
  const vessel = { ...mild, carryMl: 20 }
  expect(carry(compile({ vessel }))).toEqual([[2, 0, 40, 2]])
  const back = { ...d1, oneShot: false }
  expect(carry(compile({ vessel }, [f1, back]))).toEqual([
    [0, -40, 0, 2],
    [2, 0, 40, 2],
  ])
  // air is no bath: film that was only carried about is dry
  const aired = process(step('dry', 'air', 60), ...(usual.steps as never[]))
  expect(carry(compile({ vessel }, [f1, back], aired))[0]).toEqual([1, -40, 0, 2])
  const wetThenAir = process(step('pre-wet', 'water', 60), step('dry', 'air', 60), ...(usual.steps as never[]))
  expect(carry(compile({ vessel }, [f1, back], wetThenAir))[0]).toEqual([2, 0, 40, 2])
})

test('what a plan wants of each bottle is promised, step by step', () => {
  expect(wantsOf(compile())).toEqual([
    { stepKey: 'develop-film-developer', bottleId: 'd1', parts: [1, 1], ml: 300, equivalents: 2, oneShot: true },
    { stepKey: 'fix-fixer', bottleId: 'f1', parts: [1], ml: 600, equivalents: 2, oneShot: false },
  ])
})
