let now = 1_000_000
let buffers: Record<string, number> = {}
jest.mock('../clock', () => ({ now: () => now }))
jest.mock('./voiceFiles', () => ({ voiceFiles: { run: '/run.mp3', n7: '/n7.mp3', 'pour-in': '/pour-in.mp3' } }))
import type * as audioModule from './audio'
import type * as queueModule from './queue'
import type { Sounded } from './queue'
import type * as voiceModule from './voice'

interface Heard {
  what: string
  from: number
  stopped: boolean
}
let heard: Heard[] = []
let state: 'running' | 'suspended' = 'running'
let time = 50
/** what of the audio clock is heard just now, and when that is by the page's monotonic clock */
let stamp: { contextTime: number; performanceTime: number } = { contextTime: 0, performanceTime: 0 }
const node = (what: string) => {
  const one: Heard = { what, from: NaN, stopped: false }
  return {
    connect: (next: unknown) => next,
    start: (at: number) => heard.push(Object.assign(one, { from: at })),
    // stopped without a time it is silent at once
    stop: (at?: number) => (one.stopped ||= at === undefined),
    one,
  }
}
class Audio {
  destination = {}
  get currentTime() {
    return time
  }
  get state() {
    return state
  }
  resume = () => Promise.resolve()
  getOutputTimestamp = () => stamp
  createGain = () => ({ gain: { setValueAtTime: () => undefined, setTargetAtTime: () => undefined }, connect: () => undefined })
  createOscillator() {
    const tone = node('tone')
    return Object.assign(tone, {
      frequency: {
        set value(hertz: number) {
          tone.one.what = `tone ${Math.round(hertz)}`
        },
      },
    })
  }
  createBufferSource() {
    const voice = node('word')
    return {
      ...voice,
      set buffer(buffer: { name: string }) {
        voice.one.what = buffer.name
      },
    }
  }
  decodeAudioData = (bytes: { name: string }) => Promise.resolve({ name: bytes.name, duration: buffers[bytes.name] ?? 0.5 })
}
/** a page that was just loaded */
async function loaded(touched = true) {
  jest.resetModules()
  const page = {
    ...jest.requireActual<typeof audioModule>('./audio'),
    ...jest.requireActual<typeof queueModule>('./queue'),
    ...jest.requireActual<typeof voiceModule>('./voice'),
  }
  if (touched) void page.wake()
  const context = page.audio()
  if (context) await page.loadWords(context)
  return page
}
beforeEach(() => {
  ;[heard, state, time, stamp, buffers, now] = [[], 'running', 50, { contextTime: 0, performanceTime: 0 }, {}, 1_000_000]
  Object.assign(globalThis, {
    AudioContext: Audio,
    fetch: (url: string) => Promise.resolve({ ok: true, arrayBuffer: () => Promise.resolve({ name: url.slice(1, -4) }) }),
  })
})
const at = (ms: number, more: Partial<Sounded> = {}): Sounded => ({
  ...{ id: `at ${ms}`, at: now + ms, kind: 'rest', family: 'film-developer', words: [] },
  ...more,
})
const sounding = () => heard.filter((one) => !one.stopped)
const times = (list = sounding()) => list.map(({ from }) => Math.round(from * 1000) / 1000)

test('each cue sounds at its time on the audio clock, whatever the page is busy with; what is past is not made up for', async () => {
  const { scheduleAll } = await loaded()
  scheduleAll([at(30_000), at(-1), at(0), at(2500), at(299_999), at(300_000)])
  expect(times()).toEqual([50, 52.5, 80, 349.999])
})

test('by what the device says is heard just now, not by what it is given: a late output is allowed for', async () => {
  const { scheduleAll } = await loaded()
  jest.spyOn(performance, 'now').mockReturnValue(9000)
  // 20 ms ago the listener heard s 49.9 of the audio clock, which has reached 50
  stamp = { contextTime: 49.9, performanceTime: 8980 }
  scheduleAll([at(1000)])
  expect(times()).toEqual([50.92])
  jest.restoreAllMocks()
})

test('a machine whose sound stood still for a moment is noticed, and what is planned anew is heard on its time again', async () => {
  const { scheduleAll, slippedS } = await loaded()
  scheduleAll([at(10_000)])
  expect(slippedS()).toBeCloseTo(0, 6)
  // five seconds on, the audio clock has gone on by 4.8
  now += 5000
  time += 4.8
  expect(slippedS()).toBeCloseTo(-0.2, 6)
  scheduleAll([at(5000)])
  expect(slippedS()).toBeCloseTo(0, 6)
  expect(sounding().map((one) => one.from)[0]).toBeCloseTo(time + 5, 6)
})

