import { arrangeUntil, darkroomOf, eveningAsIs, loadsFor, withPlaces, type EveningBody, type EveningHouse } from '@selvrin/core'
import type { Evening, EveningPage, FilmOrder } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { catalogueOf } from '../chemical/chemistry'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [ilse, odo, tilda]: Caller[] = []
let id = ''
const ids: Record<string, string> = {}
beforeAll(async () => {
  house = await testHouse('demo', undefined, { evening: true })
  ;[ilse, odo, tilda] = [await house.as('ilse'), await house.as('odo'), await house.as('tilda')]
  for (const one of await house.sql<{ login: string; id: string }>('select login, id from person')) ids[one.login] = one.id
  id = ((await ilse.send('GET', '/api/evenings')).body.rows?.[0] as { id: string }).id
}, 60_000)
afterAll(() => house.close())

const page = async (who = ilse!): Promise<EveningPage> => (await who.send('GET', `/api/evenings/${id}`)).body as unknown as EveningPage
const said = ({ status, body }: Answer) => [status, body.code]
const put = (who: Caller, { version }: Pick<Evening, 'version'>, body: EveningBody, what = 'moved') =>
  who.send('PUT', `/api/evenings/${id}`, { version, what, body })
const whole = async (of: EveningPage): Promise<EveningHouse> => ({ ...of.house, catalogue: await catalogueOf(house.db) })
/** The evening with everything in it arranged from the beginning. */
async function arranged(): Promise<EveningPage> {
  const now = await page()
  const stands = await whole(now)
  const body = { ...now.evening.body, loads: now.evening.body.loads.map((load) => ({ ...load, fixed: false })) }
  const plan = arrangeUntil(darkroomOf(body, stands, now.runs, { now: house.now() }), { seed: 1, rounds: 5 })
  const answer = await put(ilse!, now.evening, withPlaces(body, plan, stands.zone), 'arranged')
  expect(answer.status).toBe(200)
  return page()
}
const ordersOf = async () =>
  Object.fromEntries(
    (await house.sql<{ id: string; state: string; at: Date | null }>('select id, state, begins_at as at from film_order')).map((one) => [
      one.id,
      one,
    ]),
  )

test('the demo’s evening holds as it stands, with two on duty and some still without a place', async () => {
  const now = await page()
  const asIs = eveningAsIs(now.evening.body, await whole(now), now.runs, house.now())
  expect(asIs.breaches).toEqual([])
  expect(now.evening.body.people).toHaveLength(2)
  expect(asIs.rota.placed.length).toBeGreaterThan(4)
  expect(now.evening.body.loads.filter((load) => load.place === null).length).toBeGreaterThan(0)
  // black-and-white at two temperatures, colour negative, slide
  const named = now.house.processes.map(({ versionId, body }) => [versionId, body.name] as const)
  const asked = now.evening.body.loads.map(
    ({ request }) => `${new Map(named).get(request.processVersionId)?.split(',')[0]} ${Math.round(request.temperatureC)}`,
  )
  expect([...new Set(asked)].sort()).toEqual([
    'Black-and-white negative 20',
    'Black-and-white negative 24',
    'Colour negative process 38',
    'Colour slide process 38',
  ])
})

