import type { PrintTry } from '@selvrin/core'
import { traysApi, type BoxOfPaper, type PrintSheet, type PrintTryRow } from '@selvrin/core/contract'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let tilda: Caller
const paperId = uuid()
const enlargerId = uuid()
const paper = { name: 'Sluice satin', base: 'rc', holdsDeveloper: false, grade: null, speed: 250, dryDown: 0.02 }
const enlarger = { name: 'By the window', filters: { kind: 'set' }, lagS: 0.1, lenses: [{ name: '', focalMm: 50 }] }
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  tilda = await house.as('tilda')
  expect((await ilse.call(traysApi.addPaper, { body: { id: paperId, ...paper } })).status).toBe(200)
  expect((await ilse.call(traysApi.addEnlarger, { body: { id: enlargerId, ...enlarger } })).status).toBe(200)
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const me = async (who: Caller): Promise<string> => ((await who.send('GET', '/api/session')).body as { person: { id: string } }).person.id
async function boxOf(sheets: number): Promise<BoxOfPaper> {
  const body = { id: uuid(), paperId, widthCm: 20, heightCm: 25, sheets, price: 30, batch: '' }
  const answer = await ilse.call(traysApi.addBox, { body })
  expect(answer.status).toBe(200)
  return answer.body as unknown as BoxOfPaper
}
const leftIn = async (id: string): Promise<number | undefined> =>
  ((await ilse.send('GET', '/api/trays')).body.boxes as unknown as BoxOfPaper[]).find((one) => one.id === id)?.left
const setupWith = (boxId: string) => ({ boxId, enlargerId, m: 8, lensN: 8, developer: 'metol–hydroquinone 1+9' })
async function begun(who: Caller, boxId: string): Promise<PrintSheet> {
  const negative = { what: 'roll 41, frame 12', widthMm: 36, heightMm: 24 }
  const body = { id: uuid(), memberId: await me(who), title: 'The sluice at low water', negative, setup: setupWith(boxId) }
  const answer = await who.call(traysApi.begin, { body })
  expect(answer.status).toBe(200)
  return answer.body as unknown as PrintSheet
}
const strip: PrintTry = {
  ...{ kind: 'strip', steps: { by: 'stops', firstS: 8, stepStops: 0.5 }, bands: 5, way: 'cover' },
  ...{ filter: { kind: 'set', grade: '2' }, under: [], chosen: null },
}
const expose = (who: Caller, sheet: PrintSheet, plan: object, sheets: number, boxId = sheet.setup.boxId) =>
  who.call(traysApi.expose, { params: { id: sheet.id }, body: { id: uuid(), entryId: uuid(), setup: setupWith(boxId), plan, sheets } })
const judge = (who: Caller, sheet: PrintSheet, one: PrintTryRow, more: object) =>
  who.call(traysApi.judge, {
    params: { id: sheet.id, tryId: one.id },
    body: { version: one.version, chosen: null, said: [], note: '', ...more },
  })

test('from a strip to the print: its paper is drawn and costs, the band is chosen, what is said is kept', async () => {
  const box = await boxOf(25)
  const sheet = await begun(tilda, box.id)
  const first = (await expose(tilda, sheet, strip, 0.25)).body as unknown as PrintTryRow
  expect([first.sheets, first.cost, await leftIn(box.id)]).toEqual([0.25, 0.3, 24.75])
  const chosen = await judge(tilda, sheet, first, { chosen: [2] })
  expect((chosen.body.plan as { chosen: number[] }).chosen).toEqual([2])
  // who had not seen it says it once more
  expect(said(await judge(tilda, sheet, first, { chosen: [3] }))).toEqual([409, 'stale'])
  const again = chosen.body as unknown as PrintTryRow
  expect(said(await judge(tilda, sheet, again, { chosen: [7] }))).toEqual([422, 'no-band'])
  expect(said(await judge(tilda, sheet, again, { said: [{ of: 'print', stops: 1 }] }))).toEqual([422, 'strip'])
  const print = { kind: 'print', exposures: [{ seconds: 16, filter: { kind: 'set', grade: '2' } }], places: [] }
  const second = (await expose(tilda, sheet, print, 1)).body as unknown as PrintTryRow
  const words = [
    { of: 'print', stops: 0.263 },
    { of: 'grade', halves: 1 },
  ]
  expect((await judge(tilda, sheet, second, { said: words, note: 'the sky is thin' })).body).toMatchObject({ said: words, version: 2 })
  const page = (await tilda.send('GET', `/api/prints/${sheet.id}`)).body as unknown as { sheet: PrintSheet; tries: PrintTryRow[] }
  expect([page.sheet.tries, page.tries.map((one) => one.id)]).toEqual([2, [first.id, second.id]])
})