test('planned anew, what is to come takes the place of what was; what sounds already goes on, and is not called twice', async () => {
  const { scheduleAll } = await loaded()
  scheduleAll([at(1000), at(4000)])
  time = 51.1
  scheduleAll([at(1000), at(6000)])
  expect(times()).toEqual([51, 56 + 1.1])
})

test('what is due by either clock is heard once, as it was scheduled', async () => {
  const { scheduleAll } = await loaded()
  scheduleAll([at(1000), at(5000)])
  now += 1010
  time = 50.93
  scheduleAll([at(-10), at(3990)].map((call, i) => ({ ...call, id: `at ${[1000, 5000][i]}` })))
  expect(times()).toEqual([51, 54.92])
})

test('words come after the tones of their cue and never two at once: the second waits, and is left out where it would come too late', async () => {
  buffers = { 'pour-in': 3 }
  const { scheduleAll } = await loaded()
  scheduleAll([
    at(0, { words: ['run', 'n7', 'pour-in'] }),
    at(1000, { words: ['pour-in'] }),
    at(2000, { words: ['n7'] }),
    at(2100, { words: ['pour-in'] }),
  ])
  const words = sounding().filter((one) => !one.what.startsWith('tone'))
  expect(words.map((one) => one.what)).toEqual(['run', 'n7', 'pour-in', 'pour-in', 'n7', 'pour-in'])
  const ends = words.map((one) => one.from + (one.what === 'pour-in' ? 3 : 0.5))
  for (const [i, one] of words.entries()) if (i > 0) expect(one.from).toBeGreaterThanOrEqual(ends[i - 1] as number)
  scheduleAll([...Array(6).keys()].map((i) => at(10_000 + i, { id: `${i}`, words: ['pour-in'] })))
  // of six at once the last would be heard more than eight seconds late
  expect(sounding().filter((one) => one.what === 'pour-in' && one.from > 60).length).toBe(3)
})

test('what is asked for is said at once, and what is scheduled waits until it is said', async () => {
  const { scheduleAll, sayNow } = await loaded()
  sayNow(['pour-in', 'n7'])
  sayNow(['run'])
  expect(sounding().map((one) => one.what)).toEqual(['run'])
  scheduleAll([at(0, { words: ['n7'] })])
  expect(sounding().find((one) => one.what === 'n7')?.from).toBeGreaterThan(50.5)
})

test('the kinds are told apart without looking, and so are the baths: no two have the same rhythm, pitch and sound', async () => {
  const { scheduleAll } = await loaded()
  const kinds: Sounded['kind'][] = [
    'get-ready',
    'pour-out',
    'pour-in',
    'agitate',
    'tap',
    'vent',
    'rest',
    'check',
    'open',
    'lamp',
    'turn',
    'over',
  ]
  const heardOf = (kind: Sounded['kind'], family: string) => {
    heard = []
    scheduleAll([at(100, { id: `${kind} ${family}`, kind, family })])
    return JSON.stringify(sounding().map(({ what, from }) => [what, Math.round((from - 50) * 1000)]))
  }
  expect(new Set(kinds.map((kind) => heardOf(kind, 'fixer'))).size).toBe(kinds.length)
  const baths = ['film-developer', 'stop-bath', 'fixer', 'bleach', 'clearing-bath', 'wetting-agent', 'toner']
  expect(new Set(baths.map((family) => heardOf('pour-in', family))).size).toBe(baths.length)
})

test('before the browser was touched nothing is scheduled, and it is said to be silent', async () => {
  const { scheduleAll, silent, wake } = await loaded(false)
  scheduleAll([at(1000)])
  expect([silent.value, heard]).toEqual([true, []])
  void wake()
  scheduleAll([at(1000)])
  expect([silent.value, times()]).toEqual([false, [51]])
})

test('a time is spoken in minutes and seconds, a high number digit by digit', async () => {
  const { timeWords, numberWords } = await loaded()
  expect([timeWords(0), timeWords(1), timeWords(61.4), timeWords(120)]).toEqual([
    ['n0', 'seconds'],
    ['n1', 'second'],
    ['n1', 'minute', 'n1', 'second'],
    ['n2', 'minutes'],
  ])
  expect([numberWords(59), numberWords(214)]).toEqual([['n59'], ['n2', 'n1', 'n4']])
})
