import { coatMix, type CoatAct, type CoatedBody, type UvLampBody } from '@selvrin/core'
import { api, coatApi, type BenchBottle, type CoatedSheet, type CoatPage, type UvLamp } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let tilda: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  tilda = await house.as('tilda')
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const idOf = async (login: string) => (await house.one<{ id: string }>('select id from person where login = $1', [login]))?.id ?? ''
const page = async (who: Caller = ilse) => (await who.call(coatApi.get)).body as unknown as CoatPage
const bench = async (part: BenchBottle['part'], process: CoatedBody['process']) => {
  const found = (await page()).bench.find((one) => one.part === part && one.processes.includes(process))
  if (!found) throw new Error(`no ${part} of ${process}`)
  return found
}
const body: CoatedBody = {
  ...{ title: 'Reeds', process: 'cyanotype', negative: '', range: 1.3, widthCm: 13, heightCm: 18, strips: 0, coatedWith: 'brush' },
  ...{ coats: 1, mlPer1000: 2.8, dropMl: 0.05, contrast: null, platinumDrops: 0, paper: 'Mill rag, heavy', paperPrice: 1.4 },
}
const begin = async (more: Partial<CoatedBody> = {}, who = ilse, login = 'ilse') =>
  who.call(coatApi.begin, { body: { id: uuid(), memberId: await idOf(login), body: { ...body, ...more } } })
const begun = async (more: Partial<CoatedBody> = {}) => (await begin(more)).body as unknown as CoatedSheet
const act = (sheet: Pick<CoatedSheet, 'id' | 'version'>, act: CoatAct, who = ilse) =>
  who.call(coatApi.act, { params: { id: sheet.id }, body: { id: uuid(), version: sheet.version, act } })
const done = async (sheet: CoatedSheet, one: CoatAct) => {
  const answer = await act(sheet, one)
  expect(said(answer)).toEqual([200, undefined])
  return answer.body as unknown as CoatedSheet
}
const poured = async (of: CoatedBody): Promise<CoatAct> => ({
  kind: 'coat',
  poured: await Promise.all(
    coatMix(of).map(async ({ part, drops }) => ({ part, drops, bottleId: (await bench(part, of.process)).id, entryId: uuid() })),
  ),
  humidity: 55,
})
const held = async (id: string) =>
  Number((await house.one<{ ml: number }>('select sum(ml) as ml from bottle_entry where bottle_id = $1', [id]))?.ml)

test('a sheet is coated out of its bottles drop by drop, dried, exposed and bathed, and the lamp grows older', async () => {
  const iron = await bench('iron', 'cyanotype')
  const before = await held(iron.id)
  let sheet = await begun()
  sheet = await done(sheet, await poured(body))
  expect(await held(iron.id)).toBeCloseTo(before - 0.4, 4)
  // eight drops of each: prices are known, or the cost is not
  expect(sheet.acts[0]?.cost === null).toBe((await page()).bench.some((one) => ['iron', 'ferricyanide'].includes(one.part) && one.pricePerMl === null)) // prettier-ignore
  sheet = await done(sheet, { kind: 'dry', seconds: 1800 })
  const [lamp] = (await page()).lamps as [UvLamp, ...UvLamp[]]
  const under = { lamps: [lamp.id], distanceCm: 14 }
  sheet = await done(sheet, { kind: 'strip', firstS: 240, stepStops: 0.5, bands: 5, ...under })
  sheet = await done(sheet, { kind: 'read', chosen: [2, 3] })
  sheet = await done(sheet, { kind: 'expose', seconds: 600, ...under })
  const after = (await page()).lamps.find((one) => one.id === lamp.id) as UvLamp
  expect((after.body.hours - lamp.body.hours) * 3600).toBeCloseTo(240 * 4 + 600, 3)
  expect(sheet.acts.at(-1)?.light?.watts).toBeLessThan(sheet.acts[2]?.light?.watts ?? 0)
  expect((await page()).last.find((one) => one.process === 'cyanotype')).toMatchObject({ seconds: 600, number: sheet.number })
  for (const step of [2, 3]) sheet = await done(sheet, { kind: 'step', step, seconds: 60 })
  sheet = await done(sheet, { kind: 'done', said: 'holds' })
  const inTheMaking = async (): Promise<boolean> => (await page()).sheets.some((one) => one.id === sheet.id)
  expect(await inTheMaking()).toBe(false)
  // that it is finished was a slip
  sheet = await done(sheet, { kind: 'back' })
  expect(await inTheMaking()).toBe(true)
  expect(sheet.acts.map((one) => one.act.kind).slice(-2)).toEqual(['done', 'back'])
  await expect(house.sql(`update coated_act set act = '{}' where coated_id = $1 returning id`, [sheet.id])).rejects.toThrow(/append/i)
})

