import type { TrayFilling } from '@selvrin/core'
import { lineApi, traysApi, type Bottle, type TrayLine } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let tilda: Caller
const trays = Object.fromEntries(['develop', 'stop', 'fix', 'fix-2', 'wash'].map((role) => [role, uuid()])) as Record<string, string>
const small = uuid()
const paperId = uuid()
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  tilda = await house.as('tilda')
  for (const [name, id] of Object.entries(trays))
    expect((await ilse.call(lineApi.addTray, { body: { id, name, widthCm: 30, heightCm: 40 } })).status).toBe(200)
  expect((await ilse.call(lineApi.addTray, { body: { id: small, name: 'Little one', widthCm: 18, heightCm: 24 } })).status).toBe(200)
  const paper = { name: 'Fibre for the line', base: 'fibre' as const, holdsDeveloper: false, grade: null, speed: null, dryDown: 0.1 }
  expect((await ilse.call(traysApi.addPaper, { body: { id: paperId, ...paper } })).status).toBe(200)
  const before = await page()
  if (before.line) await shut(before.line)
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const page = async () => (await ilse.send('GET', '/api/line')).body as unknown as { line: TrayLine | null }
const line = async (): Promise<TrayLine> => (await page()).line as TrayLine
const bottles = async (): Promise<Bottle[]> => (await ilse.send('GET', '/api/bottles')).body.rows as unknown as Bottle[]
const bottle = async (id: string): Promise<Bottle> => (await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as Bottle
async function full(name: string, ml: number, stock = true): Promise<Bottle> {
  const found = (await bottles()).find((one) => one.name === name && one.state.volumeMl >= ml && (one.parts === null) === stock)
  if (!found) throw new Error(`no ${name} of ${ml} ml`)
  return found
}
const shut = (one: TrayLine, how = (_: TrayLine['fills'][number]): 'away' | 'kept' => 'away') =>
  ilse.call(lineApi.close, {
    params: { id: one.id },
    body: { version: one.version, ends: one.fills.map((fill) => ({ fillId: fill.id, how: how(fill) })), into: {} },
  })
const filling = (role: TrayFilling['role'], from: TrayFilling['from'], ml = 1440): TrayFilling => ({
  ...{ id: uuid(), trayId: trays[role] ?? '', role, from, ml },
})
async function fills(): Promise<TrayFilling[]> {
  const developer = await full('Loft print developer', 480)
  const stop = await full('Citric stop bath', 300)
  const fixer = await full('Plain fixer for fibre prints', 200)
  return [
    filling('develop', { way: 'dilute', bottleId: developer.id, newId: uuid(), parts: [1, 2] }),
    filling('stop', { way: 'whole', bottleId: stop.id }, stop.state.volumeMl),
    filling('fix', { way: 'part', bottleId: fixer.id, newId: uuid() }, 100),
    filling('fix-2', { way: 'part', bottleId: fixer.id, newId: uuid() }, 100),
    filling('wash', { way: 'water' }),
  ]
}
const setUp = (all: TrayFilling[], more: object = {}) =>
  ilse.send('POST', '/api/line', { id: uuid(), base: 'fibre', widthCm: 24, heightCm: 30.5, celsius: 20, fills: all, ...more })
const fillOf = (one: TrayLine, role: string) => one.fills.find((fill) => fill.role === role) as TrayLine['fills'][number]

test('a line is set up in one go or not at all, prints count in every ledger, the second fixer moves up, and at the end each goes where it belongs', async () => {
  const all = await fills()
  const stock = await bottle((all[0]?.from as { bottleId: string }).bottleId)
  // the last of them is refused: nothing was poured
  const refused = await setUp([...all.slice(0, 4), { ...(all[4] as TrayFilling), trayId: small }])
  expect(said(refused)).toEqual([422, 'too-small'])
  expect((await bottle(stock.id)).state.volumeMl).toBe(stock.state.volumeMl)
  expect(said(await setUp([{ ...(all[0] as TrayFilling), role: 'fix' }]))).toEqual([422, 'wrong-family'])
  expect(said(await setUp([all[3] as TrayFilling]))).toEqual([422, 'no-first'])

  expect(said(await setUp(all))).toEqual([200, undefined])
  expect((await bottle(stock.id)).state.volumeMl).toBeCloseTo(stock.state.volumeMl - 480, 6)
  const open = await line()
  expect(open.fills.map((one) => [one.role, one.bottle?.state.twoBath?.position ?? null])).toEqual([
    ['develop', null],
    ['stop', null],
    ['fix', 1],
    ['fix-2', 2],
    ['wash', null],
  ])
  const developer = await bottle(fillOf(open, 'develop').bottle?.id ?? '')
  expect([developer.state.container, developer.state.volumeMl, developer.parts]).toEqual(['tray', 1440, [1, 2]])
  expect((await bottle(fillOf(open, 'stop').bottle?.id ?? '')).state.container).toBe('tray')
  expect(said(await setUp(await fills()))).toEqual([409, 'line-open'])

  // a member’s prints: 4 of 24 × 30.5 cm are 5.67 of 8×10 in
  const body = { passId: uuid(), base: 'fibre' as const, widthCm: 24, heightCm: 30.5, count: 4, what: 'by hand' }
  expect((await tilda.call(lineApi.pass, { params: { id: open.id }, body })).status).toBe(200)
  const printed = await line()
  expect(printed.equivalents).toBeCloseTo(5.6744, 3)
  for (const fill of printed.fills) if (fill.bottle) expect((await bottle(fill.bottle.id)).state.paper).toBeGreaterThan(5.6)
  // taken back by a second line in each
  const other = await house.as('bram')
  const back = (who: Caller) =>
    who.call(lineApi.passBack, { params: { id: open.id, passId: body.passId }, body: { reason: 'written twice' } })
  expect(said(await back(other))).toEqual([403, 'not-yours'])
  expect((await back(tilda)).status).toBe(200)
  expect(said(await back(tilda))).toEqual([409, 'stale'])
  expect((await line()).equivalents).toBe(0)
  expect((await bottle(developer.id)).state.paper).toBeCloseTo(0, 6)

  // the first fixer is poured away, the second moves up, a fresh one stands second
  const now = await line()
  const first = fillOf(now, 'fix')
  const fresh = filling('fix-2', { way: 'part', bottleId: (all[2]?.from as { bottleId: string }).bottleId, newId: uuid() }, 100)
  const into = {
    params: { id: open.id },
    body: { version: now.version, end: { fillId: first.id, how: 'away' as const }, fill: fresh, into: {} },
  }
  expect(said(await ilse.call(lineApi.replace, { ...into, body: { ...into.body, version: 1 + now.version } }))).toEqual([409, 'stale'])
  expect(said(await ilse.call(lineApi.replace, { ...into, body: { ...into.body, fill: { ...fresh, role: 'fix' } } }))).toEqual([
    422,
    'wrong-family',
  ])
  expect((await line()).fills.map((one) => one.id)).toEqual(now.fills.map((one) => one.id))
  const moved = await ilse.call(lineApi.replace, { ...into, body: { ...into.body, fill: { ...fresh, trayId: trays.fix ?? '' } } })
  expect(moved.status).toBe(200)
  const after = await line()
  expect([fillOf(after, 'fix').id, fillOf(after, 'fix-2').id]).toEqual([fillOf(now, 'fix-2').id, fresh.id])
  expect([fillOf(after, 'fix').bottle?.state.twoBath?.position, fillOf(after, 'fix-2').bottle?.state.twoBath?.position]).toEqual([1, 2])
  const gone = await bottle(first.bottle?.id ?? '')
  expect([gone.retiredAt !== null, gone.state.volumeMl]).toEqual([true, 0])

  // at the end: developer is never kept; what is kept stands closed in its bottle
  expect(said(await shut(after, () => 'kept'))).toEqual([422, 'thrown-away'])
  expect((await line()).fills).toHaveLength(5)
  const wasteBefore = Number((await house.one<{ ml: string }>('select coalesce(sum(ml), 0) as ml from waste_entry'))?.ml)
  expect((await shut(after, (fill) => (fill.role.startsWith('fix') || fill.role === 'stop' ? 'kept' : 'away'))).status).toBe(200)
  expect((await page()).line).toBeNull()
  const wasted = Number((await house.one<{ ml: string }>('select coalesce(sum(ml), 0) as ml from waste_entry'))?.ml)
  expect(wasted - wasteBefore).toBeCloseTo(1440, 3)
  const kept = await bottle(fillOf(after, 'fix').bottle?.id ?? '')
  expect([kept.retiredAt, kept.state.container]).toEqual([null, 'bottle'])
})

test('what is exposed goes through the open line; a late tone says what the bath is worth, at its temperature; two who close it at once close it once', async () => {
  const opened = await setUp(await fills())
  expect(opened.status).toBe(200)
  const open = await line()
  const boxId = uuid()
  await ilse.call(traysApi.addBox, { body: { id: boxId, paperId, widthCm: 20.32, heightCm: 25.4, sheets: 25, price: null, batch: '' } })
  const enlargerId = uuid()
  await ilse.call(traysApi.addEnlarger, { body: { id: enlargerId, name: 'Line', filters: { kind: 'set' }, lagS: 0, lenses: [] } })
  const me = ((await tilda.send('GET', '/api/session')).body as { person: { id: string } }).person.id
  const setup = { boxId, enlargerId, m: 5, lensN: 8, developer: '' }
  const sheetId = uuid()
  const negative = { what: 'roll 1', widthMm: 36, heightMm: 24 }
  expect(
    (await tilda.call(traysApi.begin, { body: { id: sheetId, memberId: me, title: 'Through the line', negative, setup } })).status,
  ).toBe(200)
  const plan = { kind: 'print' as const, exposures: [{ seconds: 12, filter: { kind: 'set' as const, grade: '2' as const } }], places: [] }
  const expose = () =>
    tilda.call(traysApi.expose, { params: { id: sheetId }, body: { id: uuid(), entryId: uuid(), setup, plan, sheets: 1 } })
  const tried = await Promise.all([expose(), expose()])
  expect(tried.map((one) => one.status)).toEqual([200, 200])
  const through = await line()
  expect(through.equivalents).toBeCloseTo(2, 3)
  expect(through.passes.map((one) => one.what.startsWith('print '))).toEqual([true, true])

  const read = (seconds: number, celsius: number, fill = fillOf(open, 'develop')) =>
    tilda.call(lineApi.emergence, { params: { id: open.id }, body: { readingId: uuid(), fillId: fill.id, paperId, celsius, seconds } })
  expect(said(await read(20, 20, fillOf(open, 'stop')))).toEqual([404, 'not-found'])
  expect((await read(20, 20)).status).toBe(200)
  expect((await read(25, 18)).status).toBe(200)
  const ratios = fillOf(await line(), 'develop').emergence.map((one) => one.ratio)
  expect(ratios[0]).toBeCloseTo(1, 6)
  // 25 s at 18 °C are 21.26 s at 20: cold, not tired
  expect(ratios[1]).toBeCloseTo(1.063, 3)

  const now = await line()
  const both = await Promise.all([shut(now), shut(now)])
  expect(both.map((one) => one.status).sort()).toEqual([200, 409])
  expect(
    said(
      await tilda.call(lineApi.pass, {
        params: { id: open.id },
        body: { passId: uuid(), base: 'rc', widthCm: 20, heightCm: 25, count: 1, what: '' },
      }),
    ),
  ).toEqual([409, 'line-closed'])
})