test('a box never gives more than it has, however many draw at once; what it is counted to is a line of its own', async () => {
  const box = await boxOf(3)
  const sheet = await begun(tilda, box.id)
  const print = { kind: 'print', exposures: [{ seconds: 16, filter: { kind: 'set', grade: '2' } }], places: [] }
  const both = await Promise.all([expose(tilda, sheet, print, 2), expose(ilse, sheet, print, 2)])
  expect(both.map(said).sort()).toEqual([
    [200, undefined],
    [409, 'box-empty'],
  ])
  expect(await leftIn(box.id)).toBe(1)
  const version = ((await ilse.send('GET', '/api/trays')).body.boxes as unknown as BoxOfPaper[]).find((one) => one.id === box.id)!.version
  const count = (left: number, seen: number) =>
    ilse.call(traysApi.countBox, {
      params: { id: box.id },
      body: { entryId: uuid(), version: seen, left, note: 'two more were in the lid' },
    })
  expect((await count(3, version)).body.left).toBe(3)
  expect(said(await count(5, version))).toEqual([409, 'stale'])
  expect(await leftIn(box.id)).toBe(3)
})

test('what enlarger and paper cannot do is refused and draws no paper', async () => {
  const box = await boxOf(10)
  const sheet = await begun(ilse, box.id)
  const through = (filter: object) => expose(ilse, sheet, { kind: 'print', exposures: [{ seconds: 10, filter }], places: [] }, 1)
  expect(said(await through({ kind: 'dials', y: 0, m: 45, grade: null }))).toEqual([422, 'other-filters'])
  expect(said(await expose(ilse, sheet, { ...strip, bands: 1 }, 1))).toEqual([400, 'invalid'])
  expect(said(await expose(ilse, sheet, strip, 1, uuid()))).toEqual([404, 'not-found'])
  expect(await leftIn(box.id)).toBe(10)
})

test('a member sees their own prints alone, and begins none for others', async () => {
  const box = await boxOf(10)
  const [hers, own] = [await begun(ilse, box.id), await begun(tilda, box.id)]
  expect(said(await tilda.send('GET', `/api/prints/${hers.id}`))).toEqual([404, 'not-found'])
  expect(said(await expose(tilda, hers, strip, 0.25))).toEqual([404, 'not-found'])
  const ids = async (who: Caller) =>
    ((await who.send('GET', '/api/prints?find=low water')).body.rows as unknown as PrintSheet[]).map((one) => one.id)
  expect(await ids(tilda)).not.toContain(hers.id)
  expect(await ids(ilse)).toEqual(expect.arrayContaining([hers.id, own.id]))
  const theirs = { id: uuid(), memberId: await me(ilse), title: 'x', negative: hers.negative, setup: setupWith(box.id) }
  expect(said(await tilda.call(traysApi.begin, { body: theirs }))).toEqual([403, 'not-yours'])
  const { version, title, negative, setup } = own
  const done = await tilda.call(traysApi.change, { params: { id: own.id }, body: { version, title, negative, setup, done: true } })
  expect(done.body.done).toBe(true)
  expect(((await tilda.send('GET', '/api/trays')).body.sheets as unknown as PrintSheet[]).map((one) => one.id)).not.toContain(own.id)
})

