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
