import { houseIds, type OrderWish } from '@selvrin/core'
import type { FilmOrder, OrderLine } from '@selvrin/core/contract'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import { slipLines } from '../paper/slip'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [ilse, tilda, bram]: Caller[] = []
const ids: Record<string, string> = {}
beforeAll(async () => {
  house = await testHouse()
  ;[ilse, tilda, bram] = [await house.as('ilse'), await house.as('tilda'), await house.as('bram')]
  for (const { login, id } of await house.sql<{ login: string; id: string }>('select login, id from person')) ids[login] = id
}, 30_000)
afterAll(() => house.close())

const wish: OrderWish = {
  ...{ film: 'Millrace 400', format: '135-36', count: 2, ei: 400, pushStops: 0, processId: houseIds['bw-negative'], developer: null },
  ...{ earliest: null, wantedBy: null, present: false, critical: false, note: '' },
}
const handIn = (who: Caller, more: Partial<OrderWish> & { memberId?: string } = {}) =>
  who.send('POST', '/api/orders', { id: uuid(), memberId: ids.tilda, ...wish, ...more })
const said = ({ status, body }: Answer) => [status, body.code]
const order = ({ body }: Answer) => body as unknown as FilmOrder
const change = (who: Caller, { id, wishVersion }: Pick<FilmOrder, 'id' | 'wishVersion'>, more: Partial<OrderWish>) =>
  who.send('PUT', `/api/orders/${id}`, { wishVersion, ...wish, ...more })

test('rolls come in with a number and a place; their owner sees them and nobody else’s', async () => {
  const first = order(await handIn(tilda!))
  const second = order(await handIn(ilse!, { memberId: ids.bram }))
  expect([second.number - first.number, first.rack === second.rack, first.member, second.member, second.by]).toEqual([
    ...[1, false, 'Tilda Rook', 'Bram Osier', 'Ilse Varn'],
  ])
  const seen = async (who: Caller) => ((await who.send('GET', '/api/orders')).body.rows as unknown as FilmOrder[]).map((one) => one.member)
  expect(new Set(await seen(tilda!))).toEqual(new Set(['Tilda Rook']))
  expect(await seen(ilse!)).toEqual(expect.arrayContaining(['Tilda Rook', 'Bram Osier', 'Ansa Withy']))
  expect(said(await handIn(tilda!, { memberId: ids.bram }))).toEqual([403, 'not-yours'])
})

test('two who hand in at the same moment have two numbers and two places; what is handed in twice is there once', async () => {
  const both = (await Promise.all([handIn(tilda!), handIn(ilse!, { memberId: ids.bram })])).map(order)
  expect(new Set(both.map((one) => one.number)).size).toBe(2)
  expect(new Set(both.map((one) => one.rack)).size).toBe(2)
  const body = { id: uuid(), memberId: ids.tilda, ...wish }
  const key = uuid()
  const again = [
    await tilda!.send('POST', '/api/orders', body, { 'idempotency-key': key }),
    await tilda!.send('POST', '/api/orders', body, { 'idempotency-key': key }),
  ].map(order)
  expect(again[0]).toEqual(again[1])
})

test('what cannot be wanted is refused in a sentence at its field', async () => {
  const refuses = async (more: object, field: string, sentence: RegExp) => {
    const { status, body } = await handIn(tilda!, more)
    expect([status, body.field, body.message]).toEqual([422, field, expect.stringMatching(sentence)])
  }
  await refuses({ wantedBy: house.now() - 1 }, 'wantedBy', /is over/)
  await refuses({ earliest: house.now() + 5000, wantedBy: house.now() + 4000 }, 'wantedBy', /before it is there/)
  await refuses({ developer: { formulaId: uuid(), parts: [1] } }, 'developer', /not there any more/)
  expect((await handIn(tilda!, { count: 0 })).status).toBe(400)
  expect((await handIn(tilda!, { processId: uuid() })).status).toBe(404)
})

