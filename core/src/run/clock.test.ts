import { agitationNamed, agitations } from '../process/agitations'
import { compilePlan } from '../process/compilePlan'
import type { Load, PlanBottle } from '../process/load'
import type { Process } from '../process/process'
import { usesAtEnd, usesAtStart } from '../process/uses'
import { handProcess } from '../samples'
import { cuesAhead } from './ahead'
import { runClock } from './clock'
import type { RunEvent } from './runEvent'
import { cuesOf } from './cues'
import { driftEnd, driftProgress } from './drift'

const bottle = (family: string, more: Partial<PlanBottle> = {}): PlanBottle => ({
  id: family,
  name: family,
  label: family[0] ?? '',
  family,
  parts: [1],
  volumeMl: 1000,
  rollsLeft: 20,
  minConcentrateMlPerRoll: 0,
  findings: [],
  oneShot: false,
  timeFactor: 1,
  ...more,
})
const developer = bottle('film-developer', { parts: [1, 1], oneShot: true, minConcentrateMlPerRoll: 100, rollsLeft: 10 })
const load: Load = {
  vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 600, reels: 2 },
  films: [
    { format: '135-36', count: 1 },
    { format: '135-36', count: 1 },
  ],
  temperatureC: 20,
  chart: [{ temperatureC: 20, seconds: 600 }],
  pushStops: 0,
}
const inRoles = (bottles: PlanBottle[]) => bottles.map((one) => ({ role: one.family, bottle: one }))
const compile = (of: Process, more: Partial<Load>, bottles: PlanBottle[]) =>
  compilePlan(of, { ...load, agitation: agitations['30-5-30'], ...more }, inRoles(bottles))
const plan = (bottles = [developer, bottle('stop-bath'), bottle('fixer')], more: Partial<Load> = {}) => compile(handProcess, more, bottles)

let n = 0
const event = (kind: RunEvent['kind'], second: number, step: number): RunEvent => ({
  id: `e${n}`,
  seq: n++,
  device: 'a',
  at: second * 1000,
  kind,
  step,
})
const at = (events: RunEvent[], second: number) => runClock(plan(), events, second * 1000)
const intoDeveloper = [event('start', 0, 0), event('next', 70, 0)]

describe('the plan', () => {
  test('has volumes and parts for every beaker and nothing to find', () => {
    expect(plan().steps.map((step) => [step.kind, step.seconds, step.volumeMl, step.partsMl])).toEqual([
      ['pre-wet', 60, 600, [600]],
      ['develop', 600, 600, [300, 300]],
      ['stop', 60, 600, [600]],
      ['fix', 300, 600, [600]],
      ['wash', 480, 600, [600]],
    ])
    expect(plan().findings).toEqual([])
  })
  test('writes what is used once at the start and rolls, carry-out and carried-in water at the end', () => {
    expect(usesAtStart(plan())).toEqual([{ step: 1, bottleId: 'film-developer', kind: 'dilute-out', ml: -300, waterInMl: 0, rolls: 0 }])
    expect(usesAtEnd(plan())).toEqual([
      { step: 2, bottleId: 'stop-bath', kind: 'use', ml: 0, waterInMl: 30, rolls: 2 },
      { step: 3, bottleId: 'fixer', kind: 'use', ml: 0, waterInMl: 30, rolls: 2 },
    ])
  })
  test('a tank whose carry-out was measured takes that instead of the usual', () => {
    const measured = plan(undefined, { vessel: { ...load.vessel, carryMl: 8 } })
    expect(usesAtEnd(measured).map((use) => use.waterInMl)).toEqual([16, 16])
    expect(usesAtEnd(plan(undefined, { vessel: { ...load.vessel, carryMl: null } })).map((use) => use.waterInMl)).toEqual([30, 30])
  })
  test('a water stop needs no bottle and ends by the clock like any bath', () => {
    const dry = { ...handProcess, steps: handProcess.steps.filter((step) => step.key !== 'pre-wet') }
    const water = compile(dry, { options: { water: true } }, [developer, bottle('fixer')])
    expect(water.steps.map((step) => [step.name, step.waits])).toEqual([
      ['Develop', false],
      ['Water stop', false],
      ['Fix', false],
      ['Wash, three fills', true],
    ])
    expect(usesAtEnd(water)).toEqual([{ step: 2, bottleId: 'fixer', kind: 'use', ml: 0, waterInMl: 30, rolls: 2 }])
  })
  test.each<[string, () => { findings: { rule: string; severity: string }[] }]>([
    ['plan-short', () => plan(undefined, { chart: [{ temperatureC: 20, seconds: 200 }] })],
    ['plan-vessel', () => plan(undefined, { films: [{ format: '135-36', count: 3 }] })],
    ['plan-volume', () => plan([developer, bottle('stop-bath', { volumeMl: 599 }), bottle('fixer')])],
    ['plan-capacity', () => plan([developer, bottle('stop-bath'), bottle('fixer', { rollsLeft: 1.9 })])],
    ['plan-concentrate', () => plan([{ ...developer, parts: [1, 4] }, bottle('stop-bath'), bottle('fixer')])],
    [
      'plan-bottle',
      () =>
        plan([
          developer,
          bottle('stop-bath'),
          bottle('fixer', { findings: [{ rule: 'bottle-expired', severity: 'error', message: 'Old.' }] }),
        ]),
    ],
    ['plan-reticulation', () => plan(undefined, { bathC: { stop: 14 } })],
    ['plan-temperature', () => plan(undefined, { bathC: { fix: 23 } })],
    ['plan-push', () => plan(undefined, { pushStops: 4 })],
    [
      'plan-no-fix',
      () =>
        compile({ ...handProcess, steps: handProcess.steps.filter((step) => step.kind !== 'fix') }, {}, [developer, bottle('stop-bath')]),
    ],
  ])('%s is found', (rule, make) => expect(make().findings.map((finding) => finding.rule)).toContain(rule))
  test('without a fixer bottle it cannot be made', () =>
    expect(() => plan([developer, bottle('stop-bath')])).toThrow(expect.objectContaining({ code: 'no-bottle' })))
})

