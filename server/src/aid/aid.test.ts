import { type IncidentBody } from '@selvrin/core'
import { aidApi, eveningApi, sinkApi, type Incident, type SinkPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let tilda: Caller
let nobody: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  tilda = await house.as('tilda')
  nobody = await house.as(null)
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const idOf = async (login: string) => (await house.one<{ id: string }>('select id from person where login = $1', [login]))?.id ?? ''
const spill = (more: Partial<IncidentBody> = {}): IncidentBody => ({
  ...{ at: house.now(), what: 'Fixer F3', family: 'sil', ml: 400, present: [], kitFull: false, note: '' },
  ...more,
})
const write = (who: Caller, body: IncidentBody) => who.call(aidApi.write, { body: { id: uuid(), body } })
const page = async () => (await ilse.call(aidApi.incidents, { query: { limit: '50' } })).body.rows as unknown as Incident[]

test('whom to call is told to anybody who asks, and what is in a bottle goes by what was weighed', async () => {
  expect((await nobody.call(aidApi.numbers)).body).toEqual({ emergency: '0100 555 0199', poison: '0100 555 0177' })
  const fixer = await house.one<{ id: string }>(`select id from bottle where letter = 'F' and retired_at is null limit 1`)
  const answer = await tilda.call(aidApi.bottles, { query: { ids: `${fixer?.id},${uuid()}` } })
  expect(answer.body).toEqual({ bottles: { [fixer?.id ?? '']: { family: 'sil', corrosive: false, throughSkin: [] } } })
  expect(said(await tilda.call(aidApi.bottles, { query: { ids: 'F3' } }))).toEqual([422, 'bad-ids'])
  const cards = await tilda.call(aidApi.cards)
  expect(cards.status).toBe(200)
})

test('a spill is written down once, by whoever was there; the kit is filled again, and what was wrong is struck out and stays', async () => {
  const mine = await write(tilda, spill({ present: [await idOf('tilda')] }))
  expect(said(mine)).toEqual([200, undefined])
  expect(said(await write(tilda, spill({ present: [await idOf('ilse')] })))).toEqual([403, 'not-yours'])
  expect(said(await write(ilse, spill({ present: [uuid()] })))).toEqual([422, 'no-person'])
  expect(said(await write(ilse, spill({ at: house.now() + 3_600_000 })))).toEqual([422, 'not-yet'])
  expect(said(await tilda.call(aidApi.incidents, { query: { limit: '50' } }))).toEqual([403, 'not-yours'])
  const [row] = (await page()) as [Incident]
  expect(row).toMatchObject({ by: 'Tilda Rook', present: ['Tilda Rook'], refilledAt: null, body: { ml: 400 } })
  const at = { params: { id: row.id } }
  const full = await ilse.call(aidApi.refilled, { ...at, body: { version: row.version } })
  expect(full.body.refilledAt).toEqual(expect.any(Number))
  expect(said(await ilse.call(aidApi.refilled, { ...at, body: { version: row.version } }))).toEqual([409, 'full'])
  const version = (await page())[0]?.version ?? 0
  expect(said(await ilse.call(aidApi.strike, { ...at, body: { version: version - 1, why: 'another bottle' } }))).toEqual([409, 'stale'])
  const struck = await ilse.call(aidApi.strike, { ...at, body: { version, why: 'it was water' } })
  expect(struck.body).toMatchObject({ struckWhy: 'it was water', body: { what: 'Fixer F3' } })
  expect(said(await ilse.call(aidApi.refilled, { ...at, body: { version: version + 1 } }))).toEqual([409, 'struck'])
  // kept with the kit full
  const other = await write(ilse, spill({ kitFull: true, ml: null }))
  expect(other.body.refilledAt).toEqual(expect.any(Number))
})

test('no evening is planned before it is known whom to call', async () => {
  const { facts } = (await ilse.call(sinkApi.get)).body as unknown as SinkPage
  const changed = (more: object) => ilse.call(sinkApi.facts, { body: { ...facts, ...more } as never })
  const without = await changed({ poison: '' })
  expect(without.status).toBe(200)
  const evening = { id: uuid(), day: '2031-05-06', opensAt: Date.UTC(2031, 4, 6, 17), closesAt: Date.UTC(2031, 4, 6, 21), people: [] }
  const answer = await ilse.call(eveningApi.plan, { body: evening })
  expect(said(answer)).toEqual([409, 'no-numbers'])
  expect(answer.body.message).toContain('the number of the poison centre')
  expect(await house.one('select id from evening where id = $1', [evening.id])).toBeUndefined()
  await changed({ version: without.body.version })
  expect((await ilse.call(eveningApi.plan, { body: evening })).status).toBe(200)
})
