import { agitations } from '../process/agitations'
import { compilePlan } from '../process/compilePlan'
import type { PlanBottle } from '../process/load'
import { houseProcesses } from '../process/families'
import { houseIds } from '../process/families/ids'
import { handProcess } from '../samples'
import { cuesAhead } from './ahead'
import { runClock } from './clock'
import { courseOf } from './course'
import { cuesOf } from './cues'
import { decideFinish, decideGivingUp } from './end'
import { markLate } from './late'
import { leaderOf, takerOf } from './lead'
import { decideCourse } from './otherwise'
import { recordOf } from './record'
import type { RunEvent } from './runEvent'
import { besideOf, collisionsOf, freeStartS, handsOnOf } from './together'

const bottle = (family: string, more: Partial<PlanBottle> = {}): PlanBottle => ({
  ...{ id: family, name: family, label: family, family, parts: [1], volumeMl: 1000, rollsLeft: 20, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1 },
  ...more,
})
const bottles = [bottle('film-developer', { parts: [1, 1], oneShot: true }), bottle('stop-bath'), bottle('fixer')]
const plan = compilePlan(
  handProcess,
  {
    vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 500, reels: 2 },
    ...{ films: [{ format: '135-36', count: 1 }], temperatureC: 20, chart: [{ temperatureC: 20, seconds: 600 }], pushStops: 0 },
    agitation: agitations['30-5-30'],
  },
  bottles.map((one) => ({ role: one.family, bottle: one })),
)
let seq = 0
const event = (kind: RunEvent['kind'], second: number, step: number, more: Partial<RunEvent> = {}): RunEvent => ({
  ...{ id: `x${seq}`, seq: seq++, device: 'a', at: second * 1000, kind, step },
  ...more,
})
const developing = [event('start', 0, 0), event('next', 70, 0)]
const names = (events: RunEvent[], second: number) => runClock(plan, events, second * 1000).course.map((step) => step.name)
const acted = (id: string) =>
  ({ id, version: 1, label: id, state: { volumeMl: 1000, parts: [1] } }) as unknown as Parameters<typeof decideFinish>[1][number]

describe('the course of a run', () => {
  test('a step that is repeated comes after the present one, takes its time and is a use of its own', () => {
    const events = [...developing, event('repeat', 900, 3, { key: 'fix', text: 'milky' })]
    expect(names(events, 1000)).toEqual(['Pre-wet', 'Develop', 'Stop', 'Fix', 'Fix, again', 'Wash, three fills'])
    // fixing ends at 70 + 600 + 60 + 300 = 1030, again at 1330
    expect(runClock(plan, events, 1_100_000)).toMatchObject({ step: 4, elapsedS: 70, remainingS: 230 })
    const over = [...events, event('next', 2000, 5)]
    const { lines } = decideFinish({ id: 'r', state: 'running', plan, events: over }, ['stop-bath', 'fixer'].map(acted), {
      events: [],
      at: 2_000_000,
    })
    expect(lines.map((line) => [line.bottleId, line.step])).toEqual([
      ['stop-bath', 2],
      ['fixer', 3],
      ['fixer', 5],
    ])
    expect(recordOf(plan, over).map((row) => [row.name, row.because])).toContainEqual(['Fix, again', 'milky'])
  })
  test('a step that is left out writes no use, and is told as left out in its place', () => {
    const events = [...developing, event('skip', 100, 1, { key: 'stop', text: 'none left' })]
    expect(names(events, 200)).toEqual(['Pre-wet', 'Develop', 'Fix', 'Wash, three fills'])
    const given = decideGivingUp({ id: 'r', state: 'running', plan, events }, ['stop-bath', 'fixer'].map(acted), {
      events: [],
      at: 800_000,
    })
    expect(given.map((line) => [line.bottleId, line.step])).toEqual([['fixer', 3]])
    expect(recordOf(plan, events).map((row) => [row.name, row.leftOut])).toEqual([
      ['Pre-wet', null],
      ['Develop', null],
      ['Stop', 'none left'],
      ['Fix', null],
      ['Wash, three fills', null],
    ])
  })
  test('water that is added waits for a hand, and only what is to come is changed', () => {
    const events = [
      ...developing,
      event('add', 100, 1, { seconds: 45, text: 'foam' }),
      event('skip', 110, 1, { key: 'pre-wet', text: 'too late' }),
    ]
    const clock = runClock(plan, events, 700_000)
    expect(clock.course.map((step) => step.name)).toEqual(['Pre-wet', 'Develop', 'Water, added', 'Stop', 'Fix', 'Wash, three fills'])
    expect(clock).toMatchObject({ step: 2, remainingS: 15 })
    expect(runClock(plan, events, 800_000)).toMatchObject({ phase: 'over', step: 2 })
  })
  test('of two devices that ask for it at a step that is over, nobody gets it', () => {
    expect(names([...developing, event('repeat', 700, 1, { key: 'develop' })], 701)).toHaveLength(5)
  })
  test('is looked at before: what was poured away cannot be had again, what is still wrong is said', () => {
    const course = courseOf(plan)
    expect(() => decideCourse(plan, course, 1, { kind: 'repeat', key: 'develop' })).toThrow(/made up once/)
    expect(() => decideCourse(plan, course, 1, { kind: 'repeat', key: 'fix' })).toThrow(/not reached yet/)
    expect(() => decideCourse(plan, course, 3, { kind: 'skip', key: 'stop' })).toThrow(/not to come/)
    expect(() => decideCourse(plan, course, 3, { kind: 'add', seconds: 3 })).toThrow(/0:15/)
    expect(decideCourse(plan, course, 3, { kind: 'repeat', key: 'fix' }).findings).toEqual([])
    expect(decideCourse(plan, course, 2, { kind: 'skip', key: 'fix' }).findings.map((one) => one.rule)).toEqual([
      'plan-no-fix',
      'plan-light',
    ])
  })
})

