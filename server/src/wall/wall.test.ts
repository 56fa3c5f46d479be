import type { Wall } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [ilse, tilda, nobody]: Caller[] = []
beforeAll(async () => {
  house = await testHouse('demo', undefined, { evening: true })
  ;[ilse, tilda, nobody] = [await house.as('ilse'), await house.as('tilda'), await house.as(null)]
}, 60_000)
afterAll(() => house.close())

const made = async () =>
  (await ilse!.send('POST', '/api/walls', { id: uuid(), name: 'by the sink' })).body as { token: string; key: { id: string } }

test('whoever has the key sees the wall and nothing else, until it is revoked', async () => {
  const { token, key } = await made()
  const { status, body } = await nobody!.send('GET', `/api/wall/${token}`)
  const wall = body as unknown as Wall
  expect([status, wall.darkroom, wall.jugs.length > 5, wall.times.length > 0, wall.next.length > 0]).toEqual([
    200,
    'Tidewheel Darkroom',
    true,
    true,
    true,
  ])
  expect(JSON.stringify(body)).not.toMatch(/passwordHash|token|login/)
  expect((await nobody!.send('GET', '/api/bottles', undefined, { 'x-wall': token })).status).toBe(401)
  expect((await nobody!.send('GET', `/api/wall/${'x'.repeat(43)}`)).body.code).toBe('no-key')
  // only what it comes to is kept
  expect(await house.sql('select 1 from wall_key where token_hash = $1', [token])).toEqual([])
  await ilse!.send('POST', `/api/walls/${key.id}/revoke`, {})
  const gone = await nobody!.send('GET', `/api/wall/${token}`)
  expect([gone.status, gone.body.code]).toEqual([404, 'no-key'])
})

test('members make no keys', async () => {
  expect((await tilda!.send('POST', '/api/walls', { id: uuid(), name: 'mine' })).status).toBe(403)
  expect((await tilda!.send('GET', '/api/walls')).status).toBe(403)
})

test('a screen is told that something changed within a second, and not what', async () => {
  const { token } = await made()
  const ending = new AbortController()
  const stream = await fetch(`${house.url}/api/wall/${token}/events`, { signal: ending.signal })
  expect(stream.headers.get('content-type')).toBe('text/event-stream')
  const reader = stream.body!.getReader()
  const heard = (async () => {
    let text = ''
    while (!text.includes('changed')) text += Buffer.from((await reader.read()).value ?? []).toString()
    return text
  })()
  await house.sql('update darkroom set version = version + 1 returning version')
  const text = await heard
  expect(text.replace(/retry: 1000|: still here|\s/g, '')).toBe('data:changed')
  ending.abort()
  expect((await fetch(`${house.url}/api/wall/${'x'.repeat(43)}/events`)).status).toBe(404)
})