test('an arrangement is taken, every order says when it is its turn, and its owner is told once', async () => {
  const now = await arranged()
  const orders = await ordersOf()
  const placed = now.evening.body.loads.filter((load) => load.place !== null)
  for (const load of placed)
    for (const order of load.orders) expect([orders[order]?.state, orders[order]?.at !== null]).toEqual(['planned', true])
  const before = await house.sql<{ id: string; version: number }>('select id, version from film_order order by id')
  // the same once more moves nobody
  expect((await put(ilse!, now.evening, now.evening.body, 'arranged')).status).toBe(200)
  expect(await house.sql('select id, version from film_order order by id')).toEqual(before)
  const mine = ((await tilda!.send('GET', '/api/orders')).body.rows as unknown as FilmOrder[]).filter((one) => one.state === 'planned')
  expect(mine.length).toBeGreaterThan(0)
  const notices = async () =>
    (
      await house.sql<{ text: string }>(`select text from notice where person_id = $1 and order_id is not null and read_at is null`, [
        ids.tilda,
      ])
    ).map((one) => one.text)
  const told = await notices()
  expect(told.length).toBeGreaterThan(0)
  expect(told[0]).toMatch(/^Order \d+, 1 × .*: into the tank \w{3} \d+ \w{3}, \d\d:\d\d, hangs about \d\d:\d\d/)
  // moved again before it was seen: one notice an order, which says the newest
  await arranged()
  expect((await notices()).length).toBe(told.length)
  expect(mine.every((one) => one.member === 'Tilda Rook' && one.beginsAt !== null && (one.hangsAt ?? 0) > one.beginsAt)).toBe(true)
})

test('two who change the same evening never write over each other; what is refused changes nothing', async () => {
  const now = await page(ilse)
  const [first] = now.evening.body.loads.filter((load) => load.place !== null)
  const fixed = { ...now.evening.body, loads: now.evening.body.loads.map((load) => (load === first ? { ...load, fixed: true } : load)) }
  expect((await put(ilse!, now.evening, fixed, 'fixed')).status).toBe(200)
  const late = await put(odo!, now.evening, now.evening.body)
  expect(said(late)).toEqual([409, 'stale'])
  expect((late.body.current as unknown as Evening).body.loads.find((load) => load.id === first?.id)?.fixed).toBe(true)
  const current = (await page()).evening
  const early = {
    ...current.body,
    loads: current.body.loads.map((load) =>
      load.id === first?.id ? { ...load, place: { ...load.place!, startAt: current.body.opensAt - 60_000 } } : load,
    ),
  }
  expect(said(await put(odo!, current, early))).toEqual([422, 'rota-meets'])
  expect((await page()).evening).toEqual(current)
  // taken back it is as it was
  const back = (await odo!.send('POST', `/api/evenings/${id}/undo`, { version: current.version })).body as unknown as Evening
  expect(back.body).toEqual(now.evening.body)
  expect(back.version).toBe(current.version + 1)
})

test('an order that is changed or withdrawn stands against its load, which comes out of the evening', async () => {
  const now = await page()
  const load = now.evening.body.loads.find((one) => one.orders.length === 1 && one.place !== null)!
  const order = now.orders.find((one) => one.id === load.orders[0])!
  await ilse!.send('POST', `/api/orders/${order.id}/withdraw`, { wishVersion: order.wishVersion, why: 'takes it home' })
  expect(said(await put(ilse!, now.evening, now.evening.body))).toEqual([409, 'order-closed'])
  const without = { ...now.evening.body, loads: now.evening.body.loads.filter((one) => one.id !== load.id) }
  expect((await put(ilse!, now.evening, without, 'taken-out')).status).toBe(200)
})

test('a load goes to another evening, and is in one of them only', async () => {
  const now = await page()
  const other = uuid()
  const { opensAt, closesAt, people } = now.evening.body
  const week = 7 * 86_400_000
  const made = await ilse!.send('POST', '/api/evenings', {
    id: other,
    day: '2099-01-05',
    opensAt: opensAt + week,
    closesAt: closesAt + week,
    people: people.map((one) => ({ ...one, fromAt: one.fromAt + week, untilAt: one.untilAt + week, rest: null })),
  })
  expect(made.status).toBe(200)
  const load = now.evening.body.loads.find((one) => one.place !== null)!
  const sent = await ilse!.send('POST', `/api/evenings/${id}/loads/${load.id}/send`, { version: now.evening.version, to: other })
  expect(sent.status).toBe(200)
  const there = ((await ilse!.send('GET', `/api/evenings/${other}`)).body as unknown as EveningPage).evening
  expect(there.body.loads.map((one) => [one.id, one.place])).toEqual([[load.id, null]])
  const orders = await ordersOf()
  for (const order of load.orders) expect([orders[order]?.state, orders[order]?.at]).toEqual(['planned', null])
  // what was taken back here would be in both
  const back = await ilse!.send('POST', `/api/evenings/${id}/undo`, { version: (await page()).evening.version })
  expect(said(back)).toEqual([409, 'order-elsewhere'])
  const home = await ilse!.send('POST', `/api/evenings/${other}/loads/${load.id}/send`, { version: there.version, to: id })
  expect(home.status).toBe(200)
  await arranged()
})

