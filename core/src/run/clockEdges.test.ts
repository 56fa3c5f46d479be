import { agitations } from '../process/agitations'
import { compilePlan } from '../process/compilePlan'
import type { PlanBottle } from '../process/load'
import type { Agitation } from '../process/step'
import { handProcess } from '../samples'
import { cuesAhead } from './ahead'
import { runClock } from './clock'
import { cuesOf } from './cues'
import { driftEnd, driftProgress } from './drift'
import type { RunEvent } from './runEvent'

const bottle = (family: string, more: Partial<PlanBottle> = {}): PlanBottle => ({
  ...{ id: family, name: family, label: family, family, parts: [1], volumeMl: 1000, rollsLeft: 20, minConcentrateMlPerRoll: 0 },
  ...{ findings: [], oneShot: false, timeFactor: 1 },
  ...more,
})
const bottles = [bottle('film-developer', { parts: [1, 1], oneShot: true }), bottle('stop-bath'), bottle('fixer')]
const plan = (pushStops = 0) =>
  compilePlan(
    handProcess,
    {
      vessel: { id: 'v', name: 'Tank 2', kind: 'hand', coversMl: 500, reels: 2 },
      ...{ films: [{ format: '135-36', count: 1 }], temperatureC: 20, chart: [{ temperatureC: 20, seconds: 600 }], pushStops },
      agitation: agitations['30-5-30'],
    },
    bottles.map((one) => ({ role: one.family, bottle: one })),
  )
let seq = 0
const event = (kind: RunEvent['kind'], second: number, step: number, more: Partial<RunEvent> = {}): RunEvent => ({
  ...{ id: `x${seq}`, seq: seq++, device: 'a', at: second * 1000, kind, step },
  ...more,
})
const at = (events: RunEvent[], second: number, of = plan()) => runClock(of, events, second * 1000)
const start = event('start', 0, 0)
const developing = [start, event('next', 70, 0)]

test('the plan these tests speak of', () =>
  expect(plan().steps.map((step) => [step.kind, step.seconds, step.waits, step.drainS])).toEqual([
    ['pre-wet', 60, true, 10],
    ['develop', 600, false, 10],
    ['stop', 60, false, 10],
    ['fix', 300, false, 10],
    ['wash', 480, true, 10],
  ]))

describe('what happened', () => {
  test('at one moment it happened in the order of the devices, and of a device in its own, however it arrives', () => {
    const moment = [event('hold', 100, 1), event('unhold', 100, 1)]
    for (const events of [moment, [...moment].reverse()]) expect(at([...developing, ...events], 101).holding).toBe(false)
    const later = { ...event('hold', 100, 1), device: 'b' }
    const other = { ...event('unhold', 100, 1), device: 'a' }
    for (const events of [
      [later, other],
      [other, later],
    ])
      expect(at([...developing, ...events], 101).holding).toBe(true)
    const early = event('hold', 90, 1)
    expect(at([...developing, { ...event('unhold', 95, 1), device: 'A' }, { ...early, device: 'z' }], 101).holding).toBe(false)
  })
  test('counts from its moment on, not before', () => {
    expect(at([...developing, event('hold', 300, 1)], 299.9).holding).toBe(false)
    expect(at([...developing, event('hold', 300, 1)], 300).holding).toBe(true)
  })
  test('a second start, a press before the first pour, and what was meant for another step change nothing', () => {
    expect(at([...developing, event('start', 200, 0)], 201)).toMatchObject({ step: 1, elapsedS: 131 })
    expect(at([event('next', 1, 0), event('hold', 2, 0), event('temperature', 3, 0, { celsius: 30 })], 5)).toMatchObject({
      ...{
        phase: 'before',
        step: 0,
        elapsedS: 0,
        remainingS: 60,
        holding: false,
        times: [],
        endsAt: null,
        cue: null,
        next: null,
        getReady: false,
      },
    })
    expect(at([...developing, event('hold', 100, 2), event('next', 110, 0)], 120)).toMatchObject({ step: 1, holding: false })
    expect(at([...developing, event('hold', 100, 1), event('unhold', 110, 0)], 120).holding).toBe(true)
    const held = at([...developing, event('hold', 100, 2)], 120).times
    expect(held.map((time) => time.held)).toEqual([false, false])
  })
  test('a run that is done, or given up, is done with', () => {
    const done = [...developing, event('next', 2000, 4)]
    expect(at(done, 2001)).toMatchObject({ phase: 'done', endsAt: null, elapsedS: 0, cue: null, getReady: false })
    expect(at([...done, event('abandon', 2002, 4), event('hold', 2003, 4)], 2010)).toMatchObject({ phase: 'done', holding: false })
    const given = [...developing, event('abandon', 200, 1)]
    expect(at(given, 5000)).toMatchObject({ phase: 'abandoned', step: 1, endsAt: null, cue: null, next: null, getReady: false })
    expect(at([...given, event('next', 300, 1)], 400)).toMatchObject({ phase: 'abandoned', step: 1 })
    expect(at(given, 5000).times.at(-1)?.endedAt).toBeNull()
  })
})