test('a change leaves what it was; an older version is told what it is now; a time that has passed meanwhile does not stop another change', async () => {
  const wantedBy = house.now() + 60_000
  const first = order(await handIn(tilda!, { wantedBy }))
  const changed = order(await change(tilda!, first, { count: 3, wantedBy }))
  const stale = await change(ilse!, first, { count: 5 })
  expect([stale.status, (stale.body.current as FilmOrder).count]).toEqual([409, 3])
  house.advance(120_000)
  const noted = await change(ilse!, changed, { count: 3, wantedBy, note: 'thick base' })
  expect(noted.status).toBe(200)
  expect(said(await change(ilse!, order(noted), { count: 3, wantedBy: wantedBy - 1 }))).toEqual([422, 'past'])
  const { trace } = (await tilda!.send('GET', `/api/orders/${first.id}`)).body as unknown as { trace: OrderLine[] }
  expect(trace.map(({ what, by, changes }) => [what, by, changes.map(({ field, before, after }) => [field, before, after])])).toEqual([
    ['changed', 'Ilse Varn', [['note', '', 'thick base']]],
    ['changed', 'Tilda Rook', [['count', 2, 3]]],
    ['handed-in', 'Tilda Rook', []],
  ])
})

test('a day it is promised, or a time it is planned for, does not stand in the way of whoever wants something else', async () => {
  const first = order(await handIn(tilda!))
  await house.sql(`update film_order set promised_for = '2099-01-01', version = version + 1 where id = $1`, [first.id])
  const changed = await change(tilda!, first, { note: 'thick base' })
  expect([changed.status, order(changed).promisedFor, order(changed).version - first.version]).toEqual([200, '2099-01-01', 2])
})

test('withdrawn, its place is free for the next, and it is over; what is in the tank is neither changed nor withdrawn', async () => {
  const first = order(await handIn(tilda!))
  const gone = await tilda!.send('POST', `/api/orders/${first.id}/withdraw`, { wishVersion: first.wishVersion, why: 'changed my mind' })
  expect([gone.body.state, gone.body.rack]).toEqual(['withdrawn', null])
  expect(order(await handIn(bram!, { memberId: ids.bram })).rack).toBe(first.rack)
  expect(said(await change(tilda!, order(gone), { count: 1 }))).toEqual([409, 'closed'])
  const over = (await tilda!.send('GET', '/api/orders?which=over')).body.rows as unknown as FilmOrder[]
  expect(over.map((one) => one.id)).toContain(first.id)
  const begun = order(await handIn(tilda!))
  await house.sql(`update film_order set state = 'begun' where id = $1`, [begun.id])
  const answer = await tilda!.send('POST', `/api/orders/${begun.id}/withdraw`, { wishVersion: begun.wishVersion, why: 'too late' })
  expect([answer.status, answer.body.message]).toEqual([409, expect.stringMatching(/^Order \d+ is in the tank already/)])
})

test('a photograph of the canister is kept without where it was taken, for its owner and technicians', async () => {
  const { id } = order(await handIn(tilda!))
  const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a33' } })
    .withExif({ IFD0: { Artist: 'somebody' } })
    .jpeg()
    .toBuffer()
  expect((await tilda!.sendFile('PUT', `/api/orders/${id}/photo`, {}, bytes)).status).toBe(200)
  expect(((await tilda!.send('GET', `/api/orders/${id}`)).body as unknown as FilmOrder).photo).toBe(true)
  expect((await bram!.send('GET', `/api/orders/${id}/photo`)).status).toBe(403)
  const kept = await house.one<{ bytes: Buffer }>('select bytes from order_photo where order_id = $1', [id])
  expect((await sharp(kept!.bytes).metadata()).exif).toBeUndefined()
  expect((await tilda!.sendFile('PUT', `/api/orders/${id}/photo`, {}, Buffer.from('no picture'))).status).toBe(422)
})

test('orders are found by their number, film and owner, and told live to whom they concern', async () => {
  const { number } = order(await handIn(ilse!, { memberId: ids.nell, film: 'Saltpan 50', ei: 50 }))
  const find = async (words: string) =>
    ((await ilse!.send('GET', `/api/orders?find=${words}`)).body.rows as unknown as FilmOrder[]).map((one) => one.number)
  expect(await find('nell%20saltpan')).toEqual([number])
  expect(await find(`order%20${number}`)).toContain(number)
  expect(await find('100%25')).toEqual([])
})

test('the slip says what matters first', async () => {
  const made = order(await handIn(tilda!, { critical: true, pushStops: -1, note: 'mind the leader' }))
  expect(slipLines(made, 'UTC').slice(0, 3)).toEqual([
    '2 × Millrace 400, 135-36, EI 400, pull 1',
    'ONLY NEGATIVES: alone, on tested chemistry',
    'Black-and-white negative',
  ])
  for (const on of ['label', 'a6']) {
    const pdf = await tilda!.send('GET', `/api/print/orders/${made.id}?on=${on}`)
    expect(pdf.status).toBe(200)
  }
})