test('a load becomes its run: its films know their order, it stays where it is, and given up they lie in the rack again', async () => {
  const now = await page()
  const load = now.evening.body.loads.find((one) => one.place !== null && one.request.films[0]?.film === 'Millrace 400')!
  const begin = () => ilse!.send('POST', `/api/evenings/${id}/loads/${load.id}/begin`, { version: now.evening.version })
  const begun = await begin()
  expect([begun.status, begun.body.runId]).toEqual([200, load.id])
  // twice is once
  expect((await begin()).body.runId).toBe(load.id)
  expect(await house.sql('select order_id from roll where run_id = $1 order by reel', [load.id])).toEqual(
    load.orders.map((order_id) => ({ order_id })),
  )
  expect((await ordersOf())[load.orders[0] ?? '']?.state).toBe('begun')
  const after = await page()
  expect(after.runs.map((run) => [run.id, run.state])).toContainEqual([load.id, 'planned'])
  expect(
    said(await put(ilse!, after.evening, { ...after.evening.body, loads: after.evening.body.loads.filter((one) => one.id !== load.id) })),
  ).toEqual([409, 'load-begun'])
  const run = (await ilse!.send('GET', `/api/runs/${load.id}`)).body
  await ilse!.send('POST', `/api/runs/${load.id}/abandon`, { version: run.version, at: house.now(), reason: 'the reel is broken' })
  const [order] = await house.sql<{ state: string; rack: number | null }>('select state, rack from film_order where id = $1', [
    load.orders[0],
  ])
  expect([order?.state, order?.rack !== null]).toEqual(['planned', true])
})

test('what is out of order is no place for a load; a named check brings it back', async () => {
  const { house: stands } = await page()
  const tank = stands.vessels[1]!
  const fault = (
    await tilda!.send('POST', '/api/faults', { id: uuid(), thing: 'vessel', thingId: tank.id, name: tank.name, what: 'its lid leaks' })
  ).body as { id: string; version: number; state: string }
  expect(fault.state).toBe('doubt')
  expect((await page()).house.out).toEqual([])
  expect((await tilda!.send('POST', `/api/faults/${fault.id}/judge`, { version: 1, state: 'out' })).status).toBe(403)
  await ilse!.send('POST', `/api/faults/${fault.id}/judge`, { version: fault.version, state: 'out' })
  expect((await page()).house.out).toEqual([tank.id])
  expect(said(await ilse!.send('POST', `/api/faults/${fault.id}/close`, { version: fault.version, check: 'filled and turned' }))).toEqual([
    409,
    'stale',
  ])
  await ilse!.send('POST', `/api/faults/${fault.id}/close`, { version: fault.version + 1, check: 'filled and turned over for a minute' })
  expect((await page()).house.out).toEqual([])
  expect(said(await ilse!.send('POST', `/api/faults/${fault.id}/close`, { version: fault.version + 2, check: 'once more' }))).toEqual([
    409,
    'closed',
  ])
})

