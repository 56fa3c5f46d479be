import { dayMs } from '@selvrin/core'
import type { EveningPage, PrintingPage, PrintPlace, Room } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [ilse, tilda, bram]: Caller[] = []
const ids: Record<string, string> = {}
beforeAll(async () => {
  house = await testHouse('demo', undefined, { evening: true })
  ;[ilse, tilda, bram] = [await house.as('ilse'), await house.as('tilda'), await house.as('bram')]
  for (const one of await house.sql<{ login: string; id: string }>('select login, id from person')) ids[one.login] = one.id
  await house.sql('delete from print_place returning id')
  // which days lie in one week depends on the day the tests run
  await changeRoom({ printing: { ...(await room()).printing, weekMinutes: 0 } })
}, 60_000)
afterAll(() => house.close())

const minute = 60_000
const said = ({ status, body }: Answer) => [status, body.code]
const page = async (who = tilda!): Promise<PrintingPage> => (await who.send('GET', '/api/printing')).body as unknown as PrintingPage
/** A day whose evening nobody has planned; one of each test's own. */
const dayNo = async (i: number) => (await page()).days[i]!
interface Wish {
  day: number
  from?: number
  until?: number
  overruled?: string | null
}
/** A place so many minutes after opening. */
async function book(who: Caller, login: string, { day, from = 0, until = 60, overruled = null }: Wish): Promise<Answer> {
  const { opensAt } = await dayNo(day)
  const times = { fromAt: opensAt + from * minute, untilAt: opensAt + until * minute }
  return who.send('POST', '/api/printing', { id: uuid(), memberId: ids[login], ...times, overruled })
}
const booked = async (...asked: Parameters<typeof book>): Promise<PrintPlace> => {
  const answer = await book(...asked)
  expect(said(answer)).toEqual([200, undefined])
  return answer.body as unknown as PrintPlace
}
const told = async (who = tilda!): Promise<string[]> =>
  ((await who.send('GET', '/api/notices')).body.rows ?? []).map((row) => row.text as string).filter((text) => text.includes('enlarger'))
const takeBack = (who: Caller, { id, version }: PrintPlace, why = '') => who.send('POST', `/api/printing/${id}/take-back`, { version, why })
const room = async (): Promise<Room> => (await ilse!.send('GET', '/api/room')).body as unknown as Room
async function changeRoom(more: Partial<Room>): Promise<Answer> {
  const { version, ...now } = await room()
  return ilse!.send('PUT', '/api/room', { version, ...now, ...more })
}
const calendarOf = async (who: Caller): Promise<string> =>
  ((await who.send('GET', '/api/calendars/file')).body as { text: string }).text.replaceAll('\r\n ', '')

test('a member books a place: others see that it is taken and not by whom, a technician sees who prints', async () => {
  const mine = await booked(tilda!, 'tilda', { day: 3 })
  expect(mine).toMatchObject({ member: 'Tilda Rook', overruled: null, day: (await dayNo(3)).day })
  const [bramSees, ilseSees] = [await page(bram!), await page(ilse!)]
  expect(bramSees.days[3]?.taken).toEqual([{ id: mine.id, fromAt: mine.fromAt, untilAt: mine.untilAt }])
  expect(bramSees.booked).toEqual([])
  expect(JSON.stringify(bramSees)).not.toContain('Tilda')
  expect(ilseSees.booked.map((one) => one.member)).toEqual(['Tilda Rook'])
  // for somebody else only a technician books, and they are told
  expect(said(await book(bram!, 'tilda', { day: 4 }))).toEqual([403, 'not-yours'])
  expect(said(await takeBack(bram!, mine))).toEqual([404, 'not-found'])
  expect(await told()).toEqual([])
  await booked(ilse!, 'tilda', { day: 4 })
  expect(await told()).toEqual([expect.stringMatching(/^A place at an enlarger is yours: \w{3} \d+ \w{3}, \d\d:00 to \d\d:00\.$/)])
})

test('whoever moves a place is looked at as if they booked it, and what was meanwhile is not written over', async () => {
  const mine = await booked(tilda!, 'tilda', { day: 5, from: 30, until: 90 })
  const move = (version: number, minutes: number) =>
    tilda!.send('PUT', `/api/printing/${mine.id}`, {
      ...{ version, overruled: null },
      ...{ fromAt: mine.fromAt + minutes * minute, untilAt: mine.untilAt + minutes * minute },
    })
  expect(said(await move(1, 17))).toEqual([409, 'print-grid'])
  expect(said(await move(1, 30))).toEqual([200, undefined])
  expect(said(await move(1, 60))).toEqual([409, 'stale'])
  expect((await page()).booked.find((one) => one.id === mine.id)?.fromAt).toBe(mine.fromAt + 30 * minute)
})