describe('a hold', () => {
  test('let go in time was none; let go late it kept the film in, and the step ends then', () => {
    const held = [...developing, event('hold', 300, 1)]
    const before = at([...held, event('unhold', 669, 1)], 671)
    expect([before.step, before.times[1]?.held, before.times[1]?.overS]).toEqual([2, false, 0])
    const late = at([...held, event('unhold', 700, 1)], 701)
    expect(late.times[1]?.held).toBe(true)
    expect(at([...held, event('unhold', 670, 1)], 700).times[1]?.held).toBe(true)
    expect(at(held, 670)).toMatchObject({ phase: 'over', remainingS: 0, step: 1 })
  })
})

describe('a measured temperature', () => {
  const warm = (second: number, celsius: number, step = 1) => event('temperature', second, step, { celsius })
  const chart = (factor: number) => (c: number) => 600 * Math.exp(-0.081 * (c - 20)) * factor
  test('moves the end by the chart and by every factor of the plan', () => {
    for (const [push, factor] of [
      [0, 1],
      [1, 1.35],
    ] as const) {
      const end = driftEnd({
        readings: [
          { s: 0, c: 20 },
          { s: 300, c: 22 },
        ],
        timeAt: chart(factor),
      })
      const time = at([...developing, warm(370, 22)], 371, plan(push)).times[1]
      expect(time?.plannedS).toBeCloseTo(end, 6)
      expect(time?.moved?.byS).toBeCloseTo(end - 600 * factor, 6)
    }
  })
  test('goes on from the ones before it, and one in another step or without a figure is none', () => {
    const both = at([...developing, warm(170, 21), warm(270, 22)], 300).times[1]
    expect(both?.moved?.readings).toEqual([
      { s: 0, c: 20 },
      { s: 100, c: 21 },
      { s: 200, c: 22 },
    ])
    expect(both?.moved?.celsius).toBe(22)
    expect(at([...developing, warm(170, 25, 2), event('temperature', 180, 1)], 300).times[1]?.moved).toBeUndefined()
    expect(at([start, warm(30, 25, 0)], 40).times[0]?.moved).toBeUndefined()
  })
  test('of a film that is overdone already ends the step at once, not in the past', () => {
    const hot = at([...developing, warm(670 - 1, 30)], 670 - 1).times[1]
    expect(hot?.plannedS).toBeCloseTo(599, 6)
    expect(at([...developing, warm(669, 30)], 669.5).step).toBe(2)
  })
  test('after the step is over it is of the next', () =>
    expect(at([...developing, warm(680, 30)], 690).times.map((time) => time.moved)).toEqual([undefined, undefined, undefined]))
})

