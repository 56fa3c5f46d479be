import { houseIds, houseProcesses, type ProcessBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { shipProcesses } from './shipped'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

type Row = { id: string; version: number; number: number; versionId: string; changedBy: string; shipped: boolean; body: ProcessBody }
const list = async () => (await ilse.send('GET', '/api/processes')).body.rows as unknown as Row[]
const one = async (id: string) => (await ilse.send('GET', `/api/processes/${id}`)).body as unknown as Row & { versions: Row[] }
const monobath = houseProcesses.find((process) => process.id === houseIds.monobath)!
const { id: _, ...body } = monobath
const written = async (said: ProcessBody = { ...body, name: 'Monobath of the loft' }) => {
  const id = uuid()
  const answer = await ilse.send('POST', '/api/processes', { id, versionId: uuid(), body: said })
  return { id, answer, row: answer.body as unknown as Row }
}

test('a house begins with the processes that come with it, as core has them', async () => {
  const rows = (await list()).filter((row) => row.shipped)
  expect(rows.map(({ id, body: said }) => ({ id, ...said }))).toEqual(houseProcesses)
  expect(new Set(rows.map((row) => [row.changedBy, row.number].join()))).toEqual(new Set(['comes with the house,1']))
})

test('a new version leaves the one before as it was; whoever saw an older one is told', async () => {
  const { id, answer, row } = await written()
  expect([answer.status, answer.body.number, answer.body.shipped, answer.body.changedBy]).toEqual([200, 1, false, 'Ilse Varn'])
  const slower = { ...row.body, note: 'longer in a cold loft' }
  const revised = await ilse.send('POST', `/api/processes/${id}/versions`, {
    version: answer.body.version,
    versionId: uuid(),
    body: slower,
  })
  const { number, body: second } = revised.body as unknown as Row
  expect([revised.status, number, second.note]).toEqual([200, 2, 'longer in a cold loft'])
  const stale = await ilse.send('POST', `/api/processes/${id}/versions`, { version: answer.body.version, versionId: uuid(), body: slower })
  expect([stale.status, stale.body.code, (stale.body.current as Row).number]).toEqual([409, 'stale', 2])
  expect((await one(id)).versions.map((row) => [row.number, row.body.note])).toEqual([
    [2, 'longer in a cold loft'],
    [1, undefined],
  ])
  const first = (await ilse.send('GET', `/api/process-versions/${answer.body.versionId}`)).body
  expect([first.number, first.body]).toEqual([1, answer.body.body])
})

test('a process that does not hold together is not kept', async () => {
  const { answer } = await written({ ...body, name: 'Without its bath', roles: [] })
  expect([answer.status, answer.body.code]).toEqual([422, 'process-broken'])
  expect((await list()).some((row) => row.body.name === 'Without its bath')).toBe(false)
  expect((await ilse.send('GET', `/api/processes/${uuid()}`)).status).toBe(404)
  expect((await ilse.send('GET', `/api/process-versions/${uuid()}`)).status).toBe(404)
})

test('what a later application knows better is a new version; what somebody of the house has changed stays', async () => {
  const older = { ...body, note: 'as an older application had it' }
  const [mine, theirs] = [houseIds['slide-six'], houseIds['colour-negative']]
  const changed = { ...(await one(theirs)).body, note: 'our own times' }
  await ilse.send('POST', `/api/processes/${theirs}/versions`, { version: (await one(theirs)).version, versionId: uuid(), body: changed })
  await house.db.ProcessVersion.create({ id: uuid(), processId: mine, number: 2, body: older, changedAt: house.now() })
  await shipProcesses(house.db, house.now())
  await shipProcesses(house.db, house.now())
  expect([(await one(mine)).number, { id: mine, ...(await one(mine)).body }]).toEqual([
    3,
    houseProcesses.find((process) => process.id === mine),
  ])
  expect([(await one(theirs)).number, (await one(theirs)).body.note]).toEqual([2, 'our own times'])
})