test('what was matched and measured is kept with its date and taken back; what is not of this house, or says no time, is refused', async () => {
  const calibrate = (body: object, who = ilse) => who.call(traysApi.calibrate, { body: { id: uuid(), body } })
  const tones = { light: { beforeS: 12, afterS: 15 }, dark: { beforeS: 20, afterS: 25 } }
  const before = ((await tilda.send('GET', '/api/trays')).body.calibrations as unknown[]).length
  const swap = { kind: 'swap', of: 'developer', enlargerId: null, paperId, stepStops: 1 / 6, ...tones, note: 'batch 9' }
  expect(said(await calibrate(swap, tilda))).toEqual([403, 'not-yours'])
  expect(said(await calibrate({ ...swap, paperId: uuid() }))).toEqual([404, 'not-found'])
  expect(said(await calibrate({ ...swap, light: { beforeS: 0, afterS: 15 } }))).toEqual([400, 'invalid'])
  const kept = await calibrate(swap)
  expect(kept.status).toBe(200)
  const contact = {
    kind: 'contact',
    enlargerId,
    paperId,
    m: 8,
    lensN: 8,
    grade: '2',
    developer: '',
    film: 'Millrace 400',
    firstS: 4,
    stepStops: 0.5,
    bands: 7,
  }
  expect(said(await calibrate({ ...contact, chosen: 6, densities: [] }))).toEqual([422, 'no-end'])
  expect((await calibrate({ ...contact, chosen: 3, densities: [] })).status).toBe(200)
  const rows = async () => (await tilda.send('GET', '/api/trays')).body.calibrations as unknown as { id: string; version: number }[]
  // beside the wedges the demo came with
  expect((await rows()).length).toBe(before + 2)
  const { id, version } = kept.body as unknown as { id: string; version: number }
  const back = (seen: number) => ilse.call(traysApi.calibrateBack, { params: { id }, body: { version: seen } })
  expect(said(await back(version + 1))).toEqual([409, 'stale'])
  expect((await back(version)).status).toBe(200)
  expect(said(await back(version))).toEqual([404, 'not-found'])
  expect((await rows()).map((one) => one.id)).not.toContain(id)
})

test('a head goes by its wedges: kept once they are sound, and what is harder by them is judged on the server as well', async () => {
  const head = { id: uuid(), name: 'Wedge bench', filters: { kind: 'single', max: 170 }, lagS: 0, lenses: [] }
  expect((await ilse.call(traysApi.addEnlarger, { body: head })).status).toBe(200)
  const box = await boxOf(10)
  const reading = (m: number, black: number, white: number) => ({ y: 0, m, seconds: 10, black, grey: 8, white, light: null })
  const wedges = (more: object) => ({
    ...{ kind: 'wedges', enlargerId: head.id, paperId, stepD: 0.15, key: 'middle', developer: '', note: '' },
    ...{ readings: [reading(0, 4, 11), reading(60, 5, 10)], ...more },
  })
  const calibrate = (body: object) => ilse.call(traysApi.calibrate, { body: { id: uuid(), body } })
  expect(said(await calibrate(wedges({ enlargerId })))).toEqual([422, 'no-dials'])
  expect(said(await calibrate(wedges({ readings: [reading(0, 4, 11)] })))).toEqual([400, 'invalid'])
  expect(said(await calibrate(wedges({ readings: [reading(0, 4, 11), reading(60, 9, 10)] })))).toEqual([422, 'no-wedge'])
  const sheet = await begun(ilse, box.id)
  const dials = { kind: 'dials', y: 0, m: 0, grade: '2' }
  const setup = { ...setupWith(box.id), enlargerId: head.id }
  const body = {
    id: uuid(),
    entryId: uuid(),
    setup,
    sheets: 1,
    plan: { kind: 'print', exposures: [{ seconds: 10, filter: dials }], places: [] },
  }
  const tried = await ilse.call(traysApi.expose, { params: { id: sheet.id }, body })
  expect(tried.status).toBe(200)
  const judge = (version: number, halves: number) =>
    ilse.call(traysApi.judge, {
      params: { id: sheet.id, tryId: body.id },
      body: { version, chosen: null, said: [{ of: 'grade', halves }], note: '' },
    })
  // by the table two grades harder are magenta 100; by the wedges nobody knows what lies beyond 60
  expect((await judge(1, 4)).status).toBe(200)
  expect((await calibrate(wedges({}))).status).toBe(200)
  expect(said(await judge(2, 8))).toEqual([422, 'outside-range'])
  expect((await judge(2, 1)).status).toBe(200)
})

