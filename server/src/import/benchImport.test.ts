import { readFile, understander, writeFile, type ExchangeKind, type Present } from '@selvrin/core'
import { coatApi, importApi, type CoatedSheet, type CoatPage, type ImportRow, type Swatch } from '@selvrin/core/contract'
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

type Bench = Required<Pick<Present, 'swatches' | 'lamps' | 'coated' | 'people'>>
/** Swatch book, lamps and hand-coated prints of a house, as the page of files reads them. */
async function benchOf(who: Caller): Promise<Present & Bench> {
  const rows = async <Row>(path: string) => (await who.send('GET', path)).body.rows as unknown as Row[]
  const swatches = await rows<Swatch>('/api/swatches')
  const { lamps } = (await who.call(coatApi.get)).body as unknown as CoatPage
  const people = await rows<Bench['people'][number]>('/api/people')
  return { formulas: [], jars: [], chart: [], swatches, lamps, coated: await rows<CoatedSheet>('/api/coated'), people }
}
const understood = (kind: ExchangeKind, text: string, here: Present) => readFile(kind, text).map(understander(kind, here, uuid))
const rowsOf = (lines: ReturnType<typeof understood>): ImportRow[] => lines.flatMap((line) => line.row ?? [])
async function write(kind: ExchangeKind, rows: ImportRow[]) {
  const id = uuid()
  await ilse.call(importApi.begin, { body: { id, kind, rows: rows.length } })
  const staged = await ilse.call(importApi.stage, { params: { id }, body: { from: 0, rows } })
  return staged.status === 200 ? ilse.call(importApi.apply, { params: { id } }) : staged
}

test('a swatch book, lamps and hand-coated prints go into another house as JSON and as CSV, and come to the same', async () => {
  const from = await benchOf(await demo.as('ilse'))
  const bottlesBefore = await other.one('select count(*)::int as lines, sum(ml) as ml from bottle_entry')
  for (const [kind, format, states] of [
    ['swatches', 'csv', 'new'],
    ['lamps', 'json', 'same'],
    ['coated', 'csv', 'new'],
  ] as const) {
    const lines = understood(kind, writeFile(kind, format, from), await benchOf(ilse))
    expect(lines.flatMap((line) => line.problems)).toEqual([])
    // both houses have the same lamps by name
    expect(new Set(lines.map((line) => line.state))).toEqual(new Set([states]))
    if (kind === 'lamps') continue
    expect(said(await write(kind, rowsOf(lines)))[0]).toBe(200)
    for (const again of ['json', 'csv'] as const)
      expect(understood(kind, writeFile(kind, again, from), await benchOf(ilse)).filter((line) => line.state !== 'same')).toEqual([])
  }
  const there = await benchOf(ilse)
  const strips = ({ swatches }: Bench, ids: string[]) => swatches.filter((one) => ids.includes(one.id)).map((one) => [one.at, one.body])
  const ids = from.swatches.map((one) => one.id)
  expect(strips(there, ids)).toEqual(strips(from, ids))
  const prints = ({ coated }: Bench) =>
    coated
      .filter((one) => from.coated.some(({ id }) => id === one.id))
      .map(({ at, member, body, acts }) => ({
        at,
        member,
        body,
        acts: acts.map(({ at: when, act, light, cost }) => [when, act, light, cost]),
      }))
  expect(prints(there)).toEqual(prints(from))
  expect(from.coated.some((one) => one.acts.length > 5)).toBe(true)
  // nothing was poured here for prints of another house
  expect(await other.one('select count(*)::int as lines, sum(ml) as ml from bottle_entry')).toEqual(bottlesBefore)
})

test('a lamp is changed by its name; what cannot be is said line by line, and the server lets nothing of it in', async () => {
  const here = await benchOf(ilse)
  const csv = 'name,kind,watts,width,hours,uv_meter\nBlue tubes,tubes,160,46,900,74 %\nNew point,point,250,,0,\nOdd,tubes,60,,0,\n'
  const lines = understood('lamps', csv, here)
  expect(lines.map((line) => line.state)).toEqual(['changed', 'new', 'wrong'])
  expect(lines[2]?.problems[0]).toMatch(/width/)
  expect(said(await write('lamps', rowsOf(lines)))[0]).toBe(200)
  const blue = (await benchOf(ilse)).lamps.find((one) => one.body.name === 'Blue tubes')
  expect([blue?.body.hours, blue?.body.measured]).toEqual([900, 0.74])

  const file = (more: string) => `title,begun,process,size,coated_with,paper,contrast,acts\nPier,2026-04-14,${more}\n`
  const wrong = (more: string) => understood('coated', file(more), here)[0]?.problems[0] ?? ''
  expect(wrong('palladium,10 x 12,brush,rag,,')).toMatch(/how hard/)
  expect(wrong('cyanotype,10,brush,rag,,')).toMatch(/size/)
  expect(wrong('cyanotype,10 x 12,brush,rag,,"[{"')).toMatch(/as it was written here/)
  const exposed = JSON.stringify([{ at: 0, act: { kind: 'step', step: 2, seconds: 3 }, light: null, cost: null }]).replaceAll('"', '""')
  expect(wrong(`cyanotype,10 x 12,brush,rag,,"${exposed}"`)).toMatch(/not coated yet/)
  const [row] = rowsOf(understood('coated', file('cyanotype,10 x 12,brush,rag,,'), here))
  if (row?.kind !== 'coated') throw new Error('no print')
  const early = { ...row, body: { ...row.body, acts: [{ at: 0, act: { kind: 'dry' as const, seconds: 60 }, light: null, cost: null }] } }
  expect(said(await write('coated', [early]))).toEqual([409, 'out-of-turn'])
  expect(said(await write('coated', [{ ...row, body: { ...row.body, memberId: uuid() } }]))).toEqual([422, 'no-person'])
  expect(said(await write('coated', [row]))[0]).toBe(200)
})