test('only what belongs into it goes into a sheet, and nothing is written where it is refused', async () => {
  const sheet = await begun()
  const [iron, other, oxalate] = [
    await bench('iron', 'cyanotype'),
    await bench('ferricyanide', 'cyanotype'),
    await bench('iron-a', 'palladium'),
  ]
  const of = (part: BenchBottle['part'], bottle: { id: string }, drops = 8) => ({ part, drops, bottleId: bottle.id, entryId: uuid() })
  const coat = (...parts: ReturnType<typeof of>[]): CoatAct => ({ kind: 'coat', poured: parts, humidity: null })
  const before = await held(iron.id)
  expect(said(await act(sheet, coat(of('iron', iron))))).toEqual([422, 'wrong-parts'])
  expect(said(await act(sheet, coat(of('iron', iron), of('ferricyanide', oxalate))))).toEqual([422, 'wrong-bottle'])
  expect(said(await act(sheet, coat(of('iron', iron), of('ferricyanide', other, 80))))).toEqual([422, 'too-many'])
  // the last bottle does not hold as much: the first are not poured from either
  const large = { process: 'palladium', contrast: 'normal', widthCm: 120, heightCm: 120, coats: 2 } as const
  const oxalateBefore = await held(oxalate.id)
  expect(said(await act(await begun(large), await poured({ ...body, ...large })))).toEqual([409, 'not-enough'])
  expect(await held(oxalate.id)).toBeCloseTo(oxalateBefore, 4)
  const [fixer] = (await house.sql<{ id: string }>(`select id from bottle where letter = 'F' and retired_at is null limit 1`)) as [
    { id: string },
  ]
  expect(said(await act(sheet, coat(of('iron', iron), of('ferricyanide', fixer))))).toEqual([422, 'wrong-bottle'])
  expect(await held(iron.id)).toBeCloseTo(before, 4)
  expect((await house.sql('select 1 from coated_act where coated_id = $1', [sheet.id])).length).toBe(0)
})

test('out of turn, twice at once, and other people’s prints', async () => {
  const sheet = await begun()
  expect(said(await act(sheet, { kind: 'expose', seconds: 60, lamps: [(await page()).lamps[0]?.id ?? ''], distanceCm: 14 }))).toEqual([409, 'out-of-turn']) // prettier-ignore
  const both = await Promise.all([act(sheet, await poured(body)), act(sheet, await poured(body))])
  expect(both.map((one) => one.status).sort()).toEqual([200, 409])
  expect(said(await act(sheet, { kind: 'dry', seconds: 1800 }))).toEqual([409, 'stale'])
  expect(said(await act(sheet, { kind: 'dry', seconds: 1800 }, tilda))).toEqual([404, 'not-found'])
  expect((await page(tilda)).sheets.map((one) => one.id)).not.toContain(sheet.id)
  expect(said(await begin({}, tilda, 'ilse'))).toEqual([403, 'not-yours'])
  expect(said(await begin({}, tilda, 'tilda'))).toEqual([200, undefined])
  expect(said(await begin({ process: 'palladium' }))).toEqual([422, 'no-contrast'])
  const change = (more: Partial<CoatedBody>) =>
    ilse.call(coatApi.change, { params: { id: sheet.id }, body: { version: sheet.version + 1, body: { ...body, ...more } } })
  expect(said(await change({ widthCm: 30 }))).toEqual([409, 'coated'])
  expect(said(await change({ title: 'Reeds again' }))).toEqual([200, undefined])
})

test('lamps: only what a lamp can be, changed by technicians, and gone ones do not shine', async () => {
  const lamp: UvLampBody = { name: 'New bank', kind: 'tubes', watts: 120, bankCm: 40, hours: 0, measured: null, note: '' }
  const add = (one: object, who = ilse) => who.call(coatApi.addLamp, { body: { id: uuid(), body: one } })
  expect((await add({ ...lamp, bankCm: null })).status).toBe(400)
  expect((await add(lamp, tilda)).status).toBe(403)
  const made = (await add(lamp)).body as unknown as UvLamp
  const params = { id: made.id }
  expect(said(await ilse.call(coatApi.changeLamp, { params, body: { version: 9, body: lamp } }))).toEqual([409, 'stale'])
  const worn = { ...lamp, hours: 6000 }
  expect((await ilse.call(coatApi.changeLamp, { params, body: { version: made.version, body: worn } })).status).toBe(200)
  let sheet = await begun()
  sheet = await done(sheet, await poured(body))
  sheet = await done(sheet, { kind: 'dry', seconds: 1500 })
  const under = { kind: 'expose' as const, seconds: 300, distanceCm: 14 }
  expect(said(await act(sheet, { ...under, lamps: [made.id] }))).toEqual([422, 'worn-out'])
  const tubes = (await page()).lamps.find((one) => one.body.name === 'Blue tubes') as UvLamp
  const sun = (await page()).lamps.find((one) => one.body.kind === 'point') as UvLamp
  expect(said(await act(sheet, { ...under, lamps: [tubes.id, sun.id] }))).toEqual([422, 'lamps-differ'])
  expect((await ilse.call(coatApi.removeLamp, { params, body: { version: made.version + 1 } })).status).toBe(200)
  expect(said(await act(sheet, { ...under, lamps: [made.id] }))).toEqual([404, 'not-found'])
})

test('the shelf knows what a print took, and a bottle that stands for a bath is found by what is in it', async () => {
  const sensitizer = await bench('sensitizer', 'iron-silver')
  const ledger = (await ilse.call(api.bottle.get, { params: { id: sensitizer.id } })).body as unknown as { ledger: { note: string }[] }
  expect(ledger.ledger.map((one) => one.note)).toContain('coated print 2')
  const names = (await page()).bench.map((one) => one.name)
  expect(names).not.toContain('Ferricyanide bleach for toning')
  expect(names).not.toContain('Iron–silver sensitizer, part C')
  // iron citrate, but for another process
  expect(names).not.toContain('Iron–silver sensitizer, part A')
  expect(names).toContain('Iron-blue sensitizer, part A')
})
