import { yearApi, type YearReport } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 60_000)
afterAll(() => house.close())

test('the year in one page adds up to the ledgers, leaves out what was taken back, and names nobody', async () => {
  const report = async (year?: number) =>
    (await ilse.call(yearApi.get, { query: year === undefined ? {} : { year: String(year) as never } })).body as unknown as YearReport
  const this_ = await report()
  const rows = (of: YearReport) => of.rows.reduce((sum, one) => sum + one.ml, 0)
  const all = []
  for (const year of this_.years) all.push(await report(year))
  const standing = await house.one<{ ml: string }>(
    `select sum(ml) as ml from (
      select e.ml from drum_entry e where e.kind = 'pour' and not exists (select from drum_entry r where r.reverses = e.id)
      union all select d.ml from drain_entry d where d.reverses is null and not exists (select from drain_entry r where r.reverses = d.id)) t`,
  )
  expect(all.reduce((sum, one) => sum + rows(one), 0)).toBeCloseTo(Number(standing?.ml), 3)
  expect(rows(await report(this_.year + 1))).toBe(0)
  // a pour that is taken back is none
  const drum = this_.rows.find((one) => one.family === 'dev' && !one.drain)
  const [open] = await house.sql<{ id: string }>(
    `select id from drum where family = 'dev' and labelled_at is not null and sealed_at is null and quarantined_at is null and collected_at is null`,
  )
  const entryId = uuid()
  const other = { entryId, family: 'dev', source: 'other', ml: 70, silverG: 0, metal: null, note: '' }
  const path = `/api/drums/${open?.id}`
  expect((await ilse.send('POST', `${path}/pour`, { waste: [], other, ph: null, funnelId: null })).status).toBe(200)
  const ofDev = async () => (await report()).rows.find((one) => one.family === 'dev' && !one.drain)?.ml ?? 0
  expect(await ofDev()).toBeCloseTo((drum?.ml ?? 0) + 70, 3)
  expect((await ilse.send('POST', `${path}/entries/${entryId}/take-back`, { entryId: uuid(), why: 'not so' })).status).toBe(200)
  expect(await ofDev()).toBeCloseTo(drum?.ml ?? 0, 3)
  const said = JSON.stringify(await report())
  for (const { name } of await house.sql<{ name: string }>('select name from person')) expect(said).not.toContain(name)
  expect(this_.incidents.length).toBeGreaterThan(0)
})