test('where a print’s places lie is drawn on its sheet, and a photograph kept without where it was taken, for its owner and technicians', async () => {
  const box = await boxOf(10)
  const sheet = await begun(tilda, box.id)
  const sky = { name: 'sky', shape: 'straight', x: 0, y: 0, width: 1, height: 0.3 }
  const draw = (who: Caller, version: number, outline: object[]) =>
    who.call(traysApi.draw, { params: { id: sheet.id }, body: { version, outline } })
  const drawn = await draw(tilda, sheet.version, [sky])
  expect(drawn.body.outline).toEqual([sky])
  expect(said(await draw(ilse, sheet.version, []))).toEqual([409, 'stale'])
  const now = (drawn.body as unknown as PrintSheet).version
  expect(said(await draw(ilse, now, [sky, sky]))).toEqual([400, 'invalid'])
  expect(said(await draw(ilse, now, [{ ...sky, x: 0.5 }]))).toEqual([400, 'invalid'])
  const bram = await house.as('bram')
  expect(said(await draw(bram, now, []))).toEqual([404, 'not-found'])
  const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#777' } })
    .withExif({ IFD0: { Artist: 'somebody' } })
    .jpeg()
    .toBuffer()
  const path = `/api/prints/${sheet.id}/photo`
  expect(said(await bram.sendFile('PUT', path, {}, bytes))).toEqual([404, 'not-found'])
  expect((await tilda.sendFile('PUT', path, {}, Buffer.from('no picture'))).status).toBe(422)
  expect((await tilda.sendFile('PUT', path, {}, bytes)).status).toBe(200)
  // as a page asks for it; what is no count is no question
  const fetched = (path: string) => fetch(house.url + path, { headers: { cookie: tilda.cookie } })
  expect((await fetched(`${path}?turn=1`)).headers.get('content-type')).toBe('image/jpeg')
  expect((await fetched(`${path}?1`)).status).toBe(400)
  const seen = (await tilda.send('GET', `/api/prints/${sheet.id}`)).body.sheet as PrintSheet
  expect([seen.photo, seen.outline]).toEqual([true, [sky]])
  const [kept] = await house.sql<{ bytes: Buffer }>('select bytes from sheet_photo where sheet_id = $1', [sheet.id])
  expect((await sharp(kept?.bytes).metadata()).exif).toBeUndefined()
})

test('a negative is on a film that was developed here, one’s own; nobody names another’s', async () => {
  const box = await boxOf(10)
  const films = async (who: Caller) =>
    (await who.send('GET', '/api/rolls')).body.rows as unknown as { id: string; memberId: string | null }[]
  const [own] = await films(tilda)
  const others = (await films(ilse)).find((one) => one.memberId !== own?.memberId)
  const begin = async (who: Caller, rollId: string) => {
    const negative = { what: 'run 9, frame 3', widthMm: 36, heightMm: 24, rollId }
    return who.call(traysApi.begin, {
      body: { id: uuid(), memberId: await me(who), title: 'Of a film', negative, setup: setupWith(box.id) },
    })
  }
  expect(said(await begin(tilda, others?.id ?? ''))).toEqual([404, 'not-found'])
  expect(said(await begin(ilse, uuid()))).toEqual([404, 'not-found'])
  expect((await begin(ilse, others?.id ?? '')).status).toBe(200)
  const kept = await begin(tilda, own?.id ?? '')
  expect((kept.body.negative as { rollId: string }).rollId).toBe(own?.id)
})