describe('cues', () => {
  test('cover a step without gaps and end with pouring out', () => {
    // the worked example: 300 s of 300 ml
    const cues = cuesOf({ seconds: 300, kind: 'develop', volumeMl: 300, agitation: agitations['30-5-30'] })
    expect(cues.slice(0, 5).map((cue) => [cue.kind, cue.fromS])).toEqual([
      ['pour-in', 0],
      ['agitate', 6],
      ['tap', 30],
      ['rest', 32],
      ['agitate', 60],
    ])
    expect(cues.filter((cue) => cue.kind === 'agitate').map((cue) => cue.fromS)).toEqual([6, 60, 90, 120, 150, 180, 210, 240, 270])
    expect(cues.at(-1)).toMatchObject({ kind: 'pour-out', fromS: 290 })
    cues.forEach((cue, i) => expect(cue.untilS).toBe(cues[i + 1]?.fromS ?? 300))
  })
  test.each(Object.keys(agitations))('%s never overlaps, whatever the length of the step', (name) => {
    for (const seconds of [5, 12, 60, 61, 95, 600]) {
      const cues = cuesOf({ seconds, drainS: 10, volumeMl: 500, agitation: agitationNamed(name)! })
      cues.forEach((cue, i) => expect([cue.fromS, cue.untilS > cue.fromS || seconds <= 10]).toEqual([cues[i - 1]?.untilS ?? 0, true]))
      expect(cues.at(-1)?.untilS).toBe(seconds)
    }
  })
})

