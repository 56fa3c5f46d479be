import type { Bottle, FormulaRow, Kit } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const kits = async () => (await ilse.send('GET', '/api/kits')).body.rows as unknown as Kit[]
const bottleOf = async (id: string) => (await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as Bottle
const formulas = async () => (await ilse.send('GET', '/api/formulas')).body.rows as unknown as FormulaRow[]
const bring = async (formulaId: string, sizeMl: number) => {
  const id = uuid()
  const { status } = await ilse.send('POST', '/api/bottles', { id, formulaId, sizeMl, ml: sizeMl })
  expect(status).toBe(200)
  return id
}
const use = (id: string, rolls: number) => ilse.send('POST', `/api/bottles/${id}/entries`, { entryId: uuid(), kind: 'use', ml: 0, rolls })

test('a kit is begun, its baths are put in, and they share one count which a bath that is replaced does not begin anew', async () => {
  const bought = (await formulas()).filter(
    (row) => row.body.additions.length === 0 && !row.body.combine && row.body.use.school !== 'one-shot',
  )
  const [one, two] = bought as [FormulaRow, FormulaRow]
  const bath = (row: FormulaRow) => ({ name: row.body.name, formulaId: row.id, ml: 500 })
  const body = {
    name: 'Test kit',
    note: '',
    baths: [bath(one), bath(two)],
    capacity: [{ fromEi: 1, rolls: 8 }],
    processId: null,
    sealedDays: null,
  }
  const id = uuid()
  expect((await ilse.send('POST', '/api/kits', { id, body: { ...body, capacity: [] } })).status).toBe(400)
  const added = await ilse.send('POST', '/api/kits', { id, body })
  expect(added.body).toMatchObject({ id, version: 1, sets: [] })
  const setId = uuid()
  const begun = (await ilse.send('POST', `/api/kits/${id}/sets`, { id: setId })).body as unknown as Kit
  expect(begun.sets).toMatchObject([{ id: setId, used: 0, rolls: 0, rollsLeft: 8, bottles: [], begunBy: 'Ilse Varn' }])
  const putIn = (bottleId: string, to = setId) => ilse.send('POST', `/api/kit-sets/${to}/bottles`, { bottleId })
  const [first, second, other] = [await bring(one.id, 5000), await bring(two.id, 5000), await bring(one.id, 5000)]
  expect([(await putIn(first)).status, (await putIn(second)).status, (await putIn(first)).status]).toEqual([200, 200, 200])
  const stranger = ((await ilse.send('GET', '/api/bottles')).body.rows as unknown as Bottle[]).find((row) => row.family === 'fixer')
  expect((await putIn(stranger!.id)).body).toMatchObject({ code: 'no-bath', message: expect.stringContaining(one.body.name) })
  const again = uuid()
  await ilse.send('POST', `/api/kits/${id}/sets`, { id: again })
  expect((await putIn(first, again)).body.code).toBe('other-kit')
  expect((await use(first, 2)).status).toBe(200)
  expect((await bottleOf(second)).kit).toMatchObject({ setId, rolls: 2, used: 0.25, rollsLeft: 6 })
  // the first is replaced: the new one is as far as the kit is
  await ilse.send('POST', `/api/bottles/${first}/retire`, { version: (await bottleOf(first)).version, reason: 'spilt', discard: true })
  await putIn(other)
  expect([(await bottleOf(other)).kit?.used, (await bottleOf(other)).state.rollsLeft! <= 6]).toEqual([0.25, true])
  await use(second, 5)
  expect((await bottleOf(other)).state.findings.map((finding) => finding.rule)).not.toContain('bottle-kit-used')
  await use(second, 3)
  for (const bath_ of [second, other])
    expect((await bottleOf(bath_)).state.findings.map((finding) => finding.rule)).toContain('bottle-kit-used')
  expect((await bottleOf(other)).state.rollsLeft).toBe(0)
  const standing = (await kits()).find((kit) => kit.id === id)?.sets.find((set) => set.id === setId)
  expect(standing?.bottles.filter((bottle) => bottle.retiredAt !== null).map((bottle) => bottle.id)).toEqual([first])
  expect(standing?.bottles.map((bottle) => bottle.id).sort()).toEqual([first, second, other].sort())
  // what it is good for changes for those that are mixed later
  const changed = await ilse.send('PUT', `/api/kits/${id}`, { version: 1, body: { ...body, capacity: [{ fromEi: 1, rolls: 80 }] } })
  expect([changed.status, (await ilse.send('PUT', `/api/kits/${id}`, { version: 1, body })).status]).toEqual([200, 409])
  expect((await bottleOf(other)).kit?.used).toBe(1)
})

test('a bath that is mixed for a kit stands in it when it is bottled; a formula that is none of its baths is refused', async () => {
  const mixed = (await formulas()).find((row) => row.body.name === 'Citric stop bath')!
  const id = uuid()
  const body = {
    name: 'Stop kit',
    note: '',
    baths: [{ name: 'Stop', formulaId: mixed.id, ml: 1000 }],
    capacity: [{ fromEi: 1, rolls: 8 }],
    processId: null,
    sealedDays: null,
  }
  await ilse.send('POST', '/api/kits', { id, body })
  const setId = uuid()
  await ilse.send('POST', `/api/kits/${id}/sets`, { id: setId })
  const start = (formulaId: string) => ilse.send('POST', '/api/mixes', { id: uuid(), formulaId, finalMl: 1000, kitSetId: setId })
  const wrong = (await formulas()).find((row) => row.body.name === 'Soft borax developer')!
  expect((await start(wrong.id)).body.code).toBe('no-bath')
  const mix = (await start(mixed.id)).body
  expect((await kits()).find((kit) => kit.id === id)?.sets[0]?.mixes).toEqual([{ id: mix.id, formulaId: mixed.id }])
  expect((await ilse.send('POST', '/api/mixes', { id: uuid(), formulaId: mixed.id, finalMl: 1000, kitSetId: uuid() })).status).toBe(404)
  const jar = ((await ilse.send('GET', '/api/jars')).body.rows ?? []).find((row) => row.chemical === 'citric-acid')
  const events = [
    { kind: 'water', celsius: 25 },
    { kind: 'weigh', step: 0, amount: 15, jarId: jar?.id },
    { kind: 'dissolved', step: 0 },
    { kind: 'topped-up' },
    { kind: 'ph', ph: 2.2, celsius: 20 },
  ].map((event) => ({ id: uuid(), ...event }))
  expect((await ilse.send('POST', `/api/mixes/${String(mix.id)}/events`, { events })).status).toBe(200)
  const bottles = [400, 600].map((ml) => ({ id: uuid(), sizeMl: ml, ml }))
  expect((await ilse.send('POST', `/api/mixes/${String(mix.id)}/finish`, { batchId: uuid(), bottles })).status).toBe(200)
  const set = (await kits()).find((kit) => kit.id === id)?.sets[0]
  expect([set?.mixes, set?.bottles.map((bottle) => bottle.id).sort()]).toEqual([[], bottles.map((bottle) => bottle.id).sort()])
  expect((await bottleOf(bottles[0]!.id)).kit).toMatchObject({ setId, name: 'Stop kit', rolls: 0, rollsLeft: 8 })
})

test('the demo has a kit whose baths stand on the shelf and whose leaflet has its own process', async () => {
  const kit = (await kits()).find((one) => one.body.name === 'Loft colour negative kit')
  expect(kit?.sets[0]?.bottles).toHaveLength(3)
  const process = (await ilse.send('GET', `/api/processes/${kit?.body.processId}`)).body as {
    body: { steps: { key: string; time: unknown; atC?: number }[] }
  }
  expect(process.body.steps.find((step) => step.key === 'developer')).toMatchObject({ time: { s: 210 }, atC: 38.9 })
})
