import { catalogue } from '@selvrin/core'
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

const { id: _id, ...sulfite } = catalogue['sodium-sulfite']!
const put = (id: string, body: object, version: number | null = null) =>
  ilse.call(api.chemical.put, { params: { id }, body: { version, body } })
const formate = {
  name: 'Sodium formate',
  molarMass: 68.01,
  natures: [],
  solubility: [{ celsius: 20, gPer100Ml: 81 }],
  heatOfSolution: null,
  statements: [],
  note: '',
  source: 'supplier’s sheet',
}

test('a chemical of one’s own can stand in a jar and a formula, and then stays', async () => {
  const formula = (await ilse.call(api.formula.list)).body.rows?.[0] as { body: object }
  const write = () =>
    ilse.call(api.formula.create, {
      body: {
        id: uuid(),
        versionId: uuid(),
        body: { ...formula.body, name: 'With formate', additions: [{ chemical: 'sodium-formate', grams: 20 }] },
      },
    })
  expect((await write()).body.code).toBe('unknown-chemical')
  expect((await put('sodium-formate', formate)).body).toMatchObject({ id: 'sodium-formate', version: 1 })
  expect((await write()).status).toBe(200)
  expect(
    (
      await ilse.call(api.jar.receive, {
        body: { id: uuid(), entryId: uuid(), chemical: 'sodium-formate', grams: 100, lot: '', place: '' },
      })
    ).status,
  ).toBe(200)
  expect((await ilse.call(api.chemical.remove, { params: { id: 'sodium-formate' }, body: { version: 1 } })).body.code).toBe('in-use')
})

test('own figures of a built-in chemical count on the scales, until they are taken back', async () => {
  const jar = (await ilse.call(api.jar.list)).body.rows?.find((row) => row.chemical === 'sodium-hydroxide') as { id: string }
  const hydroxide = (await ilse.call(api.formula.list)).body.rows?.find(
    (row) => (row.body as { additions: { chemical: string }[] }).additions[0]?.chemical === 'sodium-hydroxide',
  ) as { id: string }
  const factor = async () => {
    const id = uuid()
    await ilse.call(api.mix.start, { body: { id, formulaId: hydroxide.id, finalMl: 1000 } })
    const { body } = await ilse.call(api.mix.record, {
      params: { id },
      body: {
        events: [
          { id: uuid(), kind: 'water', celsius: 15 },
          { id: uuid(), kind: 'jar', step: 0, jarId: jar.id },
        ],
      },
    })
    return (body.events as { factor?: number }[]).at(-1)?.factor
  }
  expect(await factor()).toBeCloseTo(1 / 0.98, 6)
  await house.sql('update jar set assay = null where id = $1', [jar.id])
  const { id: _own, ...pellets } = catalogue['sodium-hydroxide']!
  await put('sodium-hydroxide', { ...pellets, usualAssay: 0.9 })
  expect(await factor()).toBeCloseTo(1 / 0.9, 6)
  expect((await ilse.call(api.chemical.remove, { params: { id: 'sodium-hydroxide' }, body: { version: 1 } })).status).toBe(200)
  expect(await factor()).toBeCloseTo(1 / 0.97, 6)
})

test('figures that make no sense, old versions and members are refused', async () => {
  expect((await put('sodium-sulfite', { ...sulfite, molarMass: -1 })).status).toBe(400)
  expect((await put('Sodium sulfite', sulfite)).status).toBe(404)
  expect(
    (
      await put('sodium-sulfite', {
        ...sulfite,
        solubility: [
          { celsius: 20, gPer100Ml: 26 },
          { celsius: 10, gPer100Ml: 20 },
        ],
      })
    ).status,
  ).toBe(400)
  expect((await put('sodium-sulfite', { ...sulfite, note: 'ours' })).status).toBe(200)
  const late = await put('sodium-sulfite', sulfite)
  expect([late.status, (late.body.current as { body: { note: string } }).body.note]).toEqual([409, 'ours'])
  expect(
    (await (await house.as('tilda')).call(api.chemical.put, { params: { id: 'x-y' }, body: { version: null, body: formate } })).status,
  ).toBe(403)
})

test('a chemical that is taken out and put in anew with other figures counts with those at once', async () => {
  const { id, ...citric } = catalogue['citric-acid']!
  const acid = async () =>
    ((await ilse.send('GET', '/api/bottles')).body.rows as { name: string; state: { ph: number | null } }[]).find(
      (one) => one.name === 'Citric stop bath',
    )?.state.ph ?? 0
  const usual = await acid()
  const seen: number[] = []
  for (const times of [3, 9]) {
    expect((await put(id, { ...citric, molarMass: (citric.molarMass ?? 0) * times })).status).toBe(200)
    seen.push(await acid())
    // each of them is version 1 of itself
    expect((await ilse.call(api.chemical.remove, { params: { id }, body: { version: 1 } })).status).toBe(200)
  }
  // less acid in the same grams: the bath is less sour each time
  expect(seen[0]).toBeGreaterThan(usual + 0.05)
  expect(seen[1]).toBeGreaterThan((seen[0] ?? 0) + 0.05)
  expect(await acid()).toBeCloseTo(usual, 9)
})
