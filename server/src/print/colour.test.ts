import { traysApi, type BoxOfPaper, type PrintSheet, type PrintTryRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
const [paperId, greyId, enlargerId] = [uuid(), uuid(), uuid()]
const paper = { base: 'rc', holdsDeveloper: false, grade: null, speed: null, dryDown: 0 }
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  const good = async (answer: Promise<Answer>) => expect((await answer).status).toBe(200)
  await good(ilse.call(traysApi.addPaper, { body: { id: paperId, name: 'Ebb gloss', material: 'negative', ...paper } }))
  await good(ilse.call(traysApi.addPaper, { body: { id: greyId, name: 'Sluice satin', ...paper } }))
  const filters = { kind: 'single', max: 130 }
  await good(ilse.call(traysApi.addEnlarger, { body: { id: enlargerId, name: 'Under the beam', filters, lagS: 0, lenses: [] } }))
}, 60_000)
afterAll(() => house.close())

const code = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const pack = (y: number, m: number, c = 0) => ({ kind: 'pack', y, m, c })
const printed = (filter: object) => ({ kind: 'print', exposures: [{ seconds: 10, filter }], places: [] })
async function boxOf(of: string, label?: object): Promise<BoxOfPaper> {
  const body = { id: uuid(), paperId: of, widthCm: 20, heightCm: 25, sheets: 10, price: null, batch: '', ...(label ? { label } : {}) }
  return (await ilse.call(traysApi.addBox, { body })).body as unknown as BoxOfPaper
}
async function begun(boxId: string) {
  const me = ((await ilse.send('GET', '/api/session')).body as { person: { id: string } }).person.id
  const setup = { boxId, enlargerId, m: 8, lensN: 8, developer: '' }
  const negative = { what: 'roll C1', widthMm: 36, heightMm: 24 }
  const sheet = (await ilse.call(traysApi.begin, { body: { id: uuid(), memberId: me, title: 'Breakfast', negative, setup } }))
    .body as unknown as PrintSheet
  const expose = (plan: object) =>
    ilse.call(traysApi.expose, { params: { id: sheet.id }, body: { id: uuid(), entryId: uuid(), setup, plan, sheets: 1 } })
  return { sheet, expose }
}

test('a colour print takes filters, and casts are said of it; a grey one takes neither', async () => {
  const box = await boxOf(paperId, { y: 5, m: -10, factor: 1.1 })
  expect(box.label).toEqual({ y: 5, m: -10, factor: 1.1 })
  const { sheet, expose } = await begun(box.id)
  expect(code(await expose(printed({ kind: 'dials', y: 0, m: 45, grade: '3' })))).toEqual([422, 'pack-wanted'])
  expect(code(await expose(printed(pack(60, 140))))).toEqual([422, 'dial-range'])
  const tried = (await expose(printed(pack(60, 50)))).body as unknown as PrintTryRow
  const judge = (said: object[]) =>
    ilse.call(traysApi.judge, {
      params: { id: sheet.id, tryId: tried.id },
      body: { version: tried.version, chosen: null, said, note: '' },
    })
  expect(code(await judge([{ of: 'grade', halves: 1 }]))).toEqual([422, 'no-grade'])
  expect(
    code(
      await judge([
        { of: 'cast', cast: 'red', units: 10 },
        { of: 'cast', cast: 'cyan', units: 10 },
      ]),
    ),
  ).toEqual([422, 'opposite-casts'])
  expect((await judge([{ of: 'cast', cast: 'red', units: 10 }])).body.said).toEqual([{ of: 'cast', cast: 'red', units: 10 }])

  const grey = await boxOf(greyId)
  expect(grey.label).toBeNull()
  const other = await begun(grey.id)
  expect(code(await other.expose(printed(pack(60, 50))))).toEqual([422, 'no-colour'])
})

test('what a dial costs is of colour paper', async () => {
  const body = { kind: 'filters', enlargerId, paperId: null, dial: 'm', units: 20, beforeS: 10, afterS: 13, note: '' }
  expect(code(await ilse.call(traysApi.calibrate, { body: { id: uuid(), body: { ...body, paperId: greyId } } }))).toEqual([
    422,
    'no-colour',
  ])
  expect(code(await ilse.call(traysApi.calibrate, { body: { id: uuid(), body: { ...body, units: 1 } } }))[0]).toBe(400)
  expect(code(await ilse.call(traysApi.calibrate, { body: { id: uuid(), body: { ...body, paperId } } }))).toEqual([200, undefined])
})
