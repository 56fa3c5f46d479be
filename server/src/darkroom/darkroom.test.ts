import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const settings = async () => (await ilse.call(api.darkroom.get)).body

test('settings change by version; whoever was late sees what they are now', async () => {
  const before = await settings()
  const changed = await ilse.call(api.darkroom.change, { body: { ...before, tapHotC: 61, currency: 'chf', secondCheck: true } })
  expect(changed.body).toMatchObject({ tapHotC: 61, currency: 'CHF', secondCheck: true, version: (before.version as number) + 1 })
  const late = await ilse.call(api.darkroom.change, { body: { ...before, tapHotC: 40 } })
  expect([late.status, (late.body.current as { tapHotC: number }).tapHotC]).toEqual([409, 61])
})

test.each([
  ['zone', 'Atlantis/Deep'],
  ['currency', 'euros'],
  ['tapHotC', 300],
  ['scaleReadabilityG', 0],
  ['name', ' '],
])('a wrong %s (%p) is refused by its field', async (field, value) => {
  const answer = await ilse.call(api.darkroom.change, { body: { ...(await settings()), [field]: value } })
  expect([answer.status, answer.body.field]).toEqual([400, field])
})

test('members may read the settings and not change them', async () => {
  const tilda = await house.as('tilda')
  const { status, body } = await tilda.call(api.darkroom.get)
  expect([status, body.name]).toEqual([200, 'Tidewheel Darkroom'])
  expect((await tilda.call(api.darkroom.change, { body })).status).toBe(403)
})

test('the chart takes a time, and refuses what is none or belongs to no formula', async () => {
  const formulaId = ((await ilse.call(api.formula.list)).body.rows?.[0] as { id: string }).id
  const row = {
    id: uuid(),
    film: 'Weir 200',
    formulaId,
    parts: [1, 1],
    ei: 200,
    temperatureC: 20,
    seconds: 630,
    source: 'two test films',
    note: '',
  }
  expect((await ilse.call(api.chart.add, { body: row })).body).toMatchObject({
    film: 'Weir 200',
    seconds: 630,
    by: 'Ilse Varn',
    parts: [1, 1],
  })
  expect((await ilse.call(api.chart.add, { body: { ...row, id: uuid(), seconds: 0 } })).status).toBe(400)
  expect((await ilse.call(api.chart.add, { body: { ...row, id: uuid(), parts: [] } })).status).toBe(400)
  expect((await ilse.call(api.chart.add, { body: { ...row, id: uuid(), formulaId: uuid() } })).body.code).toBe('unknown-reference')
  const again = await ilse.call(api.chart.add, { body: row })
  expect([again.status, again.body.code]).toEqual([409, 'exists'])
})
