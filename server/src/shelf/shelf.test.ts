import { api, type Bottle, type ConsumptionRow, type FormulaRow, type Shelf, type SupplyRow, type WasteRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let formulas: FormulaRow[]
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  formulas = (await ilse.send('GET', '/api/formulas?limit=200')).body.rows as unknown as FormulaRow[]
}, 60_000)
afterAll(() => house.close())

const named = (name: string) => formulas.find((row) => row.body.name === name) as FormulaRow
const on = (id: string) => ({ params: { id } })
const show = async (id: string) => (await ilse.call(api.bottle.get, on(id))).body as unknown as Bottle
async function bring(name: string, ml = 1000): Promise<Bottle> {
  const id = uuid()
  expect((await ilse.call(api.bottle.bring, { body: { id, formulaId: named(name).id, sizeMl: 1000, ml } })).status).toBe(200)
  return show(id)
}
const write = async (id: string, kind: string, ml: number, more: object = {}) => {
  const answer = await ilse.call(api.bottle.pour, { ...on(id), body: { entryId: uuid(), kind, ml, ...more } })
  expect([answer.status, answer.body.message]).toEqual([200, undefined])
}
const supply = async () => (await ilse.call(api.shelf.supply)).body as unknown as { supplies: SupplyRow[]; consumption: ConsumptionRow[] }
const concentrate = 'Rapid fixer concentrate'

test('a shelf made warmer writes a line in each ledger that stands on it, and in no other', async () => {
  const shelf = { id: uuid(), name: 'Over the stove', celsius: 20 }
  await ilse.call(api.shelf.add, { body: shelf })
  const [here, elsewhere] = [await bring(concentrate), await bring(concentrate)]
  await ilse.call(api.bottle.move, { ...on(here.id), body: { entryId: uuid(), shelfId: shelf.id } })
  const lines = async () => (await house.one<{ n: number }>('select count(*) as n from bottle_entry'))?.n ?? 0
  const before = await lines()
  const renamed = await ilse.call(api.shelf.change, { ...on(shelf.id), body: { version: 1, name: 'By the stove', celsius: 20 } })
  expect([renamed.body.version, await lines()]).toEqual([2, before])
  house.advance(1000)
  await ilse.call(api.shelf.change, { ...on(shelf.id), body: { version: 2, name: 'By the stove', celsius: 30 } })
  expect([await lines(), (await show(here.id)).state.celsius, (await show(elsewhere.id)).state.celsius]).toEqual([before + 1, 30, 20])
  const late = await ilse.call(api.shelf.change, { ...on(shelf.id), body: { version: 2, name: 'Late', celsius: 10 } })
  expect([late.status, late.body.code, (late.body.current as Shelf | undefined)?.name]).toEqual([409, 'stale', 'By the stove'])

  await ilse.call(api.bottle.retire, { ...on(here.id), body: { version: (await show(here.id)).version, reason: 'spilt', discard: true } })
  expect((await ilse.call(api.shelf.remove, { ...on(shelf.id), body: { version: 2 } })).body.code).toBe('stale')
  expect((await ilse.call(api.shelf.remove, { ...on(shelf.id), body: { version: 3 } })).status).toBe(200)
  expect(((await ilse.send('GET', '/api/shelves')).body.rows as unknown as Shelf[]).map((one) => one.name)).not.toContain('By the stove')
  expect((await (await house.as('tilda')).call(api.shelf.add, { body: { ...shelf, id: uuid() } })).status).toBe(403)
})

test('what is poured away stands in the waste with its family and its silver, until it is taken back', async () => {
  const waste = async (id: string) =>
    ((await ilse.send('GET', '/api/waste?limit=200')).body.rows as unknown as WasteRow[]).filter((row) => row.bottleId === id)
  const bottle = await bring(concentrate)
  await write(bottle.id, 'use', 15, { rolls: 10 })
  const { silverGPerL } = (await show(bottle.id)).state
  expect(silverGPerL).toBeGreaterThan(1)
  house.advance(1000)
  await ilse.call(api.bottle.retire, {
    ...on(bottle.id),
    body: { version: (await show(bottle.id)).version, reason: 'full of silver', discard: true },
  })
  const [poured] = await waste(bottle.id)
  expect(poured).toMatchObject({ family: 'fixer', ml: 985, label: bottle.label, by: 'Ilse Varn' })
  expect(poured?.silverG).toBeCloseTo(((silverGPerL ?? 0) * 985) / 1000, 3)
  const ledger = (await ilse.call(api.bottle.get, on(bottle.id))).body.ledger as { id: string; kind: string }[]
  const line = ledger.find((one) => one.kind === 'discard')
  await ilse.call(api.bottle.reverse, {
    params: { id: bottle.id, entryId: line?.id ?? '' },
    body: { newId: uuid(), reason: 'not this one' },
  })
  expect([await waste(bottle.id), (await show(bottle.id)).state.volumeMl]).toEqual([[], 985])
})

test('the next bottle in the order of use is the oldest open one; what failed is no supply', async () => {
  const name = 'Strong aminophenol concentrate'
  const [first, second] = [await bring(name), await bring(name)]
  house.advance(1000)
  await write(second.id, 'pour-out', 20)
  const mine = async () => {
    const row = (await supply()).supplies.find((one) => one.name === name)
    return { ...row, order: row?.order.filter((id) => id === first.id || id === second.id) }
  }
  expect((await mine()).order).toEqual([second.id, first.id])
  const before = (await mine()).rollsLeft ?? 0
  const failed = await ilse.call(api.proof.write, {
    body: { id: uuid(), kind: 'scrap-density', bottleId: second.id, reading: { value: 0.6, fresh: 1.2 } },
  })
  expect((failed.body.proof as { judgement: { verdict: string } }).judgement.verdict).toBe('failed')
  const after = await mine()
  expect(after.order).toEqual([first.id])
  expect(after.rollsLeft).toBeLessThan(before)
})

test('what a roll really took is summed up when its bottle is done, by how it was used', async () => {
  const formula = named(concentrate)
  const consumed = async () => (await supply()).consumption.filter((one) => one.formulaId === formula.id)
  const of = (rows: ConsumptionRow[], school: string) => rows.find((one) => one.school === school) ?? { ml: 0, rolls: 0 }
  const before = await consumed()
  const bottle = await bring(concentrate, 800)
  await ilse.call(api.bottle.change, {
    ...on(bottle.id),
    body: {
      version: bottle.version,
      reason: 'more time from load to load',
      use: { ...formula.body.use, school: 'compensated', capacityRollsPerL: 20, compensation: { perRoll: 0.05 } },
    },
  })
  await write(bottle.id, 'use', 60, { rolls: 4 })
  // a bottle in use says nothing yet
  expect(of(await consumed(), 'compensated')).toEqual(of(before, 'compensated'))
  await ilse.call(api.bottle.retire, {
    ...on(bottle.id),
    body: { version: (await show(bottle.id)).version, reason: 'done', discard: true },
  })
  const after = await consumed()
  expect(of(after, 'compensated').ml - of(before, 'compensated').ml).toBeCloseTo(800, 6)
  expect(of(after, 'compensated').rolls - of(before, 'compensated').rolls).toBeCloseTo(4, 6)
  expect(of(after, 'counted')).toEqual(of(before, 'counted'))
})
