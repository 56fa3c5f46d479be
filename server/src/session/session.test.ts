import { demoPassword } from '../demo/people'
import { testHouse, type TestHouse } from '../test/house'
import { v7 as uuid } from 'uuid'

let house: TestHouse
beforeAll(async () => void (house = await testHouse()), 30_000)
afterAll(() => house.close())

test('the cookie is out of scripts’ reach and not marked secure over plain http', async () => {
  const { headers } = await (await house.as(null)).send('POST', '/api/session', { login: 'ilse', password: demoPassword })
  const cookie = headers.get('set-cookie') ?? ''
  expect(cookie).toMatch(/HttpOnly/)
  expect(cookie).toMatch(/SameSite=Strict/)
  expect(cookie).not.toMatch(/Secure/)
})

test('behind a trusted proxy with https the cookie is secure, and writes are taken from the https page only', async () => {
  const own = await testHouse('demo', undefined, { trustProxy: '1' })
  const stranger = await own.as(null)
  const host = new URL(own.url).host
  const from = (origin: string) =>
    stranger.send('POST', '/api/session', { login: 'ilse', password: demoPassword }, { 'x-forwarded-proto': 'https', origin })
  const { headers, status } = await from(`https://${host}`)
  expect([status, headers.get('set-cookie')]).toEqual([200, expect.stringMatching(/Secure/)])
  expect(headers.get('strict-transport-security')).toContain('max-age')
  expect((await from(`http://${host}`)).status).toBe(403)
  await own.close()
}, 30_000)

test('a session ends after its time, and signing out ends it at once', async () => {
  const own = await testHouse()
  const [nell, pell] = [await own.as('nell'), await own.as('pell')]
  await pell.send('DELETE', '/api/session')
  expect((await pell.send('GET', '/api/bottles')).status).toBe(401)
  own.advance(29 * 86_400_000)
  expect((await nell.send('GET', '/api/bottles')).status).toBe(200)
  own.advance(2 * 86_400_000)
  expect((await nell.send('GET', '/api/bottles')).status).toBe(401)
  await own.close()
}, 30_000)

test('a one-time code is too old after a week', async () => {
  const own = await testHouse()
  const ilse = await own.as('ilse')
  const { body } = await ilse.send('POST', '/api/people', { id: uuid(), name: 'Late Comer', login: 'late', role: 'member' })
  own.advance(8 * 86_400_000)
  const late = await (await own.as(null)).send('POST', '/api/session/code', { login: 'late', code: body.code, password: demoPassword })
  expect([late.status, late.body.code]).toEqual([401, 'wrong-code'])
  await own.close()
}, 30_000)

test('wrong sign-ins are limited by name, and the right one does not count', async () => {
  const stranger = await house.as(null)
  const tries = [] as number[]
  for (let i = 0; i < 12; i++) tries.push((await stranger.send('POST', '/api/session', { login: 'corin', password: 'wrong' })).status)
  expect(tries.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => 401))
  expect(tries.at(-1)).toBe(429)
  await expect(house.as('huw')).resolves.toBeDefined()
})

test('invite, set a password with the code once, change role, end the sessions, deactivate, erase', async () => {
  const ilse = await house.as('ilse')
  const id = uuid()
  const { body } = await ilse.send('POST', '/api/people', { id, name: 'Fen Marlow', login: 'fen', role: 'member' })
  const code = body.code as string
  expect(JSON.stringify(await house.db.rows('select * from idempotency, one_time_code'))).not.toContain(code)
  const stranger = await house.as(null)
  expect((await stranger.send('POST', '/api/session/code', { login: 'fen', code, password: 'short' })).status).toBe(400)
  const entered = await stranger.send('POST', '/api/session/code', { login: 'fen', code, password: demoPassword })
  expect(entered.status).toBe(200)
  expect((await stranger.send('POST', '/api/session/code', { login: 'fen', code, password: demoPassword })).status).toBe(401)
  const fen = await house.as('fen')
  expect((await fen.send('GET', '/api/formulas')).status).toBe(403)
  const person = (await ilse.send('GET', '/api/people')).body.rows?.find((row) => row.id === id)
  const changed = await ilse.send('PUT', `/api/people/${id}`, { version: person?.version, role: 'technician' })
  expect((await fen.send('GET', '/api/formulas')).status).toBe(200)
  const stale = await ilse.send('PUT', `/api/people/${id}`, { version: person?.version, role: 'member' })
  expect([stale.status, (stale.body.current as { role: string }).role]).toEqual([409, 'technician'])
  await ilse.send('POST', `/api/people/${id}/sign-out`, {})
  expect((await fen.send('GET', '/api/bottles')).status).toBe(401)
  const off = await ilse.send('PUT', `/api/people/${id}`, { version: changed.body.version, active: false })
  await expect(house.as('fen')).rejects.toThrow('401')
  expect((await ilse.send('DELETE', `/api/people/${id}`, { version: off.body.version })).status).toBe(200)
  expect((await ilse.send('GET', `/api/people/${id}/export`)).status).toBe(404)
})

test('a member’s films stay without the name when the member is erased', async () => {
  const ilse = await house.as('ilse')
  const otis = (await ilse.send('GET', '/api/people')).body.rows?.find((row) => row.login === 'otis')
  const films = async () =>
    (await house.db.one<{ count: number; left: number }>(
      `select count(*), count(*) filter (where member_id is null) as left from roll`,
    )) ?? { count: 0, left: 0 }
  const before = await films()
  const record = await ilse.send('GET', `/api/people/${otis?.id as string}/export`)
  expect((record.body.rolls as unknown[]).length).toBeGreaterThan(0)
  expect((await ilse.send('DELETE', `/api/people/${otis?.id as string}`, { version: otis?.version })).status).toBe(200)
  expect(await films()).toEqual({ count: before.count, left: (record.body.rolls as unknown[]).length })
})

test('the last technician stays one', async () => {
  const own = await testHouse('house')
  const stranger = await own.as(null)
  expect((await stranger.send('GET', '/api/session')).body).toMatchObject({ firstVisit: true, demoSignIns: null })
  expect(
    (await stranger.send('POST', '/api/session/first', { code: 'WRONGCODE2', name: 'A', login: 'ada', password: demoPassword })).status,
  ).toBe(401)
  const first = await stranger.send('POST', '/api/session/first', {
    code: own.firstCode,
    name: 'Ada Weir',
    login: 'ada',
    password: demoPassword,
  })
  expect(first.status).toBe(200)
  expect(
    (await stranger.send('POST', '/api/session/first', { code: own.firstCode, name: 'B', login: 'ben', password: demoPassword })).status,
  ).toBe(401)
  const ada = await own.as('ada')
  const person = (first.body.person ?? {}) as { id: string; version: number }
  expect((await ada.send('PUT', `/api/people/${person.id}`, { version: person.version, role: 'member' })).body.code).toBe('last-technician')
  expect((await ada.send('GET', '/api/formulas')).status).toBe(200)
  await own.close()
})