test('of two who want the last place at the same moment one has it', async () => {
  await changeRoom({ printPlaces: 1 })
  const both = await Promise.all([book(tilda!, 'tilda', { day: 6, until: 90 }), book(bram!, 'bram', { day: 6, from: 60, until: 120 })])
  expect(both.map(said).sort()).toEqual([
    [200, undefined],
    [409, 'print-places'],
  ])
  expect((await page()).days[6]?.taken).toHaveLength(1)
  await changeRoom({ printPlaces: 2 })
  // one that is out of order is given to nobody, however often it was reported
  const reports = [uuid(), uuid()]
  for (const id of reports) {
    await bram!.send('POST', '/api/faults', { id, thing: 'enlarger', thingId: null, name: 'Left enlarger', what: 'the lamp flickers' })
    expect((await ilse!.send('POST', `/api/faults/${id}/judge`, { version: 1, state: 'out' })).status).toBe(200)
  }
  expect(await page()).toMatchObject({ places: 1, outOfOrder: 1 })
  expect(said(await book(ilse!, 'bram', { day: 6, until: 120, overruled: 'a course' }))).toEqual([409, 'print-places'])
  for (const id of reports) await ilse!.send('POST', `/api/faults/${id}/close`, { version: 2, check: 'another lamp' })
  expect(await page()).toMatchObject({ places: 2, outOfOrder: 0 })
  await changeRoom({ printPlaces: 4 })
})

test('more than everybody’s share is given by a technician with a reason only', async () => {
  const long = { day: 7, until: 210 }
  const refused = await book(bram!, 'bram', { ...long, overruled: 'I want it' })
  expect(said(refused)).toEqual([409, 'print-long'])
  expect(said(await book(ilse!, 'bram', long))).toEqual([409, 'print-long'])
  expect(await booked(ilse!, 'bram', { ...long, overruled: 'prints for the show' })).toMatchObject({ overruled: 'prints for the show' })
  // a reason where none is needed is not kept as one
  expect(await booked(ilse!, 'tilda', { day: 7, overruled: 'just so' })).toMatchObject({ overruled: null })
  // what the technicians set counts from then on
  const { printing } = await room()
  await changeRoom({ printing: { ...printing, weekMinutes: 90 } })
  const { login } = (await house.one<{ login: string }>(
    `select login from person where role = 'member' and login not in ('tilda', 'bram')`,
  ))!
  await booked(ilse!, login, { day: 8 })
  expect(said(await book(ilse!, login, { day: 8, from: 60, until: 120 }))).toEqual([409, 'print-week'])
  await changeRoom({ printing: { ...printing, atOnceMinutes: 240 } })
  expect((await booked(tilda!, 'tilda', { day: 2, until: 210 })).untilAt).toBe((await dayNo(2)).opensAt + 210 * minute)
  await changeRoom({ printing })
})

test('a place is given back by whoever has it, or by a technician who says why; one that has begun ends then', async () => {
  const [first, second, third] = [
    await booked(tilda!, 'tilda', { day: 9 }),
    await booked(tilda!, 'tilda', { day: 9, from: 60, until: 120 }),
    await booked(bram!, 'bram', { day: 9, until: 120 }),
  ]
  expect((await calendarOf(tilda!)).match(new RegExp(`UID:print-${first.id}`))).not.toBeNull()
  expect((await takeBack(tilda!, first)).status).toBe(200)
  expect(said(await takeBack(tilda!, first))).toEqual([409, 'print-gone'])
  expect(await calendarOf(tilda!)).not.toContain(first.id)
  expect(said(await takeBack(ilse!, second))).toEqual([422, 'why'])
  expect((await takeBack(ilse!, second, 'the water is off')).status).toBe(200)
  expect((await told())[0]).toMatch(/^Your place at an enlarger, \w{3} \d+ \w{3}, \d\d:00 to \d\d:00, is gone: the water is off$/)
  expect((await page()).days[9]?.taken.map((one) => one.id)).toEqual([third.id])
  // half of it is used; the other half is free again
  const half = third.fromAt + 60 * minute
  await house.sql(
    `update print_place set from_at = now() - interval '1 hour', until_at = now() + interval '1 hour' where id = $1 returning id`,
    [third.id],
  )
  const ended = (await takeBack(bram!, third)).body as unknown as PrintPlace
  expect(ended.untilAt).toBeLessThan(half)
  expect(Math.abs(ended.untilAt - house.now())).toBeLessThan(2 * minute)
  const [kept] = await house.sql<{ gone: Date | null }>('select taken_back_at as gone from print_place where id = $1', [third.id])
  expect(kept?.gone).toBeNull()
})

