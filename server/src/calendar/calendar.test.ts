import ICAL from 'ical.js'
import { inspect } from 'node:util'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [ilse, tilda, nobody]: Caller[] = []
beforeAll(async () => {
  house = await testHouse('demo', undefined, { evening: true })
  ;[ilse, tilda, nobody] = [await house.as('ilse'), await house.as('tilda'), await house.as(null)]
}, 60_000)
afterAll(() => house.close())

/** A calendar as another parser reads it; it refuses what is none. */
function read(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as never)
  expect([calendar.name, calendar.getFirstPropertyValue('version')]).toEqual(['vcalendar', '2.0'])
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))
  for (const one of events) expect([one.uid, one.summary, one.startDate].every(Boolean)).toBe(true)
  expect(new Set(events.map((one) => one.uid)).size).toBe(events.length)
  return events.map(({ uid, summary, startDate, endDate, sequence }) => ({
    ...{ uid, summary, sequence, whole: startDate.isDate },
    ...{
      from: startDate.isDate ? startDate.toString() : startDate.toUnixTime() * 1000,
      until: endDate.isDate ? '' : endDate.toUnixTime() * 1000,
    },
  }))
}
const fetched = async (token: string) => nobody!.send('GET', `/api/calendar/${token}`)
const subscribe = async (who: Caller, whose = 'mine') =>
  (await who.send('POST', '/api/calendars', { id: uuid(), name: 'my phone', whose })).body as { token: string; key: { id: string } }
const textOf = (body: unknown): string => (body as { text: string }).text

test('a member’s calendar has their own films where the plan has them, and the day they were promised for; nobody else’s', async () => {
  const planned = await house.one<{ id: string; number: number; begins_at: number; hangs_at: number }>(
    `select o.id, o.number, o.begins_at, o.hangs_at from film_order o join person p on p.id = o.member_id where p.login = 'tilda' and state = 'planned' and begins_at is not null limit 1`,
  )
  await house.sql(
    `update film_order set promised_for = '2030-05-06' where id = (select o.id from film_order o join person p on p.id = o.member_id where p.login = 'tilda' and state = 'waiting' limit 1) returning id`,
  )
  const { token } = await subscribe(tilda!)
  const { body, headers } = await fetched(token)
  expect(headers.get('content-type')).toContain('text/calendar')
  const events = read(textOf(body))
  expect(events.find((one) => one.uid === `order-${planned?.id}@selvrin`)).toMatchObject({
    summary: `Order ${planned?.number} in the tank`,
    ...{ from: planned?.begins_at, until: planned?.hangs_at, whole: false },
  })
  const mine = await house.sql<{ id: string }>(`select o.id from film_order o join person p on p.id = o.member_id where p.login = 'tilda'`)
  const ids = new Set(mine.map((one) => `order-${one.id}@selvrin`))
  expect(events.filter((one) => one.uid.startsWith('order-')).every((one) => ids.has(one.uid))).toBe(true)
  const promised = await house.one<{ id: string }>(`select id from film_order where promised_for = '2030-05-06'`)
  if (promised) expect(events.find((one) => one.uid === `order-${promised.id}@selvrin`)).toMatchObject({ whole: true, from: '2030-05-06' })
  // an address may end like a file's name
  expect(read(textOf((await fetched(`${token}.ics`)).body))).toEqual(events)
})

test('what is moved is the same event, in a later version', async () => {
  const { token } = await subscribe(tilda!)
  const before = read(textOf((await fetched(token)).body))
  await house.sql(
    `update film_order set begins_at = begins_at + interval '10 minutes', version = version + 1 where id = (select o.id from film_order o join person p on p.id = o.member_id where p.login = 'tilda' and state = 'planned' and begins_at is not null limit 1) returning id`,
  )
  const after = read(textOf((await fetched(token)).body))
  const moved = after.filter((one) => before.find((old) => old.uid === one.uid)?.from !== one.from)
  expect(moved.length).toBe(1)
  const old = before.find((one) => one.uid === moved[0]?.uid)
  expect([Number(moved[0]?.from) - Number(old?.from), (moved[0]?.sequence ?? 0) - (old?.sequence ?? 0)]).toEqual([600_000, 1])
})

test('the darkroom’s calendar has its evenings and closures; names of 120 signs and line breaks do not break it', async () => {
  const { version, ...room } = (await ilse!.send('GET', '/api/room')).body as { version: number }
  const why = `${'floor; paint, and “quotes” \\ '.repeat(4)}end`.slice(0, 118)
  await ilse!.send('PUT', '/api/room', { version, ...room, closures: [{ from: '2030-02-27', until: '2030-03-01', why }] })
  const { body } = await tilda!.send('GET', '/api/calendars/file?whose=darkroom')
  const events = read(textOf(body))
  expect(events.filter((one) => one.summary === `Closed: ${why}`).map((one) => one.from)).toEqual([
    '2030-02-27',
    '2030-02-28',
    '2030-03-01',
  ])
  expect(events.filter((one) => one.summary === 'Darkroom evening').length).toBeGreaterThan(0)
})

test('an address is shown once, opens nothing once it is revoked or its person gone, and nobody revokes another’s', async () => {
  const { token, key } = await subscribe(tilda!)
  expect(JSON.stringify(await house.sql('select * from calendar_key'))).not.toContain(token)
  expect(JSON.stringify(await house.sql('select * from idempotency'))).not.toContain(token)
  expect(JSON.stringify((await tilda!.send('GET', '/api/calendars')).body)).not.toContain(token)
  expect((await ilse!.send('POST', `/api/calendars/${key.id}/revoke`, {})).status).toBe(404)
  expect((await fetched(token)).status).toBe(200)
  expect((await tilda!.send('POST', `/api/calendars/${key.id}/revoke`, {})).status).toBe(200)
  expect([(await fetched(token)).status, (await fetched(token)).body.code]).toEqual([404, 'no-key'])
  expect((await fetched('x'.repeat(43))).status).toBe(404)
  const other = await subscribe(tilda!)
  await house.sql(`update person set active = false, version = version + 1 where login = 'tilda' returning id`)
  expect((await fetched(other.token)).status).toBe(404)
  await house.sql(`update person set active = true, version = version + 1 where login = 'tilda' returning id`)
})

test('an address stands in no log, not even where the server breaks', async () => {
  const said: string[] = []
  const spies = (['log', 'error', 'warn', 'info'] as const).map((how) =>
    jest.spyOn(console, how).mockImplementation((...all: unknown[]) => void said.push(inspect(all, { depth: 9 }))),
  )
  const { token } = await subscribe(tilda!)
  const wall = (await ilse!.send('POST', '/api/walls', { id: uuid(), name: 'by the sink' })).body as { token: string }
  const rename = (table: string, from: string, to: string) => house.sql(`alter table ${table} rename column ${from} to ${to}`)
  const tables = ['calendar_key', 'wall_key']
  for (const table of tables) await rename(table, 'token_hash', 'was')
  const answers = [await fetched(token), await nobody!.send('GET', `/api/wall/${wall.token}`)]
  for (const table of tables) await rename(table, 'was', 'token_hash')
  for (const spy of spies) spy.mockRestore()
  expect(answers.map((one) => one.status)).toEqual([500, 500])
  // what broke is said, the key is not
  expect(said.join()).toContain('token_hash')
  for (const key of [token, wall.token]) expect(said.join()).not.toContain(key)
})