test('a day has one evening; tasks are ticked off once', async () => {
  const { evening } = await page()
  const { opensAt, closesAt, people } = evening.body
  expect(said(await ilse!.send('POST', '/api/evenings', { id: uuid(), day: evening.day, opensAt, closesAt, people }))).toEqual([
    409,
    'exists',
  ])
  const tick = (done: boolean) => ilse!.send('PUT', `/api/evenings/${id}/ticks`, { task: 'heat tub', done })
  await tick(true)
  await tick(true)
  expect((await page()).ticked).toEqual(['heat tub'])
  await tick(false)
  expect((await page()).ticked).toEqual([])
})

test('the room is said once and changed by version', async () => {
  const { version, ...room } = (await ilse!.send('GET', '/api/room')).body as Record<string, unknown> & { version: number }
  const changed = await ilse!.send('PUT', '/api/room', { version, ...room, closets: 2 })
  expect([changed.status, changed.body.closets]).toEqual([200, 2])
  expect(said(await odo!.send('PUT', '/api/room', { version, ...room, closets: 3 }))).toEqual([409, 'stale'])
  expect((await tilda!.send('GET', '/api/room')).status).toBe(403)
})

test('who leaves is in no evening any more, by nothing that is kept of one', async () => {
  const left = uuid()
  await house.sql(
    `insert into person (id, name, login, role, created_at) values ($1, 'Sedge Mill', 'sedge', 'member', now()) returning id`,
    [left],
  )
  const now = await page()
  const { body } = now.evening
  const people = [...body.people, { personId: left, fromAt: body.opensAt, untilAt: body.opensAt + 3_600_000, rest: null }]
  expect((await put(ilse!, now.evening, { ...body, people }, 'people')).status).toBe(200)
  const again = await page()
  expect((await put(ilse!, again.evening, { ...again.evening.body, people: body.people }, 'people')).status).toBe(200)
  const { version } = (await house.one<{ version: number }>('select version from person where id = $1', [left]))!
  const gone = await ilse!.send('DELETE', `/api/people/${left}`, { version })
  expect(gone.status).toBe(200)
  const kept = await house.sql(
    `select 1 from evening where body::text like $1 union all select 1 from evening_change where before::text like $1`,
    [`%${left}%`],
  )
  expect(kept).toEqual([])
  expect((await page()).evening.body.loads.length).toBe(body.loads.length)
})

test('however many orders wait, the page is told of the most pressing, and the others come in by their names', async () => {
  const before = await page()
  const many = 150
  await house.sql(
    `insert into film_order
     select (jsonb_populate_record(one, jsonb_build_object('id', overlay(gen_random_uuid()::text placing '7' from 15), 'number', 5000 + i, 'rack', null, 'state', 'waiting',
       'wanted_by', now() + i * interval '1 hour', 'begins_at', null, 'hangs_at', null, 'cost', null, 'earliest', null))).*
     from film_order one, generate_series(1, $1::int) i
     where one.id = (select id from film_order where state = 'waiting' and member_id is not null and film = 'Millrace 400' and ei = 400 and push_stops = 0
                     order by number limit 1) returning id`,
    [many],
  )
  const now = await page()
  const waiting = now.orders.filter((order) => order.state === 'waiting')
  expect([now.waiting - before.waiting, waiting.length]).toEqual([many, 100])
  const last = ((await ilse!.send('GET', `/api/orders?find=${5000 + many}`)).body.rows as unknown as FilmOrder[])[0]!
  expect(waiting.map((one) => one.id)).not.toContain(last.id)
  const { loads, left } = loadsFor([last], now.evening.body, await whole(now), uuid)
  expect(left).toEqual([])
  const added = await put(ilse!, now.evening, { ...now.evening.body, loads: [...now.evening.body.loads, ...loads] }, 'put-in')
  expect(added.status).toBe(200)
  expect((await page()).orders.find((order) => order.id === last.id)?.state).toBe('planned')
  expect((await ilse!.send('POST', `/api/evenings/${id}/undo`, { version: (await page()).evening.version })).status).toBe(200)
  expect((await ilse!.send('GET', `/api/orders/${last.id}`)).body.state).toBe('waiting')
})
