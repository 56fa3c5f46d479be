import type { Plan, RunClock } from '@selvrin/core'

let cues: { at: number; kind: string }[] = []
const now = 1_000_000
jest.mock('@selvrin/core', () => ({ cuesAhead: () => cues }))
jest.mock('../clock', () => ({ now: () => now }))
import { scheduleCues, silent, stopCues, wake } from './sound'

interface Tone {
  hertz: number
  from: number
  to: number
}
let tones: Tone[] = []
let state: 'running' | 'suspended' = 'running'
class Audio {
  currentTime = 50
  destination = {}
  get state() {
    return state
  }
  resume = () => Promise.resolve()
  createGain = () => ({ gain: { setValueAtTime: () => undefined, setTargetAtTime: () => undefined }, connect: () => undefined })
  createOscillator() {
    const tone: Tone = { hertz: 0, from: NaN, to: NaN }
    tones.push(tone)
    return {
      frequency: {
        set value(hertz: number) {
          tone.hertz = hertz
        },
      },
      connect: (next: unknown) => next,
      start: (at: number) => (tone.from = at),
      // stopped without a time it is silent at once
      stop: (at?: number) => (at === undefined ? (tones = tones.filter((one) => one !== tone)) : (tone.to = at)),
    }
  }
}
beforeAll(() => Object.assign(globalThis, { AudioContext: Audio }))
beforeEach(() => {
  for (const run of ['a', 'b']) stopCues(run)
  tones = []
  state = 'running'
  wake()
})
const schedule = (run: string) => scheduleCues(run, {} as Plan, {} as RunClock)
const at = (ms: number, kind = 'rest') => ({ at: now + ms, kind })

test('each cue sounds at its time on the audio clock, whatever the page is busy with', () => {
  cues = [at(0), at(2500), at(30_000)]
  schedule('a')
  expect(tones.map(({ from }) => from)).toEqual([50, 52.5, 80])
  for (const { from, to } of tones) expect(to).toBeGreaterThan(from)
})

test('what is past is not made up for, and what is two minutes ahead is left to the next time', () => {
  cues = [at(-1), at(-60_000), at(119_999), at(120_000)]
  schedule('a')
  expect(tones.map(({ from }) => from)).toEqual([50 + 119.999])
})

test('planned anew, a run’s cues take the place of those before; another run’s stay', () => {
  cues = [at(1000)]
  schedule('a')
  cues = [at(4000)]
  schedule('b')
  cues = [at(2000), at(3000)]
  schedule('a')
  expect(tones.map(({ from }) => from)).toEqual([54, 52, 53])
  stopCues('a')
  expect(tones.map(({ from }) => from)).toEqual([54])
})

test('the kinds are told apart without looking: no two have the same rhythm and pitch, and tones follow each other', () => {
  const kinds = ['get-ready', 'pour-out', 'pour-in', 'agitate', 'tap', 'rest', 'over']
  const heard = kinds.map((kind) => {
    tones = []
    cues = [at(0, kind)]
    schedule('a')
    const parts = tones.map(({ hertz, from, to }) => ({ hertz, from, seconds: to - from }))
    for (const [i, one] of parts.entries()) if (i > 0) expect(one.from).toBeGreaterThan(parts[i - 1]?.from ?? Infinity)
    return JSON.stringify(parts.map(({ hertz, from }) => [hertz, Math.round(from * 1000)]))
  })
  expect(new Set(heard).size).toBe(kinds.length)
})

test('before the browser was touched nothing is scheduled, and it is said to be silent', () => {
  state = 'suspended'
  cues = [at(1000)]
  schedule('a')
  expect([silent.value, tones]).toEqual([true, []])
  state = 'running'
  schedule('a')
  expect([silent.value, tones.length]).toEqual([false, 1])
})