describe('steps that end by the eye, and under the lamp', () => {
  const looked = {
    ...plan,
    steps: plan.steps.map((step) => (step.key === 'fix' ? { ...step, time: { inspect: true as const }, waits: true } : step)),
  }
  test('what is looked at counts up, is never over by itself, and calls for nothing', () => {
    const clock = runClock(looked, developing, 5_000_000)
    expect(clock).toMatchObject({ phase: 'running', step: 3, elapsedS: 5000 - 730, getReady: false })
    expect(cuesAhead(clock).filter((one) => one.kind === 'over' || one.kind === 'get-ready')).toEqual([])
    const done = runClock(looked, [...developing, event('next', 6000, 3)], 6_001_000)
    expect(done.times[3]).toMatchObject({ overS: 0, endedAt: 6_000_000 })
  })
  test('with a most it may take it is over then', () => {
    const most = {
      ...looked,
      steps: looked.steps.map((step) => (step.key === 'fix' ? { ...step, time: { inspect: true as const, atMostS: 300 } } : step)),
    }
    expect(runClock(most, developing, 1_020_000).phase).toBe('running')
    expect(runClock(most, developing, 1_040_000)).toMatchObject({ phase: 'over', step: 3 })
  })
  test('a side after the other, each its time, and nothing is poured; in air neither', () => {
    const cues = cuesOf({ seconds: 120, kind: 're-expose', liquid: 'light', sides: 2, agitation: agitations.none })
    expect(cues.map((cue) => [cue.kind, cue.fromS, cue.untilS])).toEqual([
      ['lamp', 0, 60],
      ['turn', 60, 120],
    ])
    expect(cuesOf({ seconds: 300, liquid: 'air', agitation: agitations.none }).map((cue) => cue.kind)).toEqual(['rest'])
  })
  test('before the lamp the tank is to be opened, and a bath whose temperature decides is looked at in time', () => {
    const { steps } = houseProcesses.find((one) => one.id === houseIds['bw-slide'])!
    const lamp = steps.find((step) => step.kind === 're-expose')!
    const [pre, develop, ...rest] = plan.steps
    const lit = { ...develop!, ...lamp, seconds: 120, bottle: null, waits: true, drainS: 0 } as typeof develop & object
    const reversal = { ...plan, steps: [{ ...pre!, seconds: 120 }, { ...develop!, toleranceC: 0.3 }, lit, ...rest] }
    const calls = cuesAhead(runClock(reversal, developing, 71_000))
    expect(calls.filter((one) => one.kind === 'open')).toEqual([{ at: 670_000, kind: 'open', word: 'Open the tank', step: 2 }])
    expect(calls.filter((one) => one.kind === 'check').map((one) => one.at)).toEqual([370_000])
    expect(cuesAhead(runClock(reversal, developing, 1000)).find((one) => one.kind === 'check')).toMatchObject({ at: 60_000, step: 1 })
  })
})

