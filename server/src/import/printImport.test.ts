import { readFile, understander, writeFile, type ExchangeKind, type Present } from '@selvrin/core'
import { importApi, traysApi, type BoxOfPaper, type ImportRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let demo: TestHouse
let other: TestHouse
let ilse: Caller
beforeAll(async () => {
  demo = await testHouse()
  other = await testHouse()
  ilse = await other.as('ilse')
}, 60_000)
afterAll(async () => {
  await demo.close()
  await other.close()
})
const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]

type Room = Required<Pick<Present, 'papers' | 'boxes' | 'enlargers' | 'calibrations' | 'prints' | 'people'>>
/** The print room of a house, as the page of files reads it. */
async function roomOf(who: Caller): Promise<Present & Room> {
  const { papers, boxes, enlargers, calibrations } = (await who.call(traysApi.get, {})).body as unknown as Room
  const prints: Room['prints'] = []
  for (let after: string | null = ''; after !== null;) {
    const page = (await who.send('GET', `/api/prints/whole?limit=7${after ? `&after=${after}` : ''}`)).body as unknown as {
      rows: Room['prints']
      after: string | null
    }
    prints.push(...page.rows)
    after = page.after
  }
  const people = ((await who.send('GET', '/api/people')).body as unknown as { rows: Room['people'] }).rows
  return { formulas: [], jars: [], chart: [], papers, boxes, enlargers, calibrations, prints, people }
}
const understood = (kind: ExchangeKind, text: string, here: Present) => readFile(kind, text).map(understander(kind, here, uuid))
async function write(kind: ExchangeKind, rows: ImportRow[]) {
  const id = uuid()
  await ilse.call(importApi.begin, { body: { id, kind, rows: rows.length } })
  const staged = await ilse.call(importApi.stage, { params: { id }, body: { from: 0, rows } })
  return staged.status === 200 ? ilse.call(importApi.apply, { params: { id } }) : staged
}
const rowsOf = (lines: ReturnType<typeof understood>) => lines.flatMap((line) => line.row ?? [])

test('papers, enlargers, what was matched and thirty prints go into another house and come to the same; the paper in its boxes stays as it was counted', async () => {
  const from = await roomOf(await demo.as('ilse'))
  expect(from.prints.length).toBeGreaterThanOrEqual(30)
  for (const kind of ['papers', 'enlargers', 'calibrations', 'prints'] as const) {
    const here = await roomOf(ilse)
    // both houses have the same papers and enlargers by name; every box, calibration and print has an id of its own
    const lines = understood(kind, writeFile(kind, kind === 'papers' ? 'csv' : 'json', from), here)
    expect(lines.flatMap((line) => line.problems)).toEqual([])
    expect(lines.map((line) => line.state)).toEqual(lines.map(() => ({ papers: 'changed', enlargers: 'same' })[kind as 'papers'] ?? 'new'))
    if (kind === 'enlargers') continue

    expect(said(await write(kind, rowsOf(lines)))[0]).toBe(200)
    expect(understood(kind, writeFile(kind, 'csv', from), await roomOf(ilse)).filter((line) => line.state !== 'same')).toEqual([])
  }
  const there = await roomOf(ilse)
  const [boxes, prints] = [new Map(there.boxes.map((one) => [one.id, one])), new Map(there.prints.map((one) => [one.sheet.id, one]))]
  const leftOf = (one?: BoxOfPaper): number => Number(one?.left.toFixed(4))
  expect(from.boxes.map((one) => leftOf(boxes.get(one.id)))).toEqual(from.boxes.map(leftOf))
  const comesTo = ({ sheet, tries }: Room['prints'][number]) => ({
    ...{ title: sheet.title, done: sheet.done, at: sheet.at, member: sheet.member, negative: sheet.negative },
    tries: tries.map((one) => [one.plan.kind, one.at, one.said.length, one.sheets, one.cost?.toFixed(4)]),
  })
  for (const one of from.prints) expect(comesTo(prints.get(one.sheet.id) ?? one)).toEqual(comesTo(one))
  expect(from.prints.every((one) => prints.has(one.sheet.id))).toBe(true)
  // numbers go on, none twice
  expect(new Set(there.prints.map((one) => one.sheet.number)).size).toBe(there.prints.length)
})

test('a print that cannot be exposed so, or of what is not here, is written by nobody', async () => {
  const from = await roomOf(await demo.as('ilse'))
  const here = await roomOf(ilse)
  const [row] = rowsOf(understood('prints', writeFile('prints', 'json', from), { ...here, prints: [] }))
  if (row?.kind !== 'prints') throw new Error('no print')
  const before = here.prints.length
  const withSetup = (setup: object) => ({ ...row, id: uuid(), body: { ...row.body, setup: { ...row.body.setup, ...setup } } })
  expect(said(await write('prints', [withSetup({ boxId: uuid() })]))).toEqual([404, 'not-found'])
  expect(said(await write('prints', [{ ...row, id: uuid(), body: { ...row.body, memberId: uuid() } }]))).toEqual([422, 'no-person'])
  const [tried] = row.body.tries
  const dials = { kind: 'dials' as const, y: 9, m: 9, grade: null }
  const plan = { kind: 'print' as const, exposures: [{ seconds: 10, filter: dials }], places: [] }
  const wrong = { ...row, id: uuid(), body: { ...row.body, tries: tried ? [{ ...tried, plan }] : [] } }
  expect((await write('prints', [wrong])).status).toBe(422)
  expect((await roomOf(ilse)).prints.length).toBe(before)
  // a member reads their own alone
  const own = (await (await other.as('tilda')).send('GET', '/api/prints/whole')).body as unknown as { rows: Room['prints'] }
  expect(new Set(own.rows.map((one) => one.sheet.member))).toEqual(new Set(['Tilda Rook']))
})
