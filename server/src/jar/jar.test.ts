import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

async function newJar(more: object = {}) {
  const id = uuid()
  const { status, body } = await ilse.send('POST', '/api/jars', {
    id,
    entryId: uuid(),
    chemical: 'potassium-hydroxide',
    grams: 500,
    lot: '26-X',
    place: 'caustics',
    ...more,
  })
  expect(status).toBe(200)
  return { id, body }
}
const write = (id: string, kind: string, grams: number) => ilse.send('POST', `/api/jars/${id}/entries`, { entryId: uuid(), kind, grams })
const count = (id: string, grams: number, expectedG: number) =>
  ilse.send('POST', `/api/jars/${id}/count`, { entryId: uuid(), grams, expectedG })

test('receive, consume, discard and count make a ledger that adds up and never goes below nothing', async () => {
  const { id } = await newJar()
  await write(id, 'receive', 100)
  await write(id, 'consume', 50.5)
  expect((await write(id, 'discard', 600)).body).toMatchObject({ code: 'not-enough', field: 'grams' })
  const page = await count(id, 540, 549.5)
  expect(page.body.grams).toBe(540)
  expect(
    (page.body.ledger as { kind: string; grams: number; balanceG: number }[]).map((line) => [line.kind, line.grams, line.balanceG]),
  ).toEqual([
    ['correct', -9.5, 540],
    ['consume', -50.5, 549.5],
    ['receive', 100, 600],
    ['receive', 500, 500],
  ])
  await expect(house.sql('update jar_entry set grams = 1 where jar_id = $1', [id])).rejects.toThrow('append-only')
})

test('a count of a jar someone took from meanwhile is refused with what it holds now', async () => {
  const { id } = await newJar()
  await write(id, 'consume', 20)
  const late = await count(id, 500, 500)
  expect([late.status, (late.body.current as { grams: number }).grams]).toEqual([409, 480])
})

test('what is known of a jar changes by version; an edit of an older one is refused with the present one', async () => {
  const { id } = await newJar({ assay: 0.85, pricePerKg: 14 })
  const facts = {
    lot: '26-Y',
    place: 'low shelf',
    openedAt: house.now() - 1000,
    assay: 0.88,
    pricePerKg: 15,
    reorderG: 100,
    storage: 'alkalis',
    spoonG: null,
  }
  expect((await ilse.send('PUT', `/api/jars/${id}`, { version: 1, ...facts })).body).toMatchObject({
    version: 2,
    assay: 0.88,
    storage: 'alkalis',
  })
  const stale = await ilse.send('PUT', `/api/jars/${id}`, { version: 1, ...facts, lot: '26-Z' })
  expect([stale.status, (stale.body.current as { lot: string }).lot]).toEqual([409, '26-Y'])
})

test('a safety sheet is kept as it came, told by its content, and shown without letting it do anything', async () => {
  const { id } = await newJar()
  const sheet = (text: string, name = 'sheet.pdf') => ilse.sendFile('PUT', `/api/jars/${id}/sheet`, { name }, Buffer.from(text))
  expect((await ilse.send('PUT', `/api/jars/${id}/sheet`, { name: 'sheet.pdf' })).body.code).toBe('not-a-form')
  expect((await sheet('<html>no sheet</html>')).body.code).toBe('not-a-sheet')
  expect((await sheet(`%PDF-1.7 ${'x'.repeat(8_100_000)}`)).status).toBe(413)
  expect((await sheet('%PDF-1.7 a sheet')).body.sheet).toEqual({ name: 'sheet.pdf', type: 'application/pdf', bytes: 16 })
  const got = await fetch(`${house.url}/api/jars/${id}/sheet`, { headers: { cookie: ilse.cookie } })
  expect(await got.text()).toBe('%PDF-1.7 a sheet')
  expect(got.headers.get('content-type')).toBe('application/pdf')
  expect(got.headers.get('content-security-policy')).toContain('sandbox')
  expect((await (await house.as('tilda')).send('GET', `/api/jars/${id}/sheet`)).status).toBe(403)
  await ilse.send('DELETE', `/api/jars/${id}/sheet`, {})
  expect((await ilse.send('GET', `/api/jars/${id}/sheet`)).status).toBe(404)
})

test('labels and bench cards are PDF, with a code for every bottle', async () => {
  const bottles = (await ilse.send('GET', '/api/bottles')).body.rows?.slice(0, 3).map((row) => row.id as string) ?? []
  const { id } = await newJar()
  const pdf = async (path: string) => {
    const got = await fetch(house.url + path, { headers: { cookie: ilse.cookie } })
    return { status: got.status, type: got.headers.get('content-type'), text: Buffer.from(await got.arrayBuffer()).toString('latin1') }
  }
  const one = await pdf(`/api/print/labels?bottles=${bottles[0]}&sheet=a4-24`)
  const all = await pdf(`/api/print/labels?bottles=${bottles.join()}&jars=${id}&sheet=letter-10&from=9`)
  expect([one.status, one.type, one.text.slice(0, 5)]).toEqual([200, 'application/pdf', '%PDF-'])
  expect(one.text.match(/\/Type \/Page\b/g)).toHaveLength(1)
  expect(all.text.match(/\/Type \/Page\b/g)).toHaveLength(2)
  expect((await pdf(`/api/print/labels?bottles=${uuid()}`)).status).toBe(404)
  expect((await pdf('/api/print/labels')).status).toBe(422)
  const formulas = (await ilse.send('GET', '/api/formulas')).body.rows?.slice(0, 4) ?? []
  for (const row of formulas) {
    const card = await pdf(`/api/print/formulas/${row.id as string}?ml=2500`)
    expect([card.status, card.text.slice(0, 5)]).toEqual([200, '%PDF-'])
  }
}, 20_000)

test('a line of a jar that was wrong is taken back once, and not where a later line needs it', async () => {
  const { id } = await newJar()
  const entry = uuid()
  await ilse.send('POST', `/api/jars/${id}/entries`, { entryId: entry, kind: 'receive', grams: 5000 })
  await write(id, 'consume', 700)
  const takeBack = (entryId: string) =>
    ilse.send('POST', `/api/jars/${id}/entries/${entryId}/reverse`, { newId: uuid(), reason: 'a zero too many' })
  const refused = await takeBack(entry)
  expect([refused.status, refused.body.message]).toEqual([409, expect.stringContaining('the taking of 700.0 g after it')])
  const taken = ((await ilse.send('GET', `/api/jars/${id}`)).body.ledger as { id: string; kind: string }[]).find(
    (one) => one.kind === 'consume',
  )
  expect((await takeBack(taken?.id ?? '')).body.grams).toBe(5500)
  const after = await takeBack(entry)
  expect([after.body.grams, (after.body.ledger as { kind: string }[])[0]?.kind]).toEqual([500, 'reverse'])
  expect((await takeBack(entry)).body.code).toBe('reversed')
})