describe('the clock', () => {
  test('waits before the first pour and in water, and goes through the baths by itself', () => {
    expect(at([], 1).phase).toBe('before')
    expect(at([event('start', 0, 0)], 100)).toMatchObject({ phase: 'over', step: 0, remainingS: -40 })
    expect(at(intoDeveloper, 100)).toMatchObject({ phase: 'running', step: 1, elapsedS: 30, remainingS: 570 })
    expect(at(intoDeveloper, 70 + 600 + 59)).toMatchObject({ step: 2, elapsedS: 59 })
    expect(at(intoDeveloper, 70 + 600 + 60 + 12)).toMatchObject({ step: 3, elapsedS: 12, cue: { kind: 'agitate' } })
    expect(at(intoDeveloper, 5000)).toMatchObject({ step: 4, phase: 'over' })
  })
  test('a hold keeps the film in the bath, shows the time over and records it', () => {
    const held = [...intoDeveloper, event('hold', 300, 1)]
    expect(at(held, 700)).toMatchObject({ step: 1, phase: 'over', holding: true, remainingS: -30 })
    const ended = at([...held, event('next', 700, 1)], 701)
    expect(ended).toMatchObject({ step: 2, holding: false })
    expect(ended.times[1]).toMatchObject({ overS: 30, held: true })
    expect(at([...held, event('unhold', 310, 1)], 671).step).toBe(2)
  })
  test('the same press from two devices, and an event that arrives twice, count once', () => {
    const twice = [...intoDeveloper, { ...event('next', 71, 0), device: 'b' }, intoDeveloper[1] as RunEvent]
    expect(at(twice, 80)).toMatchObject({ step: 1, elapsedS: 10 })
    expect(at([...twice].reverse(), 80)).toMatchObject({ step: 1, elapsedS: 10 })
  })
  test('the last "next" ends the run', () => expect(at([...intoDeveloper, event('next', 2000, 4)], 2001).phase).toBe('done'))
  test('cues are known ahead, up to where a hand is needed', () => {
    const ahead = cuesAhead(at(intoDeveloper, 71))
    expect(ahead.at(-1)).toMatchObject({ kind: 'over', at: (70 + 600 + 60 + 300 + 480) * 1000 })
    expect(ahead.filter((cue) => cue.kind === 'get-ready').map((cue) => cue.at / 1000)).toEqual([70 + 575, 70 + 635, 70 + 935])
    expect(cuesAhead(at([...intoDeveloper, event('hold', 100, 1)], 101)).at(-1)).toMatchObject({ kind: 'over', at: 670_000 })
  })
})

describe('a temperature measured in the middle', () => {
  const timeAt = (c: number) => 600 * Math.exp(-0.081 * (c - 20))
  test('progress is the share done, the first reading holding from the beginning', () => {
    expect(driftProgress({ readings: [{ s: 0, c: 20 }], timeAt })).toBe(0)
    expect(driftProgress({ readings: [{ s: 300, c: 20 }], timeAt })).toBeCloseTo(0.5, 9)
    expect(
      driftProgress({
        readings: [
          { s: 0, c: 20 },
          { s: 300, c: 20 },
          { s: 700, c: 20 },
        ],
        timeAt,
      }),
    ).toBeCloseTo(7 / 6, 9)
    // from 20 to 22 °C along a line: the mean of exp(0.081·x) over 0…2
    expect(
      driftProgress({
        readings: [
          { s: 0, c: 20 },
          { s: 300, c: 22 },
        ],
        timeAt,
      }),
    ).toBeCloseTo((0.5 * (Math.exp(0.162) - 1)) / 0.162, 6)
  })
  test('the end follows the last temperature, and may lie in the past', () => {
    expect(driftEnd({ readings: [{ s: 0, c: 20 }], timeAt })).toBeCloseTo(600, 9)
    expect(driftEnd({ readings: [{ s: 0, c: 22 }], timeAt })).toBeCloseTo(timeAt(22), 9)
    expect(
      driftEnd({
        readings: [
          { s: 0, c: 20 },
          { s: 700, c: 20 },
        ],
        timeAt,
      }),
    ).toBeCloseTo(600, 4)
  })
  test('moves the end of the developing on the clock, and of nothing else', () => {
    const planned = plan(undefined, { chart: [{ temperatureC: 20, seconds: 600 }] })
    const develop = planned.steps.findIndex((step) => step.kind === 'develop')
    const begun = [
      { id: 'a', seq: 0, device: 'd', at: 0, kind: 'start' as const, step: 0 },
      ...(develop > 0 ? [{ id: 'b', seq: 1, device: 'd', at: 60_000, kind: 'next' as const, step: 0 }] : []),
    ]
    const began = develop > 0 ? 60_000 : 0
    const warm = { id: 'c', seq: 2, device: 'd', at: began + 300_000, kind: 'temperature' as const, step: develop, celsius: 22 }
    const before = runClock(planned, begun, began + 301_000)
    const after = runClock(planned, [...begun, warm], began + 301_000)
    const moved = after.times.at(-1)?.moved
    expect(moved?.celsius).toBe(22)
    expect(moved?.byS).toBeLessThan(-30)
    expect(after.remainingS).toBeCloseTo(before.remainingS + (moved?.byS ?? 0), 6)
    const fixed = { ...warm, step: develop + 1, at: began + 601_000 }
    expect(runClock(planned, [...begun, fixed], began + 602_000).times.at(-1)?.moved).toBeUndefined()
  })
})
