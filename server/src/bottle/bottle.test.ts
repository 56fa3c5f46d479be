import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

interface Shown {
  id: string
  label: string
  version: number
  state: { volumeMl: number; rolls: number }
  ledger: { id: string; kind: string; ml: number; note: string }[]
}
let house: TestHouse
let ilse: Caller
let odo: Caller
beforeAll(async () => {
  house = await testHouse()
  ;[ilse, odo] = await Promise.all([house.as('ilse'), house.as('odo')])
}, 30_000)
afterAll(() => house.close())

const find = async (name: string): Promise<Shown> =>
  (await ilse.send('GET', '/api/bottles')).body.rows?.find((row) => row.name === name && row.parts === null) as unknown as Shown
const show = async (id: string): Promise<Shown> => (await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as Shown
/** A full bottle of 1000 ml nobody else touches. */
async function fresh(): Promise<Shown> {
  const formula = (await ilse.send('GET', '/api/formulas')).body.rows?.find(
    (row) => (row.body as { name: string }).name === 'Rapid fixer concentrate',
  )
  const id = uuid()
  await ilse.send('POST', '/api/bottles', { id, formulaId: formula?.id, sizeMl: 1000, ml: 1000 })
  return show(id)
}
const pour = (who: Caller, id: string, ml: number, key: string = uuid(), entryId: string = uuid()) =>
  who.call(api.bottle.pour, { params: { id }, body: { entryId, kind: 'pour-out', ml }, key })

test('50 pours at once by two technicians never take a bottle below zero, and each is told what is left', async () => {
  const bottle = await fresh()
  const answers = await Promise.all(Array.from({ length: 50 }, (_, i) => pour(i % 2 ? ilse : odo, bottle.id, 30)))
  const good = answers.filter((one) => one.status === 200).length
  expect(good).toBe(33)
  for (const refused of answers.filter((one) => one.status !== 200))
    expect([refused.status, refused.body.message]).toEqual([409, expect.stringContaining('holds 10 ml')])
  expect((await show(bottle.id)).state.volumeMl).toBeCloseTo(10, 6)
}, 30_000)

test('one request sent 50 times at once counts once and always answers the same', async () => {
  const bottle = await fresh()
  const [key, entryId] = [uuid(), uuid()]
  const answers = await Promise.all(Array.from({ length: 50 }, () => pour(ilse, bottle.id, 100, key, entryId)))
  expect(new Set(answers.map((one) => one.status))).toEqual(new Set([200]))
  expect(new Set(answers.map((one) => (one.body.state as { volumeMl: number }).volumeMl))).toEqual(new Set([900]))
  expect((await show(bottle.id)).state.volumeMl).toBe(900)
  expect((await pour(ilse, bottle.id, 200, key, entryId)).body.code).toBe('key-reused')
}, 30_000)

test('working strength takes its concentrate from the stock, and not more than there is', async () => {
  const stock = await fresh()
  const make = (totalMl: number) =>
    ilse.call(api.bottle.dilute, { params: { id: stock.id }, body: { newId: uuid(), parts: [1, 4], totalMl, sizeMl: 6000 } })
  const { status, body } = await make(1000)
  expect(status).toBe(200)
  const made = body.made as Shown
  expect([(body.from as Shown).state.volumeMl, made.state.volumeMl]).toEqual([800, 1000])
  expect((await make(5000)).status).toBe(409)
  expect(
    (await ilse.call(api.bottle.dilute, { params: { id: made.id }, body: { newId: uuid(), parts: [1, 1], totalMl: 100, sizeMl: 100 } }))
      .body.code,
  ).toBe('already-diluted')
  expect((await show(stock.id)).state.volumeMl).toBe(800)
})

test('a line is taken back once; one that later lines need is refused and names them', async () => {
  const bottle = await fresh()
  const filled = bottle.ledger.find((line) => line.kind === 'fill')
  await pour(ilse, bottle.id, 400)
  const take = (entryId: string | undefined) =>
    ilse.call(api.bottle.reverse, { params: { id: bottle.id, entryId: entryId ?? '' }, body: { newId: uuid(), reason: 'wrong bottle' } })
  const needed = await take(filled?.id)
  expect([needed.status, needed.body.message]).toEqual([409, expect.stringContaining('pour out of 400 ml')])
  const poured = (await show(bottle.id)).ledger.find((line) => line.kind === 'pour-out')
  expect((await take(poured?.id)).status).toBe(200)
  expect((await take(poured?.id)).body.code).toBe('reversed')
  expect((await show(bottle.id)).state.volumeMl).toBe(1000)
})

test('a retired bottle is poured no more, and a stale version is shown what it is now', async () => {
  const bottle = await fresh()
  const retire = () => ilse.call(api.bottle.retire, { params: { id: bottle.id }, body: { version: bottle.version, reason: 'milky' } })
  expect((await retire()).status).toBe(200)
  const again = await retire()
  expect([again.status, (again.body.current as { retiredWhy: string }).retiredWhy]).toEqual([409, 'milky'])
  expect((await pour(ilse, bottle.id, 10)).body.code).toBe('retired')
})

test('what goes in cannot overflow the bottle, and nothing at all is no entry', async () => {
  const bottle = await fresh()
  const write = (kind: string, ml: number, rolls = 0) =>
    ilse.call(api.bottle.pour, { params: { id: bottle.id }, body: { entryId: uuid(), kind, ml, rolls } })
  expect((await write('top-up', 1)).body.code).toBe('too-full')
  expect((await write('pour-out', 0)).body.code).toBe('nothing')
  await write('pour-out', 250)
  expect((await write('pour-back', 200)).status).toBe(200)
  expect((await write('use', 30, 2)).status).toBe(200)
  const { state, ledger } = await show(bottle.id)
  expect([state.volumeMl, state.rolls]).toEqual([920, 2])
  expect(ledger.map((line) => line.kind)).toEqual(['use', 'pour-back', 'pour-out', 'fill'])
})

test('a bottle grows old with the clock and says so', async () => {
  const own = await testHouse()
  const flags = async () => {
    // twenty days on, who last signed in before is signed out
    const tech = await own.as('ilse')
    return new Map(
      (await tech.send('GET', '/api/bottles')).body.rows?.map((row) => [
        row.label as string,
        (row.state as { findings: { rule: string }[] }).findings[0]?.rule,
      ]),
    )
  }
  const before = await flags()
  own.advance(20 * 86_400_000)
  const after = await flags()
  const label = [...before].find(([name, rule]) => rule === undefined && name.startsWith('W') && after.get(name) === 'bottle-expired')
  expect(label?.[0]).toMatch(/^W\d+$/)
  await own.close()
}, 30_000)

test('the house keeps its tanks and its chart, each name and row once', async () => {
  const id = uuid()
  const tank = { id, name: 'Loft tank', kind: 'hand', format: '135', coversMl: [300, 590.5], carryMl: null }
  expect((await ilse.send('POST', '/api/vessels', tank)).body).toEqual({
    ...tank,
    version: 1,
    also: [],
    reels: 2,
    running: [],
    planned: [],
  })
  expect((await ilse.send('POST', '/api/vessels', { ...tank, id: uuid() })).body).toMatchObject({
    code: 'exists',
    message: expect.stringContaining('tank of that name'),
  })
  const { id: _id, ...measured } = { ...tank, coversMl: [310], carryMl: 12.5 }
  const change = () => ilse.send('PUT', `/api/vessels/${id}`, { version: 1, ...measured })
  expect((await change()).body).toEqual({ ...measured, id, version: 2, also: [], reels: 1, running: [], planned: [] })
  expect((await change()).body.code).toBe('stale')
  const formula = (await ilse.send('GET', '/api/formulas')).body.rows?.[0]
  const row = {
    id: uuid(),
    film: 'Saltpan 50',
    formulaId: formula?.id,
    parts: [1, 2],
    ei: 25,
    temperatureC: 20.5,
    seconds: 512.25,
    source: 'Ilse',
    note: '',
  }
  expect((await ilse.send('POST', '/api/chart', row)).body).toEqual({ ...row, by: 'Ilse Varn', tried: null, version: 1 })
  expect((await ilse.send('POST', '/api/chart', { ...row, id: uuid(), formulaId: uuid() })).body.code).toBe('unknown-reference')
  const jar = await ilse.send('POST', '/api/jars', { id: uuid(), entryId: uuid(), chemical: 'metol', lot: 'X', place: '', grams: 100.25 })
  expect(jar.body).toMatchObject({ grams: 100.25, code: expect.stringMatching(/^[2-9A-HJKMNP-Z]{6}$/) })
  expect(
    (await ilse.send('POST', '/api/jars', { id: uuid(), entryId: uuid(), chemical: 'moonshine', lot: '', place: '', grams: 1 })).body.code,
  ).toBe('unknown-chemical')
})

test('every change is told to whoever listens', async () => {
  const bottle = await find('Soft borax developer')
  const stream = await fetch(`${house.url}/api/events`, { headers: { cookie: ilse.cookie } })
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
  await reader.read()
  await pour(odo, bottle.id, 1)
  let heard = ''
  while (!heard.includes(bottle.id)) heard += (await reader.read()).value ?? ''
  expect(heard).toContain('"subject":"bottle"')
  await reader.cancel()
})
