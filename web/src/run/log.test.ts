import type { RunEvent } from '@selvrin/core'

// what IndexedDB does on this device: 'blocked' refuses, 'mute' never answers
let storage: 'blocked' | 'mute' = 'blocked'
jest.mock('idb', () => ({
  openDB: () => (storage === 'blocked' ? Promise.reject(new Error('SecurityError')) : new Promise(() => undefined)),
}))
import { keepsNothing, runLog } from './log'

const event = (id: string): RunEvent => ({ id, kind: 'next', at: 0, step: 0 }) as unknown as RunEvent

test('where storage is blocked the clock’s log goes on in memory, says so, and is sent', async () => {
  await runLog.append('run', event('a'))
  await runLog.append('run', event('b'))
  expect(keepsNothing.value).toBe(true)
  expect((await runLog.of('run')).map((one) => one.id)).toEqual(['a', 'b'])
  expect(await runLog.of('another')).toEqual([])
  expect((await runLog.unsent()).byRun.get('run')?.map((one) => one.id)).toEqual(['a', 'b'])
  await runLog.markSent(['a'])
  expect((await runLog.unsent()).byRun.get('run')?.map((one) => one.id)).toEqual(['b'])
  await runLog.markRefused(['b'])
  expect((await runLog.unsent()).byRun.size).toBe(0)
  expect((await runLog.of('run')).map((one) => one.id)).toEqual(['b'])
})

test('storage that never answers does not stop the clock', async () => {
  storage = 'mute'
  jest.useFakeTimers()
  const written = runLog.append('mute', event('c'))
  await jest.advanceTimersByTimeAsync(3000)
  await written
  const read = runLog.of('mute')
  await jest.advanceTimersByTimeAsync(3000)
  expect((await read).map((one) => one.id)).toEqual(['c'])
  jest.useRealTimers()
})
