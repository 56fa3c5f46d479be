import { api } from '@selvrin/core/contract'
import type { CallError } from './call'
import { call, onSignedOut } from './call'

type Sent = { url: string; method: string; key: string | undefined; body: string | undefined }
let sent: Sent[]
let answer: () => Promise<unknown>
const ok = (body: unknown, status = 200) => Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) })

beforeEach(() => {
  sent = []
  answer = () => ok({ rows: [], after: null })
  globalThis.fetch = ((url: string, options: { method: string; headers?: Record<string, string>; body?: string }) => {
    sent.push({ url, method: options.method, key: options.headers?.['idempotency-key'], body: options.body })
    return answer()
  }) as never
})
const pour = () => call(api.bottle.pour, { params: { id: 'a/b' }, body: { entryId: 'e', kind: 'pour-out', ml: 5 } as never })
const caught = async (work: () => Promise<unknown>): Promise<CallError> => {
  try {
    await work()
  } catch (error) {
    return error as CallError
  }
  throw new Error('it was not refused')
}

test('fills in the address, asks in the query, and sends no key to read', async () => {
  await call(api.bottle.list, { query: { limit: 5 } })
  expect(sent[0]).toEqual({ url: '/api/bottles?limit=5', method: 'GET', key: undefined, body: undefined })
  await pour()
  expect(sent[1]).toMatchObject({ url: '/api/bottles/a%2Fb/entries', method: 'POST' })
})

test('a write whose answer never came keeps its key when it is tried again; answered ones get new keys', async () => {
  answer = () => Promise.reject(new TypeError('no network'))
  const lost = await caught(pour)
  expect([lost.offline, lost.message]).toEqual([true, expect.stringContaining('try again')])
  answer = () => ok({})
  await pour()
  await pour()
  expect(sent[0]?.key).toMatch(/^[\w-]{8,80}$/)
  expect(sent[1]?.key).toBe(sent[0]?.key)
  expect(sent[2]?.key).not.toBe(sent[0]?.key)
})

test('a refusal is its sentence, with what the thing is now', async () => {
  answer = () => ok({ code: 'stale', message: 'Someone changed this.', current: { version: 2 } }, 409)
  const refused = await caught(pour)
  expect([refused.status, refused.message, refused.problem.current]).toEqual([409, 'Someone changed this.', { version: 2 }])
})

test('an answer that is no JSON is said to be one, and a lost session is told once asked for', async () => {
  answer = () => Promise.resolve({ ok: false, status: 502, json: () => Promise.reject(new SyntaxError()) })
  expect((await caught(pour)).message).toContain('Try again')
  let told = 0
  onSignedOut(() => void told++)
  answer = () => ok({ code: 'signed-out', message: 'Sign in first.' }, 401)
  await caught(pour)
  await caught(() => call(api.session.signIn, { body: { login: 'a1', password: 'x' } }))
  expect(told).toBe(1)
})

test('only a refusal of the request itself is final; a lost session, a limit or a broken server may be tried again', async () => {
  const finals = []
  for (const status of [400, 403, 409, 422, 401, 429, 500, 502]) {
    answer = () => ok({ code: 'x', message: 'No.' }, status)
    finals.push((await caught(pour)).final)
  }
  answer = () => Promise.reject(new TypeError('no network'))
  finals.push((await caught(pour)).final)
  expect(finals).toEqual([true, true, true, true, false, false, false, false, false])
})

/** A server that never answers, and lets go when it is told to. */
const never = (signal: AbortSignal) =>
  new Promise((_, reject) => signal.addEventListener('abort', () => reject(new DOMException('gone', 'AbortError'))))
const hanging = () => {
  globalThis.fetch = ((_url: string, { signal, headers }: { signal: AbortSignal; headers?: Record<string, string> }) => {
    sent.push({ url: '', method: '', key: headers?.['idempotency-key'], body: undefined })
    return never(signal)
  }) as never
}

test('an answer that does not come is not waited for for ever, and the same write tried again counts once', async () => {
  hanging()
  const write = () => call(api.bottle.pour, { params: { id: 'b' }, body: { entryId: 'slow' } as never, waitMs: 20 })
  const late = await caught(write)
  expect([late.problem.code, late.offline, late.final]).toEqual(['slow', true, false])
  await caught(write)
  expect(sent[1]?.key).toBe(sent[0]?.key)
  // one that breaks off in the middle is no answer either
  globalThis.fetch = ((_url: string, { signal }: { signal: AbortSignal }) =>
    Promise.resolve({ ok: true, status: 200, json: () => never(signal) })) as never
  expect((await caught(write)).problem.code).toBe('slow')
})

test('what nobody waits for any more ends at once, and is no lost connection', async () => {
  hanging()
  const wanted = new AbortController()
  const asked = call(api.bottle.list, { signal: wanted.signal })
  wanted.abort()
  await expect(asked).rejects.toMatchObject({ name: 'AbortError' })
  await expect(call(api.bottle.list, { signal: wanted.signal })).rejects.toMatchObject({ name: 'AbortError' })
  expect(sent).toHaveLength(1)
})

test('an answer that breaks off in the middle never came: the same write tried again counts once', async () => {
  answer = () => Promise.resolve({ ok: true, status: 200, json: () => Promise.reject(new TypeError('terminated')) })
  expect((await caught(pour)).offline).toBe(true)
  answer = () => ok({})
  await pour()
  expect(sent[1]?.key).toBe(sent[0]?.key)
})
