import { api, type LiveEvent } from '@selvrin/core/contract'
import { reactive } from 'vue'
import { by } from './patch'
import type { listStore as ListStore } from './rows'

type Listener = (event: LiveEvent | 'all') => void
const listeners = new Set<Listener>()
const asked: string[] = []
let answer: (url: string) => Promise<unknown>
jest.mock('./live', () => ({
  connected: jest.requireActual<{ ref: (value: boolean) => object }>('vue').ref(true),
  onChange: (listener: Listener) => (listeners.add(listener), () => listeners.delete(listener)),
}))

// the store library comes as a module Jest does not read; what it does here is to keep one state
jest.mock('pinia', () => ({ defineStore: (_name: string, setup: () => object) => () => reactive(setup()) }))

const { listStore } = jest.requireActual<{ listStore: typeof ListStore }>('./rows')
const page = (rows: { id: string }[], after: string | null = null) =>
  Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ rows, after }) })
const tell = (event: LiveEvent | 'all') => listeners.forEach((listener) => listener(event))
const moment = () => new Promise((resolve) => setTimeout(resolve, 30))
const jars = () => listStore('jars under test', api.jar.list, { subject: 'jar', order: by((row) => row.id), askedAfter: ['rule'] })()

beforeEach(() => {
  listeners.clear()
  asked.length = 0
  answer = () => page([{ id: 'a' }])
  globalThis.fetch = ((url: string) => (asked.push(url), answer(url))) as never
  Object.assign(globalThis, { window: globalThis })
})

test('fetches every page of the list, once, however many ask', async () => {
  answer = (url) => (url.includes('after=b') ? page([{ id: 'c' }]) : page([{ id: 'a' }, { id: 'b' }], 'b'))
  const store = jars()
  await Promise.all([store.load(), store.load()])
  await store.load()
  expect(store.rows.map((row) => row.id)).toEqual(['a', 'b', 'c'])
  expect(asked).toEqual(['/api/jars', '/api/jars?after=b'])
})

test('takes a row that was told into its place, and asks for nothing', async () => {
  const store = jars()
  await store.load()
  tell({ subject: 'jar', id: 'b', version: 1, row: { id: 'b' } })
  tell({ subject: 'jar', id: 'a', version: null, row: null })
  tell({ subject: 'bottle', id: 'c', version: 1, row: { id: 'c' } })
  await moment()
  expect([store.rows.map((row) => row.id), asked.length]).toEqual([['b'], 1])
})

test('a row told while the list is under way is not undone by an answer that is older', async () => {
  const store = jars()
  let come: (page: unknown) => void = () => undefined
  answer = () => new Promise((resolve) => (come = resolve))
  const loading = store.load()
  await Promise.resolve()
  tell({ subject: 'jar', id: 'a', version: 2, row: { id: 'a', lot: 'new' } })
  await moment()
  come(await page([{ id: 'a' }]))
  await loading
  expect(store.rows).toEqual([{ id: 'a', lot: 'new' }])
})

test('fetches again when a change comes without its row, once for many, and not for others', async () => {
  jest.useFakeTimers()
  const store = jars()
  await store.load()
  tell({ subject: 'bottle', id: 'x', version: 1 })
  for (const id of ['a', 'b', 'c']) tell({ subject: 'rule', id, version: 2, row: { id } })
  answer = () => page([{ id: 'new' }])
  await jest.advanceTimersByTimeAsync(500)
  expect([asked.length, store.rows.map((row) => row.id)]).toEqual([2, ['new']])
  tell('all')
  await jest.advanceTimersByTimeAsync(500)
  expect(asked.length).toBe(3)
  jest.useRealTimers()
})

test('what is shown stays while the server cannot be reached, and the reason is said', async () => {
  const store = jars()
  await store.load()
  answer = () => Promise.reject(new TypeError('no network'))
  await store.load(true)
  expect([store.rows.length, store.loaded]).toEqual([1, true])
  expect(store.problem).toMatch(/connection/)
  answer = () => page([{ id: 'a' }, { id: 'b' }])
  await store.load(true)
  expect([store.rows.length, store.problem]).toEqual([2, ''])
})

test('the answer of the last load wins, whichever comes first', async () => {
  const store = jars()
  const waiting: ((rows: { id: string }[]) => void)[] = []
  answer = () => new Promise((resolve) => waiting.push((rows) => resolve(page(rows))))
  const first = store.load()
  const second = store.load(true)
  await Promise.resolve()
  waiting[0]?.([{ id: 'old' }])
  await first
  await Promise.resolve()
  waiting[1]?.([{ id: 'new' }])
  await second
  expect(store.rows.map((row) => row.id)).toEqual(['new'])
})

test('a first load keeps trying until the server is there, and is not called loaded before', async () => {
  jest.useFakeTimers()
  const store = jars()
  answer = () => Promise.reject(new TypeError('no network'))
  const first = store.load()
  await jest.advanceTimersByTimeAsync(3000)
  expect([store.loaded, store.problem, asked.length > 1]).toEqual([false, expect.stringMatching(/connection/), true])
  answer = () => page([{ id: 'a' }])
  await jest.advanceTimersByTimeAsync(20_000)
  await first
  expect([store.loaded, store.problem, store.rows.length]).toEqual([true, '', 1])
  jest.useRealTimers()
})

test('a list that is not for this person is asked for once', async () => {
  const store = jars()
  answer = () => Promise.resolve({ ok: false, status: 403, json: () => Promise.resolve({ code: 'not-yours', message: 'Not yours.' }) })
  await store.load()
  expect([store.loaded, store.problem, asked.length]).toEqual([false, 'Not yours.', 1])
})