describe('what the clock shows', () => {
  test('the word to get ready stands from 15 s before the pour out to the end of the step', () => {
    const ready = (second: number) => at(developing, second).getReady
    expect([ready(644.9), ready(645), ready(660), ready(669.9)]).toEqual([false, true, true, true])
    expect(at([...developing, event('hold', 300, 1)], 670).getReady).toBe(false)
  })
  test('this cue and the next; after the last there is none', () => {
    const cue = (second: number) => [at(developing, 70 + second).cue?.kind, at(developing, 70 + second).next?.kind]
    expect([cue(0), cue(9.9), cue(10), cue(595)]).toEqual([
      ['pour-in', 'agitate'],
      ['pour-in', 'agitate'],
      ['agitate', 'tap'],
      ['pour-out', undefined],
    ])
    expect([at([...developing, event('hold', 300, 1)], 700).cue, at([...developing, event('hold', 300, 1)], 700).next]).toEqual([
      null,
      null,
    ])
  })
  test('when all of it ends if nothing waits', () => {
    expect(at(developing, 100).endsAt).toBe((70 + 600 + 60 + 300 + 480) * 1000)
    expect(at([start], 30).endsAt).toBe((60 + 600 + 60 + 300 + 480) * 1000)
    expect(at(developing, 735).endsAt).toBe((70 + 600 + 60 + 300 + 480) * 1000)
  })
  test('the last step never ends by itself, in a bath neither', () => {
    const short = { ...plan(), steps: plan().steps.slice(0, 3) }
    expect(at(developing, 9000, short)).toMatchObject({ step: 2, phase: 'over' })
    expect(at([...developing, event('next', 9000, 2)], 9001, short).phase).toBe('done')
  })
  test('a step ends at its very second', () => {
    expect(at(developing, 669.999).step).toBe(1)
    expect(at(developing, 670)).toMatchObject({ step: 2, elapsedS: 0 })
    expect(at(developing, 670).times[1]).toMatchObject({ endedAt: 670_000, overS: 0 })
  })
})

describe('what is scheduled ahead', () => {
  test('stands in its order, at the times of its steps; nothing before the start or after the end', () => {
    const ahead = cuesAhead(at(developing, 100))
    expect(ahead.map((cue) => cue.at)).toEqual([...ahead.map((cue) => cue.at)].sort((a, b) => a - b))
    const stop = cuesOf(plan().steps[2]!).map((cue) => [670_000 + cue.fromS * 1000, cue.kind])
    for (const cue of stop) expect(ahead.map(({ at, kind }) => [at, kind])).toContainEqual(cue)
    expect(ahead.filter(({ kind }) => kind === 'over').map(({ word }) => word)).toEqual(['Done'])
    expect(ahead.find(({ kind }) => kind === 'get-ready')?.word).toBe('Get ready: Stop')
    expect(cuesAhead(at([], 1))).toEqual([])
    expect(cuesAhead(at([...developing, event('next', 2000, 4)], 2001))).toEqual([])
    expect(cuesAhead(at([...developing, event('abandon', 200, 1)], 201))).toEqual([])
    expect(cuesAhead(at([start], 100)).at(-1)).toMatchObject({
      kind: 'over',
      at: 60_000,
      word: 'Time is up: Develop when you are ready',
    })
  })
  test('follows a moved end, and while the film is held nothing of later steps is called', () => {
    const moved = at([...developing, event('temperature', 370, 1, { celsius: 22 })], 371)
    const ends = 70_000 + (moved.times[1]?.plannedS ?? 0) * 1000
    const pours = cuesAhead(moved)
      .filter(({ kind }) => kind === 'pour-in')
      .map((cue) => cue.at)
    expect(pours[1]).toBeCloseTo(ends, 3)
    expect(pours[2]).toBeCloseTo(ends + 60_000, 3)
    const held = cuesAhead(at([...developing, event('hold', 100, 1)], 101))
    expect(held.filter(({ kind }) => kind === 'pour-in')).toHaveLength(1)
    expect(held.at(-1)?.word).toBe('Time is up: Stop when you are ready')
  })
})

