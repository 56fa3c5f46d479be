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
  for (const days of [13, 13, 3]) {
    own.advance(days * 86_400_000)
    expect((await nell.send('GET', '/api/bottles')).status).toBe(200)
  }
  own.advance(2 * 86_400_000)
  expect((await nell.send('GET', '/api/bottles')).status).toBe(401)
  const idle = await own.as('nell')
  own.advance(14 * 86_400_000 + 1)
  expect((await idle.send('GET', '/api/bottles')).status).toBe(401)
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
  const huw = await house.as('huw')
  expect((await huw.send('GET', '/api/session')).body.person).toMatchObject({ login: 'huw' })
})

test('invite, set a password with the code once, change role, end the sessions, deactivate, erase', async () => {
  const ilse = await house.as('ilse')
  const id = uuid()
  const { body } = await ilse.send('POST', '/api/people', { id, name: 'Fen Marlow', login: 'fen', role: 'member' })
  const code = body.code as string
  expect(JSON.stringify(await house.sql('select * from idempotency, one_time_code'))).not.toContain(code)
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
    (await house.one<{ count: number; left: number }>(`select count(*), count(*) filter (where member_id is null) as left from roll`)) ?? {
      count: 0,
      left: 0,
    }
  const before = await films()
  const record = await ilse.send('GET', `/api/people/${otis?.id as string}/export`)
  const theirs = await house.sql('select id from roll where member_id = $1', [otis?.id])
  expect((record.body.rolls as { id: string }[]).map((roll) => roll.id).sort()).toEqual(theirs.map((roll) => roll.id).sort())
  expect(theirs).not.toEqual([])
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

test('a password that everyone tries first is refused; one’s own is changed with the present one, and ends the other sessions', async () => {
  const own = await testHouse()
  const [here, there] = [await own.as('nell'), await own.as('nell')]
  const change = (current: string, password: string) => here.send('PUT', '/api/me/password', { current, password })
  for (const weak of ['password123', 'qwertyuiop1', 'aaaaaaaaaaaa', 'nellnellnell', 'abcabcabcabc'])
    expect([weak, (await change(demoPassword, weak)).body.code]).toEqual([weak, 'weak-password'])
  expect((await change('not it at all', 'brine heron lantern')).body).toMatchObject({ code: 'wrong-password', field: 'current' })
  expect((await change(demoPassword, 'brine heron lantern')).status).toBe(200)
  expect((await here.send('GET', '/api/bottles')).status).toBe(200)
  expect((await there.send('GET', '/api/bottles')).status).toBe(401)
  await own.close()
}, 30_000)

test('two technicians who demote each other: one of them stays, and neither waits for ever', async () => {
  const own = await testHouse()
  const ilse = await own.as('ilse')
  const people = (await ilse.send('GET', '/api/people')).body.rows ?? []
  const technicians = people.filter((row) => row.role === 'technician')
  for (const one of technicians.slice(2)) await ilse.send('PUT', `/api/people/${String(one.id)}`, { version: one.version, role: 'member' })
  const two = (technicians as { id: string; login: string }[]).slice(0, 2)
  const callers = await Promise.all(two.map(({ login }) => own.as(login)))
  const waiting = async () => Number((await own.one<{ n: string }>('select count(*) as n from pg_locks where not granted'))?.n)
  for (let round = 0; round < 4; round++) {
    await own.sql(`update person set role = 'technician' where id = any($1)`, [two.map(({ id }) => id)])
    const versionOf = async (id: string) => (await own.one<{ version: number }>('select version from person where id = $1', [id]))?.version
    let both: Promise<{ status: number }>[] = []
    // both are kept before the same door until both stand there, and let in at once
    await own.db.transaction(async () => {
      await own.sql('lock table person in share mode')
      const asked = await Promise.all([...two].reverse().map(async ({ id }) => ({ id, version: await versionOf(id) })))
      both = asked.map(({ id, version }, i) =>
        (callers[i] as (typeof callers)[0]).send('PUT', `/api/people/${id}`, { version, role: 'member' }),
      )
      while ((await waiting()) < 2) await new Promise((resolve) => setTimeout(resolve, 5))
    })
    expect((await Promise.all(both)).filter(({ status }) => status === 200)).toHaveLength(1)
    expect(await own.sql(`select id from person where role = 'technician'`)).toHaveLength(1)
  }
  await own.close()
}, 30_000)

test('what is kept of a member comes out whole, and their name goes out of everything when they are erased', async () => {
  const own = await testHouse('demo', undefined, { evening: true })
  const ilse = await own.as('ilse')
  const odo = (await ilse.send('GET', '/api/people')).body.rows?.find((row) => row.login === 'odo') as {
    id: string
    version: number
    name: string
  }
  const nell = (await ilse.send('GET', '/api/people')).body.rows?.find((row) => row.login === 'nell') as { id: string }
  const out = (await ilse.send('GET', `/api/people/${nell.id}/export`)).body as unknown as {
    kept: Record<string, unknown[]>
    rolls: unknown[]
  }
  const runs = await own.sql('select distinct run_id from roll where member_id = $1', [nell.id])
  expect([out.rolls.length, out.kept['runs with their films']?.length]).toEqual([
    (await own.sql('select id from roll where member_id = $1', [nell.id])).length,
    runs.length,
  ])
  // a look at the scales that bears a name
  await own.sql(
    `insert into mix (id, formula_version_id, final_ml, started_by, started_at) select gen_random_uuid(), id, 1000, null, now() from formula_version limit 1`,
  )
  await own.sql(
    `insert into mix_event (id, mix_id, event, by_person, at) select gen_random_uuid(), id, jsonb_build_object('kind', 'checked', 'by', $1::text, 'name', $2::text, 'step', 0), $1::uuid, now() from mix limit 1`,
    [odo.id, odo.name],
  )
  expect((await ilse.send('DELETE', `/api/people/${odo.id}`, { version: odo.version })).status).toBe(200)
  const tables = await own.sql<{ name: string }>(`select tablename as name from pg_tables where schemaname = 'public'`)
  for (const { name } of tables) {
    const found = await own.sql(`select 1 from ${name} t where to_jsonb(t)::text like $1 or to_jsonb(t)::text like $2`, [
      `%${odo.name}%`,
      `%${odo.id}%`,
    ])
    expect([name, found.length]).toEqual([name, 0])
  }
  await expect(own.sql(`update mix_event set at = now()`)).rejects.toThrow(/append-only/)
  await own.close()
}, 30_000)
