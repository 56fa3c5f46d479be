import type { ExposureBody } from '@selvrin/core'
import { api, endpoints, exposureApi, type ExposureNote } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
const who: Record<string, Caller> = {}
const idOf = async (login: string) => (await house.one<{ id: string }>('select id from person where login = $1', [login]))?.id ?? ''
beforeAll(async () => {
  house = await testHouse()
  for (const login of ['ilse', 'odo', 'tilda', 'bram']) who[login] = await house.as(login)
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const as = (login: string): Caller => who[login] as Caller
const notes = async (login: string) => (await as(login).call(exposureApi.page)).body.notes as unknown as ExposureNote[]
const body = (more: Partial<ExposureBody> = {}): ExposureBody => ({
  ...{
    at: house.now(),
    agent: 'Tidal resin',
    chemical: null,
    task: 'coating',
    minutes: 5,
    gloves: true,
    way: 'breath',
    course: 'Coughed Zymurgically.',
  },
  ...more,
})
const write = async (login: string, about: string, more: Partial<ExposureBody> = {}) =>
  as(login).call(exposureApi.write, { body: { id: uuid(), personId: await idOf(about), body: body(more) } })
/** a word that stands in a note and nowhere else */
const mark = 'Zymurgically'

test('a note is seen by its owner and by the named technician; nobody else can open, change or erase it', async () => {
  expect((await notes('tilda')).map((one) => one.body.agent)).toEqual(['Metol', 'Metol'])
  expect(await notes('bram')).toEqual([])
  expect(await notes('odo')).toEqual([])
  expect((await notes('ilse')).map((one) => one.person)).toEqual(['Tilda Rook', 'Tilda Rook'])
  expect(said(await write('tilda', 'tilda'))).toEqual([200, undefined])
  expect(said(await write('bram', 'tilda'))).toEqual([403, 'not-yours'])
  expect(said(await write('odo', 'tilda'))).toEqual([403, 'not-yours'])
  expect(said(await write('tilda', 'tilda', { at: house.now() + 3_600_000 }))).toEqual([422, 'not-yet'])
  const [one] = (await notes('tilda')) as [ExposureNote]
  const at = { params: { id: one.id } }
  for (const login of ['bram', 'odo']) {
    expect(said(await as(login).call(exposureApi.change, { ...at, body: { version: 1, body: body() } }))).toEqual([404, 'not-found'])
    expect(said(await as(login).call(exposureApi.erase, { ...at, body: { version: 1 } }))).toEqual([404, 'not-found'])
  }
  expect(said(await as('ilse').call(exposureApi.erase, { ...at, body: { version: 1 } }))).toEqual([403, 'not-yours'])
  expect(said(await as('tilda').call(exposureApi.change, { ...at, body: { version: 7, body: body() } }))).toEqual([409, 'stale'])
  expect(said(await as('tilda').call(exposureApi.change, { ...at, body: { version: 1, body: body({ course: `${mark}, better` }) } }))).toEqual([200, undefined]) // prettier-ignore
})

test('no route, no export and nothing that is kept for repeated requests holds a word of it', async () => {
  for (const login of ['ilse', 'odo', 'bram'])
    for (const one of endpoints.filter(
      ({ method, file, path }) => method === 'GET' && !file && path !== '/api/exposures' && !path.includes('/stream'),
    )) {
      const params = { id: await idOf('tilda'), entryId: uuid(), tryId: uuid(), token: 'x'.repeat(32), code: 'ABCDEF' }
      const { body: answer } = await as(login).call(one, { params })
      expect([one.path, JSON.stringify(answer ?? {}).includes(mark)]).toEqual([one.path, false])
    }
  const whole = await as('ilse').call(api.person.exportData, { params: { id: await idOf('tilda') } })
  expect(whole.status).toBe(200)
  expect(JSON.stringify(whole.body)).not.toContain(mark)
  expect(JSON.stringify(await house.sql('select * from idempotency'))).not.toContain(mark)
})

test('who reads them is named by one who does, is shown to everybody, and ends with the role', async () => {
  const name = async (login: string, about: string, reads: boolean) =>
    said(await as(login).call(exposureApi.reader, { body: { personId: await idOf(about), reads } }))
  expect(await name('odo', 'odo', true)).toEqual([403, 'yourself'])
  expect(await name('odo', 'ilse', true)).toEqual([403, 'not-named'])
  expect(await name('ilse', 'tilda', true)).toEqual([422, 'no-technician'])
  expect(await name('ilse', 'odo', true)).toEqual([200, undefined])
  expect((await notes('odo')).length).toBeGreaterThan(1)
  const readers = (await as('bram').call(exposureApi.page)).body.readers as { name: string; namedBy: string }[]
  expect(readers.map((one) => [one.name, one.namedBy])).toEqual([['Ilse Varn', 'Ilse Varn'], [expect.any(String), 'Ilse Varn']]) // prettier-ignore
  // a member again: named before, and reading nothing
  await house.sql(`update person set role = 'member' where login = 'odo' returning id`)
  expect(await notes('odo')).toEqual([])
  await house.sql(`update person set role = 'technician' where login = 'odo' returning id`)
  expect(await name('ilse', 'odo', false)).toEqual([200, undefined])
  expect(await notes('odo')).toEqual([])
})

test('they are erased with their owner', async () => {
  const of = (await as('ilse').call(api.person.list, { query: { limit: '200' } })).body.rows?.find((one) => one.login === 'tilda')
  await as('ilse').call(api.person.erase, { params: { id: String(of?.id) }, body: { version: of?.version } })
  expect(await house.sql('select id from exposure_note')).toEqual([])
})
