import type * as Live from './live'
import { openStream, type Said } from './stream'

/** The browser's event source, as far as a stream uses it. */
class Source {
  static made: Source[] = []
  readonly CLOSED = 2
  readyState = 0
  closed = false
  onopen: () => void = () => undefined
  onerror: () => void = () => undefined
  onmessage: (event: { data: string }) => void = () => undefined
  heard = new Map<string, (event: { data: string }) => void>()
  constructor(readonly url: string) {
    Source.made.push(this)
  }
  addEventListener(name: string, listener: (event: { data: string }) => void): void {
    this.heard.set(name, listener)
  }
  close(): void {
    this.closed = true
  }
}
const newest = () => Source.made.at(-1) as Source
let said: Said[]
let close: () => void
beforeEach(() => {
  jest.useFakeTimers()
  Source.made = []
  said = []
  Object.assign(globalThis, { EventSource: Source })
  close = openStream((one) => said.push(one))
})
afterEach(() => jest.useRealTimers())

test('what comes in is passed on by its kind', () => {
  newest().onopen()
  newest().onmessage({ data: '{"subject":"bottle"}' })
  newest().heard.get('reading')?.({ data: '{"g":1}' })
  newest().heard.get('again')?.({ data: '{}' })
  expect(said).toEqual([
    { what: 'open' },
    { what: 'event', data: '{"subject":"bottle"}' },
    { what: 'reading', data: '{"g":1}' },
    { what: 'again' },
  ])
})

test('what could not be heard is asked for again, and nothing that could', () => {
  close()
  Object.assign(globalThis, { addEventListener: () => undefined })
  const { closeLive, connected, onChange, openLive } = jest.requireActual<typeof Live>('./live')
  const told: unknown[] = []
  onChange((event) => told.push(event))
  const asksAgain = (): boolean => told.splice(0).includes('all')
  openLive('one')
  newest().onopen()
  expect(asksAgain()).toBe(false)
  // lost and back
  newest().onerror()
  expect(connected.value).toBe(false)
  newest().onopen()
  expect([connected.value, asksAgain()]).toEqual([true, true])
  // signed out and in again: another stream, and nobody heard what came between
  closeLive()
  openLive('one')
  expect(asksAgain()).toBe(false)
  newest().onopen()
  expect(asksAgain()).toBe(true)
  // a stream of other tabs that is begun anew
  newest().onopen()
  expect(asksAgain()).toBe(true)
  // a stream that could not be had at first
  closeLive()
  openLive('one')
  newest().onerror()
  newest().onopen()
  expect(asksAgain()).toBe(true)
  closeLive()
})

test('where the browser gives up it is opened anew, and not after it was closed', () => {
  jest.spyOn(Math, 'random').mockReturnValue(1)
  newest().readyState = 2
  newest().onerror()
  jest.advanceTimersByTime(499)
  expect(Source.made).toHaveLength(1)
  jest.advanceTimersByTime(1)
  expect([Source.made.length, newest().url]).toEqual([2, '/api/events'])
  // refused once more: it waits twice as long
  newest().readyState = 2
  newest().onerror()
  jest.advanceTimersByTime(999)
  expect(Source.made).toHaveLength(2)
  jest.advanceTimersByTime(1)
  expect(Source.made).toHaveLength(3)
  newest().onopen()
  newest().readyState = 2
  newest().onerror()
  close()
  jest.advanceTimersByTime(60_000)
  expect([Source.made.length, newest().closed]).toEqual([3, true])
})
