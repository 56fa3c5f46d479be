import 'fake-indexeddb/auto'
import type { RunEvent } from '@selvrin/core'

// the store library comes as a module Jest does not read; what it does here is to keep one state
let mockStore: object | null = null
jest.mock('pinia', () => {
  const { reactive } = jest.requireActual<{ reactive: (state: object) => object }>('vue')
  return { defineStore: (_name: string, setup: () => object) => () => (mockStore ??= reactive(setup())) }
})
jest.mock('../api/live', () => ({ onChange: () => () => undefined }))
jest.mock('../session/store', () => ({ useSession: () => ({ isTechnician: true }) }))
jest.mock('./device', () => ({ deviceName: () => 'tablet' }))
import { useClocks } from './clocks'
import { runLog } from './log'

// what the server does with what is sent
let server: 'there' | 'away' | 'refuses' = 'there'
let got: { run: string; events: RunEvent[] }[] = []
beforeAll(() => Object.assign(globalThis, { window: globalThis }))
beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'nextTick', 'queueMicrotask'] })
  jest.spyOn(Math, 'random').mockReturnValue(1)
  got = []
  server = 'there'
  mockStore = null
  globalThis.fetch = ((url: string, { body }: { body: string }) => {
    if (server === 'away') return Promise.reject(new TypeError('no network'))
    got.push({ run: url.split('/')[3] ?? '', events: (JSON.parse(body) as { events: RunEvent[] }).events })
    const refused = { ok: false, status: 422, json: () => Promise.resolve({ code: 'invalid', message: 'Not like that.' }) }
    return Promise.resolve(server === 'refuses' ? refused : { ok: true, status: 200, json: () => Promise.resolve({ done: true }) })
  }) as never
})
afterEach(() => {
  jest.useRealTimers()
  jest.restoreAllMocks()
})
/** Time passes while the disk answers. */
const pass = async (seconds: number) => {
  for (let i = 0; i < seconds; i++) {
    await jest.advanceTimersByTimeAsync(1000)
    for (let j = 0; j < 4; j++) await new Promise((resolve) => setImmediate(resolve))
  }
  await settled()
}
/** Whatever the disk and the line have to do is done. */
const settled = async () => {
  for (let i = 0; i < 40; i++) {
    await jest.advanceTimersByTimeAsync(1)
    await new Promise((resolve) => setImmediate(resolve))
  }
}
const unsent = async (run: string) => (await of(runLog.unsent())).byRun.get(run)?.length ?? 0
const of = async <T>(work: Promise<T>): Promise<T> => (await settled(), work)
const note = (run: string, kind: RunEvent['kind'], step = 0) => of(useClocks().note(run, { kind, step }))

test('what happens while the server is away waits on this device, is counted as waiting, and is sent once, in its order', async () => {
  server = 'away'
  await note('run-a', 'start')
  await note('run-a', 'next')
  expect([useClocks().waiting, await unsent('run-a'), got.length]).toEqual([2, 2, 0])
  // still away: nothing is taken for sent by trying
  await pass(60)
  expect([useClocks().waiting, await unsent('run-a')]).toEqual([2, 2])
  server = 'there'
  await pass(60)
  const kinds = got.filter(({ run }) => run === 'run-a').flatMap(({ events }) => events.map(({ kind }) => kind))
  expect([kinds, useClocks().waiting, await unsent('run-a')]).toEqual([['start', 'next'], 0, 0])
  await of(useClocks().send())
  expect(got.flatMap(({ events }) => events).length).toBe(2)
  // and it stays in the device's own log
  expect((await of(runLog.of('run-a'))).map(({ kind }) => kind).sort()).toEqual(['next', 'start'])
})

test('a disk that does not answer for once is asked again, and meanwhile nobody says that nothing waits', async () => {
  server = 'away'
  await note('run-d', 'start')
  const mute = jest
    .spyOn(IDBIndex.prototype, 'getAll')
    .mockImplementation(() => ({ addEventListener: () => undefined, removeEventListener: () => undefined }) as never)
  server = 'there'
  const sending = useClocks().send()
  await jest.advanceTimersByTimeAsync(3500)
  await sending
  expect([useClocks().waiting, got.length]).toEqual([1, 0])
  mute.mockRestore()
  await pass(60)
  expect([useClocks().waiting, got.length, await unsent('run-d')]).toEqual([0, 1, 0])
})

test('what the server will never have is not sent for ever, and is not counted as sent', async () => {
  server = 'refuses'
  await note('run-b', 'next', 9)
  expect([useClocks().refused, useClocks().waiting, await unsent('run-b'), got.length]).toEqual([1, 0, 0, 1])
  await of(useClocks().send())
  expect(got.length).toBe(1)
  expect((await of(runLog.of('run-b'))).length).toBe(1)
})

test('a long evening away is sent in portions the server takes', async () => {
  server = 'away'
  for (let i = 0; i < 250; i++) await runLogged('run-c', i)
  server = 'there'
  await of(useClocks().send())
  expect(got.map(({ events }) => events.length)).toEqual([200, 50])
  expect(await unsent('run-c')).toBe(0)
})
const runLogged = async (run: string, seq: number) => {
  const written = runLog.append(run, {
    id: `c${String(seq).padStart(3, '0')}`,
    seq,
    device: 'tablet',
    at: 1000 + seq,
    kind: 'next',
    step: 0,
  })
  await jest.advanceTimersByTimeAsync(1)
  await written
}