test('who has a place on a day that is closed is told, and so is whoever is no member any more', async () => {
  const { day } = await dayNo(10)
  const mine = await booked(tilda!, 'tilda', { day: 10 })
  const other = await booked(bram!, 'bram', { day: 11 })
  const { closures } = await room()
  const closed = await changeRoom({ closures: [...closures, { from: day, until: day, why: 'floor painted' }] })
  expect(closed.body.released).toBe(1)
  expect((await told())[0]).toContain('is gone: it is closed that day (floor painted).')
  expect((await page()).booked.map((one) => one.id)).not.toContain(mine.id)
  expect((await changeRoom({ closures })).body.released).toBe(0)
  const { version } = (await house.one<{ version: number }>('select version from person where id = $1', [ids.bram]))!
  const away = await ilse!.send('PUT', `/api/people/${ids.bram}`, { version, active: false })
  expect(away.status).toBe(200)
  expect((await page(ilse!)).booked.map((one) => one.id)).not.toContain(other.id)
  expect(said(await book(ilse!, 'bram', { day: 11 }))).toEqual([422, 'member'])
  await ilse!.send('PUT', `/api/people/${ids.bram}`, { version: version + 1, active: true })
})

test('an evening takes over what is booked on its day, and neither its hours nor its film lose anybody their place', async () => {
  const { day, opensAt, closesAt } = await dayNo(12)
  const mine = await booked(tilda!, 'tilda', { day: 12 })
  const id = uuid()
  const plan = (from: number) => ilse!.send('POST', '/api/evenings', { id, day, opensAt: opensAt + from * minute, closesAt, people: [] })
  const refused = await plan(30)
  expect(said(refused)).toEqual([409, 'print-hours'])
  expect(refused.body.message).toMatch(/^Tilda Rook prints from/)
  expect((await plan(0)).status).toBe(200)
  const evening = (await ilse!.send('GET', `/api/evenings/${id}`)).body as unknown as EveningPage
  expect(evening.house.prints).toEqual([{ id: mine.id, memberId: ids.tilda, fromAt: mine.fromAt, untilAt: mine.untilAt }])
  expect(evening.people[ids.tilda!]).toBe('Tilda Rook')
  const { version, body } = evening.evening
  const hours = await ilse!.send('PUT', `/api/evenings/${id}`, {
    version,
    what: 'hours',
    body: { ...body, opensAt: opensAt + 30 * minute },
  })
  expect(said(hours)).toEqual([409, 'print-hours'])
})

test('where film is put on reels in the room prints are made in, nobody books that time', async () => {
  const { rooms } = await room()
  const inOne = rooms.map((one) => ({
    ...one,
    uses: one.uses.includes('printing') ? [...one.uses, 'loading' as const] : one.uses.filter((use) => use !== 'loading'),
  }))
  expect((await changeRoom({ rooms: inOne })).status).toBe(200)
  const now = await page()
  const dark = now.days.flatMap((one) => one.otherLight)
  expect(dark.length).toBeGreaterThan(0)
  expect(new Set(dark.map((one) => one.light))).toEqual(new Set(['dark']))
  const { fromAt, untilAt } = dark.at(-1)!
  const asked = { id: uuid(), memberId: ids.tilda, fromAt, untilAt, overruled: 'they want to' }
  expect(said(await ilse!.send('POST', '/api/printing', asked))).toEqual([409, 'print-light'])
  await changeRoom({ rooms })
})

test('what is kept of a person has their places, and goes with them', async () => {
  const id = uuid()
  await house.sql(
    `insert into person (id, name, login, role, created_at) values ($1, 'Sedge Mill', 'sedge', 'member', now()) returning id`,
    [id],
  )
  ids.sedge = id
  await booked(ilse!, 'sedge', { day: 1 })
  const kept = (await ilse!.send('GET', `/api/people/${id}/export`)).body as { kept?: Record<string, unknown[]> }
  expect(JSON.stringify(kept)).toContain('places at enlargers')
  expect((await ilse!.send('DELETE', `/api/people/${id}`, { version: 1 })).status).toBe(200)
  expect(await house.sql('select id from print_place where person_id = $1', [id])).toEqual([])
  expect((await page()).days.every((one) => one.opensAt > house.now() - dayMs)).toBe(true)
})
