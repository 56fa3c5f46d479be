import { toneApi, type Swatch } from '@selvrin/core/contract'
import sharp from 'sharp'
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
const strip = {
  ...{ toner: 'sulfide-complete', ratio: { thiourea: 80, hydroxide: 40 }, dilution: null, bleaching: 'complete' },
  ...{ bleachS: 200, toneS: 90, paper: 'Loft fibre', note: '' },
}
const keep = (body: object, id = uuid()) => ilse.call(toneApi.keep, { body: { id, body } })
const book = async (who: Caller, of: string): Promise<Swatch[]> =>
  ((await who.call(toneApi.get)).body.rows as unknown as Swatch[]).filter((one) => one.id === of)

test('a strip goes into the book with its photograph, everybody reads it, and it can be taken out', async () => {
  const kept = (await keep(strip)).body as unknown as Swatch
  expect(kept).toMatchObject({ body: strip, photo: false, by: 'Ilse Varn' })
  const bytes = await sharp({ create: { width: 40, height: 20, channels: 3, background: '#876' } })
    .png()
    .toBuffer()
  const path = `/api/swatches/${kept.id}/photo`
  expect((await tilda.sendFile('PUT', path, {}, bytes)).status).toBe(403)
  expect((await ilse.sendFile('PUT', path, {}, Buffer.from('no picture'))).status).toBe(422)
  expect((await ilse.sendFile('PUT', path, {}, bytes)).status).toBe(200)
  expect((await book(tilda, kept.id)).map((one) => one.photo)).toEqual([true])
  const shown = await fetch(house.url + path, { headers: { cookie: tilda.cookie } })
  expect(shown.headers.get('content-type')).toBe('image/png')
  expect(said(await ilse.call(toneApi.takeOut, { params: { id: kept.id }, body: { version: 9 } }))).toEqual([409, 'stale'])
  expect(await book(tilda, kept.id)).toHaveLength(1)
  expect((await ilse.call(toneApi.takeOut, { params: { id: kept.id }, body: { version: kept.version } })).status).toBe(200)
  expect(await book(tilda, kept.id)).toEqual([])
  expect((await tilda.call(toneApi.getPhoto, { params: { id: kept.id } })).status).toBe(404)
})

test('a strip that nobody could mix again does not go in', async () => {
  expect(said(await keep({ ...strip, ratio: null }))).toEqual([422, 'no-ratio'])
  expect(said(await keep({ ...strip, bleaching: 'pulled' }))).toEqual([422, 'no-bleach'])
  expect(said(await keep({ ...strip, toner: 'gold' }))).toEqual([422, 'no-ratio'])
  expect((await keep({ ...strip, paper: ' ' })).status).toBe(400)
  expect((await keep({ ...strip, toneS: 0 })).status).toBe(400)
  expect(said(await keep({ ...strip, toner: 'selenium', ratio: null, bleaching: null, dilution: 9 }))).toEqual([200, undefined])
})

test('the book is told page by page, the newest first, and none twice', async () => {
  const all = ((await ilse.call(toneApi.get)).body.rows ?? []).map((one) => String(one.id))
  const paged: string[] = []
  for (let after: string | undefined; ;) {
    const { body } = await ilse.call(toneApi.get, { query: { limit: '4', ...(after === undefined ? {} : { after }) } })
    paged.push(...(body.rows ?? []).map((one) => String(one.id)))
    if (body.after === null) break
    after = String(body.after)
  }
  expect(all.length).toBeGreaterThan(8)
  expect(paged).toEqual(all)
})