describe('who leads', () => {
  const other = (kind: RunEvent['kind'], second: number, step: number) => event(kind, second, step, { device: 'b' })
  test('who took it over last; what the first one sends after that is kept, marked, and counts for nothing', () => {
    expect(leaderOf(developing)).toBe('a')
    const taken = [...developing, other('take-over', 100, 1)]
    expect(leaderOf(taken)).toBe('b')
    const [late, mine] = markLate(taken, [event('next', 90, 1), other('hold', 120, 1)])
    expect([late?.late, mine?.late]).toEqual([true, undefined])
    expect(runClock(plan, [...taken, late!], 200_000).step).toBe(1)
    // taking it back in the same breath counts from there on
    expect(markLate(taken, [event('next', 90, 1), event('take-over', 130, 1), event('hold', 140, 1)]).map((one) => one.late)).toEqual([
      true,
      undefined,
      undefined,
    ])
  })
  test('what the technician on duty took over is theirs, until they give it back', () => {
    const onDuty = { ...other('take-over', 100, 1), duty: true as const }
    const [again, next] = markLate([...developing, onDuty], [event('take-over', 110, 1), event('next', 120, 1)])
    expect([again?.late, next?.late]).toEqual([true, true])
    const third = { ...event('take-over', 115, 1), device: 'c', duty: true as const }
    expect(markLate([...developing, onDuty], [third])[0]?.late).toBeUndefined()
    // a member gives back nothing that is not theirs
    expect(markLate([...developing, onDuty], [event('give-back', 120, 1)])[0]?.late).toBe(true)
    const back = [...developing, onDuty, other('give-back', 130, 1)]
    expect([leaderOf(back), takerOf(back)]).toEqual(['a', null])
    expect(markLate(back, [event('next', 140, 1), other('next', 150, 1)]).map((one) => one.late)).toEqual([undefined, true])
    expect(() => decideFinish({ id: 'r', state: 'running', plan, events: back }, [], { events: [], at: 0, device: 'b' })).toThrow(
      /taken this run over/,
    )
  })
  test('an event that is there already is not marked by being sent again', () => {
    const taken = [...developing, other('take-over', 100, 1)]
    expect(markLate(taken, developing).some((one) => one.late)).toBe(false)
  })
  test('the first one no longer writes what it did to the bottles', () => {
    const run = { id: 'r', state: 'running', plan, events: [...developing, other('take-over', 100, 1), other('next', 2000, 4)] }
    const ending = { events: [], at: 2_000_000 }
    expect(() => decideFinish(run, [], { ...ending, device: 'a' })).toThrow(/taken this run over/)
    expect(() => decideGivingUp(run, [], ending)).toThrow(/taken this run over/)
    expect(decideFinish(run, [acted('fixer')], { ...ending, device: 'b' }).lines).toHaveLength(1)
  })
})

describe('two runs and one pair of hands', () => {
  const begun = (name: string, second: number, rotary = false) => ({
    name,
    rotary,
    course: courseOf(plan),
    step: 1,
    startedAt: second * 1000,
  })
  test('a pour of one on a pour of the other collides, two tanks agitated at once do not', () => {
    expect(
      collisionsOf([begun('1', 0), begun('2', 30)]).filter((one) => one.first.step === 'Develop' && one.second.step === 'Develop'),
    ).toMatchObject([{ first: { kind: 'agitate' }, second: { kind: 'pour', fromAt: 30_000 } }])
    expect(collisionsOf([begun('1', 0), begun('2', 100_000)])).toEqual([])
  })
  test('a drum turns by itself', () => {
    expect(handsOnOf(begun('1', 0, true)).every((one) => one.kind === 'pour')).toBe(true)
    expect(handsOnOf(begun('1', 0))[0]).toMatchObject({ kind: 'pour', fromAt: 0, untilAt: 10_000 })
  })
  test('a start is moved to where hands are free: at that moment nothing collides, five seconds before it something does', () => {
    const other = begun('1', 0)
    const mine = begun('2', 0)
    const s = freeStartS(mine, [other])!
    expect(s).toBeGreaterThan(0)
    expect(collisionsOf([begun('2', s), other])).toEqual([])
    expect(collisionsOf([begun('2', s - 5), other]).length).toBeGreaterThan(0)
    expect(freeStartS(begun('2', -5000), [other])).toBe(0)
  })
  test('a run under way is seen from where it stands', () => {
    const clock = runClock(plan, [...developing, event('temperature', 370, 1, { celsius: 22 })], 371_000)
    expect(besideOf('1', false, clock)).toMatchObject({ step: 1, startedAt: 70_000, plannedS: clock.times[1]!.plannedS })
    expect(besideOf('1', false, runClock(plan, [], 0))).toBeNull()
    // while the pre-wet waits beyond its minute, developing is not thought to have begun
    const late = besideOf('1', false, runClock(plan, [event('start', 0, 0)], 300_000))
    expect(late && handsOnOf(late).find((one) => one.step === 'Develop')).toMatchObject({ kind: 'pour', fromAt: 300_000 })
  })
})