describe('the cues of a step', () => {
  const cues = (seconds: number, agitation: Agitation, drainS = 10) =>
    cuesOf({ seconds, drainS, volumeMl: 500, agitation }).map((cue) => [cue.kind, cue.fromS, cue.untilS])
  const every = { name: 'x', firstS: 30, everyS: 60, forS: 5 } as Agitation
  test('follow from the pour: agitate, tap, rest, and out', () =>
    expect(cues(130, every)).toEqual([
      ...[
        ['pour-in', 0, 10],
        ['agitate', 10, 30],
        ['tap', 30, 32],
        ['rest', 32, 60],
        ['agitate', 60, 65],
        ['tap', 65, 67],
        ['rest', 67, 120],
      ],
      ['pour-out', 120, 130],
    ]))
  test('a short first agitation gets its time after the pour; without one it rests', () => {
    expect(cues(60, { ...every, firstS: 5, everyS: 0 })).toEqual([
      ...[
        ['pour-in', 0, 10],
        ['agitate', 10, 15],
        ['tap', 15, 17],
        ['rest', 17, 50],
      ],
      ['pour-out', 50, 60],
    ])
    expect(cues(60, { ...every, firstS: 0, everyS: 0 })).toEqual([
      ['pour-in', 0, 10],
      ['rest', 10, 50],
      ['pour-out', 50, 60],
    ])
    expect(cues(60, { ...every, firstS: 12, everyS: 0 })[1]).toEqual(['agitate', 10, 12])
  })
  test('one that would begin while the last is still tapped out is left out, and none reaches into the pour out', () => {
    expect(cues(100, { ...every, everyS: 31 }).filter(([kind]) => kind === 'agitate')).toEqual([
      ['agitate', 10, 30],
      ['agitate', 62, 67],
    ])
    expect(
      cues(100, { ...every, everyS: 32 })
        .filter(([kind]) => kind === 'agitate')
        .slice(0, 2),
    ).toEqual([
      ['agitate', 10, 30],
      ['agitate', 32, 37],
    ])
    // what would end less than 5 s before pouring out is left out too
    expect(cues(79, every).slice(-3)).toEqual([
      ['tap', 30, 32],
      ['rest', 32, 69],
      ['pour-out', 69, 79],
    ])
    expect(cues(80, every).filter(([kind]) => kind === 'agitate')).toHaveLength(2)
    expect(cues(70, every).filter(([kind]) => kind === 'agitate')).toHaveLength(1)
  })
  test('nothing to pour out is not called; a step shorter than its pour has room for both', () => {
    expect(cues(60, { ...every, everyS: 0 }, 0).at(-1)).toEqual(['rest', 32, 60])
    expect(cues(12, every)).toEqual([
      ['pour-in', 0, 2],
      ['pour-out', 2, 12],
    ])
  })
  test('says how it is agitated', () => {
    const words = (agitation: Agitation) =>
      cuesOf({ seconds: 60, drainS: 10, volumeMl: 500, agitation }).find((cue) => cue.kind === 'agitate')?.word
    expect([words(every), words({ ...every, inversions: 4 })]).toEqual(['Agitate', 'Invert 4 times'])
  })
})

describe('along a drifting bath', () => {
  const timeAt = (c: number) => 200 * Math.exp(-0.081 * (c - 20))
  test('the end lies within an interval where it is reached in it, whatever order the readings come in', () => {
    // 20 to 22 °C in 300 s: ∫ exp(k·x) of the line reaches 200 s
    const k = (0.081 * 2) / 300
    const end = Math.log(1 + 200 * k) / k
    const readings = [
      { s: 0, c: 20 },
      { s: 300, c: 22 },
    ]
    expect(driftEnd({ readings, timeAt })).toBeCloseTo(end, 4)
    expect(driftEnd({ readings: [...readings].reverse(), timeAt })).toBeCloseTo(end, 4)
    expect(driftProgress({ readings: [...readings].reverse(), timeAt })).toBeCloseTo((Math.exp(300 * k) - 1) / k / 200, 6)
    // reached at the very reading
    expect(
      driftEnd({
        readings: [
          { s: 0, c: 20 },
          { s: 200, c: 20 },
          { s: 900, c: 30 },
        ],
        timeAt,
      }),
    ).toBeCloseTo(200, 4)
    expect(
      driftEnd({
        readings: [
          { s: 0, c: 20 },
          { s: 100, c: 20 },
          { s: 150, c: 20 },
        ],
        timeAt,
      }),
    ).toBeCloseTo(200, 4)
  })
  test('two readings of one moment count as they stand, and the first holds from the beginning', () => {
    expect(
      driftProgress({
        readings: [
          { s: 100, c: 20 },
          { s: 100, c: 25 },
        ],
        timeAt,
      }),
    ).toBeCloseTo(0.5, 9)
    expect(driftEnd({ readings: [{ s: 50, c: 22 }], timeAt })).toBeCloseTo(timeAt(22), 6)
  })
  test.each([
    ['a moment before the beginning', [{ s: -1, c: 20 }]],
    ['a reading that is none', [{ s: 0, c: NaN }]],
    ['no reading', []],
  ])('%s is refused', (_, readings) =>
    expect(() => driftEnd({ readings, timeAt })).toThrow(expect.objectContaining({ code: 'out-of-range' })),
  )
})
