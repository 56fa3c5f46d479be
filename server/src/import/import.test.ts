import { readFileSync } from 'node:fs'
import { jsonSchemas, readFile, understander, writeFile, type ExchangeKind, type Present } from '@selvrin/core'
import {
  api,
  importApi,
  importPortion,
  type ChartRow,
  type FormulaRow,
  type ImportRow,
  type Jar,
  type Bottle,
  type BottlePage,
  type LedgerLine,
  type Proof,
} from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

async function all<T>(path: string): Promise<T[]> {
  const rows: T[] = []
  let after: string | null = ''
  while (after !== null) {
    const page = (await ilse.send('GET', `${path}?limit=200${after === '' ? '' : `&after=${after}`}`)).body as {
      rows?: unknown[]
      after?: string | null
    }
    rows.push(...((page.rows ?? []) as T[]))
    after = page.after ?? null
  }
  return rows
}
const present = async (): Promise<Present> => ({
  formulas: await all<FormulaRow>('/api/formulas'),
  jars: await all<Jar>('/api/jars'),
  chart: await all<ChartRow>('/api/chart'),
})
async function stage(kind: string, rows: ImportRow[]) {
  const id = uuid()
  await ilse.call(importApi.begin, { body: { id, kind, rows: rows.length } })
  for (let from = 0; from < rows.length; from += importPortion) {
    const { status, body } = await ilse.call(importApi.stage, {
      params: { id },
      body: { from, rows: rows.slice(from, from + importPortion) },
    })
    if (status !== 200) return { id, refused: body }
  }
  return { id, refused: null }
}
const rowsOf = (kind: ExchangeKind, text: string, shelf: Present) =>
  readFile(kind, text)
    .map(understander(kind, shelf, uuid))
    .flatMap((line) => (line.row ? [line.row] : []))

test.each(['formulas', 'jars', 'chart'] as const)(
  'what the demo has of %s goes out and comes back the same, as JSON and as CSV',
  async (kind) => {
    const shelf = await present()
    for (const format of ['json', 'csv'] as const) {
      const understood = readFile(kind, writeFile(kind, format, shelf)).map(understander(kind, shelf, uuid))
      expect(understood.length).toBe(shelf[kind].length)
      expect(understood.filter((line) => line.state !== 'same')).toEqual([])
    }
  },
)

/** All a bottle comes to that the files carry, beside its figures. */
const comesTo = ({ state, ...bottle }: Bottle) => ({
  use: bottle.use,
  retiredWhy: bottle.retiredWhy,
  celsius: state.celsius,
  container: state.container,
  twoBath: state.twoBath,
  nextTimeWhy: state.nextTimeWhy,
  governs: state.governs,
  fixS: state.fixS === null ? null : Math.round(state.fixS),
  tests: state.tests.map((one) => [one.kind, one.newest.verdict, one.newest.overruled, one.failed !== null, one.passes]).sort(),
})
/** Its figures, which age by the second while the other house is asked. */
const figuresOf = ({ state }: Bottle): [string, number][] => [
  ['volume', state.volumeMl],
  ['rolls', state.rolls],
  ['rolls a litre', state.rollsPerL],
  ['used', state.used],
  ['aged', state.aged],
  ['strength', state.strength],
  ['silver', state.silverGPerL ?? 0],
  ['replenish', state.replenishDueMl],
]
const apart = (a: Bottle, b: Bottle): string[] =>
  figuresOf(a).flatMap(([name, value], i) => {
    const other = figuresOf(b)[i]?.[1] ?? NaN
    return Math.abs(value - other) <= 1e-4 * Math.max(1, Math.abs(value)) ? [] : [`${a.label} ${name}: ${value} and ${other}`]
  })

/** Used liquid in another bottle, a failure overruled, a test taken back: what a ledger holds beside pouring. */
async function useSome(): Promise<void> {
  const fixers = (await all<Bottle>('/api/bottles')).filter(
    (one) => one.family === 'fixer' && one.state.rolls > 0 && !one.state.findings.some((finding) => finding.severity === 'error'),
  )
  const id = fixers[0]?.id ?? ''
  const prove = (look: string) => ilse.call(api.proof.write, { body: { id: uuid(), kind: 'iodide-drop', bottleId: id, reading: { look } } })
  const into = [{ id: uuid(), sizeMl: 100, ml: 20 }]
  expect((await ilse.call(api.bottle.decant, { params: { id }, body: { into } })).status).toBe(200)
  house.advance(1000)
  await prove('cloud')
  house.advance(1000)
  const overrule = { entryId: uuid(), bottleId: id, kind: 'iodide-drop' as const, reason: 'the iodide was old' }
  expect((await ilse.call(api.proof.overrule, { body: overrule })).status).toBe(200)
  house.advance(1000)
  const { proof } = (await prove('cloud')).body as unknown as { proof: Proof }
  const page = (await ilse.send('GET', `/api/bottles/${id}`)).body as unknown as BottlePage
  const entryId = page.ledger.find((line) => line.proofId === proof.id)?.id ?? ''
  house.advance(1000)
  expect((await ilse.call(api.bottle.reverse, { params: { id, entryId }, body: { newId: uuid(), reason: 'other bottle' } })).status).toBe(
    200,
  )
}

test('bottles, their ledger and their tests go into another house and come to the same there', async () => {
  await useSome()
  const mine: Present = {
    ...(await present()),
    bottles: await all<Bottle>('/api/bottles'),
    ledger: await all<LedgerLine>('/api/ledger'),
    tests: await all<Proof>('/api/proofs'),
  }
  const other = await testHouse()
  const there = await other.as('odo')
  const ask = async (): Promise<Present> => ({
    formulas: ((await there.send('GET', '/api/formulas')).body.rows ?? []) as unknown as FormulaRow[],
    jars: [],
    chart: [],
    bottles: ((await there.send('GET', '/api/bottles?retired=true&limit=200')).body.rows ?? []) as unknown as Bottle[],
  })
  const bring = async (kind: ExchangeKind, format: 'csv' | 'json') => {
    const rows = rowsOf(kind, writeFile(kind, format, mine), await ask())
    const id = uuid()
    await there.call(importApi.begin, { body: { id, kind, rows: rows.length } })
    for (let from = 0; from < rows.length; from += importPortion)
      expect(
        (await there.call(importApi.stage, { params: { id }, body: { from, rows: rows.slice(from, from + importPortion) } })).status,
      ).toBe(200)
    const answer = await there.call(importApi.apply, { params: { id } })
    expect([kind, answer.status, answer.body.message]).toEqual([kind, 200, undefined])
    return [rows.length, answer.body.written]
  }
  const codes = new Set(mine.bottles?.map((bottle) => bottle.code))
  const lines = mine.ledger?.filter((line) => mine.bottles?.some((bottle) => bottle.id === line.bottleId))
  mine.ledger = lines ?? []
  expect(await bring('bottles', 'csv')).toEqual([codes.size, codes.size])
  const [asked, written] = await bring('ledger', 'csv')
  expect([asked, written]).toEqual([mine.ledger.filter((line) => line.kind !== 'test').length, asked])
  // the same file again: every line is there already
  expect((await bring('ledger', 'json'))[1]).toBe(0)
  await bring('tests', 'json')
  const arrived = new Map((await ask()).bottles?.map((bottle) => [bottle.code, bottle as Bottle]))
  // as old here as there: both are read now, however long the bringing took
  for (const bottle of await all<Bottle>('/api/bottles')) {
    const copy = arrived.get(bottle.code)
    expect([bottle.label, copy && comesTo(copy)]).toEqual([bottle.label, comesTo(bottle)])
    expect(copy && apart(bottle, copy)).toEqual([])
  }
  await other.close()
}, 60_000)

test('what cannot be meant in a file of bottles, lines or tests is said line by line', async () => {
  const bottles = await all<Bottle>('/api/bottles')
  const fixer = bottles.find((bottle) => bottle.family === 'fixer')
  const shelf: Present = { ...(await present()), bottles }
  const problems = (kind: ExchangeKind, text: string) =>
    readFile(kind, text).map((one) => understander(kind, shelf, uuid)(one).problems.join(' '))
  expect(problems('bottles', 'code,formula,size,made\nABC,No such formula,1 L,yesterday')[0]).toMatch(
    /no formula.*six of the letters.*2026-04-14/,
  )
  expect(problems('ledger', `bottle,at,what,change\nZZZZZZ,2026-04-14,pour-out,-50\n${fixer?.code},2026-04-14,reverse,50`)).toEqual([
    expect.stringContaining('Import the bottles first'),
    expect.stringContaining('takes_back'),
  ])
  expect(
    problems(
      'tests',
      `bottle,at,test,reading,seen\n${fixer?.code},2026-04-14,leader-black,40,\n${fixer?.code},2026-04-14,iodide-drop,,green`,
    ),
  ).toEqual([expect.stringContaining('no test of'), expect.stringContaining('clear, haze, cloud')])
})

test('10,000 rows of a chart are written at once, or not at all', async () => {
  const shelf = await present()
  const name = shelf.formulas[0]?.body.name ?? ''
  const lines = Array.from({ length: 10_000 }, (_, i) => `Test film ${i},"${name}",1+1,100,20 °C,${5 + (i % 10)}:30`)
  const rows = rowsOf('chart', ['film,formula,dilution,ei,temperature,time', ...lines].join('\n'), shelf)
  const { id } = await stage('chart', rows)
  const count = async () => (await house.one<{ n: number }>(`select count(*) as n from chart_row where film like 'Test film %'`))?.n
  expect(await count()).toBe(0)
  expect((await ilse.call(importApi.apply, { params: { id } })).body.written).toBe(10_000)
  expect(await count()).toBe(10_000)
  expect((await ilse.call(importApi.apply, { params: { id } })).body.code).toBe('import-over')
}, 60_000)

test('a cancelled or incomplete import writes nothing', async () => {
  const shelf = await present()
  const rows = rowsOf(
    'jars',
    'chemical,holds,place\nmetol,1/2 lb,attic\nBorax \\, 10-water,1 kg,attic'.replace('Borax \\, 10-water', '"Borax, 10-water"'),
    shelf,
  )
  expect(rows.map((row) => row.kind === 'jars' && Math.round(row.grams))).toEqual([227, 1000])
  const half = await stage('jars', rows)
  await house.sql('delete from import_row where import_id = $1 and position = 1', [half.id])
  expect((await ilse.call(importApi.apply, { params: { id: half.id } })).body.code).toBe('incomplete')
  expect((await ilse.call(importApi.cancel, { params: { id: half.id } })).status).toBe(200)
  expect((await ilse.call(importApi.apply, { params: { id: half.id } })).body.code).toBe('import-over')
  expect((await all<Jar>('/api/jars')).filter((jar) => jar.place === 'attic')).toEqual([])
  const whole = await stage('jars', rows)
  await ilse.call(importApi.apply, { params: { id: whole.id } })
  expect((await all<Jar>('/api/jars')).filter((jar) => jar.place === 'attic')).toHaveLength(2)
})

test('formulas come in new and as next versions; one changed meanwhile refuses the whole import', async () => {
  const shelf = await present()
  const text = writeFile('formulas', 'json', shelf).replaceAll('"mix_at": "50 °C"', '"mix_at": "48 °C"')
  const rows = rowsOf('formulas', text, shelf)
  expect(rows.length).toBeGreaterThan(2)
  const late = await stage('formulas', rows)
  const first = shelf.formulas.find((row) => row.id === rows[0]?.id) as FormulaRow
  await ilse.call(api.formula.revise, { params: { id: first.id }, body: { version: first.version, versionId: uuid(), body: first.body } })
  expect((await ilse.call(importApi.apply, { params: { id: late.id } })).body.code).toBe('stale')
  const fresh = await present()
  const good = await stage('formulas', rowsOf('formulas', text, fresh))
  await ilse.call(importApi.apply, { params: { id: good.id } })
  const after = (await all<FormulaRow>('/api/formulas')).find((row) => row.id === first.id)
  expect([after?.number, after?.body.mixC]).toEqual([3, 48])
})

test('a formula with a grave finding says so line by line, and is written with a reason only, which stays on its version', async () => {
  const shelf = await present()
  const one = shelf.formulas.find((row) => row.body.name === 'Plain metol developer') as FormulaRow
  const mine = { ...shelf, formulas: [one] }
  // as much water to begin with as there is to be in the end
  const text = writeFile('formulas', 'json', mine).replace('"start_with": "750 ml"', '"start_with": "1000 ml"')
  const [line] = readFile('formulas', text).map(understander('formulas', shelf, uuid))
  expect([line?.state, line?.grave?.length]).toEqual(['changed', 1])
  const [row] = rowsOf('formulas', text, shelf)
  if (row?.kind !== 'formulas') throw new Error('no row')
  expect((await stage('formulas', [row])).refused).toMatchObject({ code: 'unwise', field: 'overrule' })
  const { id } = await stage('formulas', [{ ...row, overrule: 'it is a concentrate' }])
  await ilse.call(importApi.apply, { params: { id } })
  const after = (await all<FormulaRow>('/api/formulas')).find(({ id: formulaId }) => formulaId === one.id)
  expect([after?.body.startMl, after?.overruled]).toEqual([1000, 'it is a concentrate'])
})

test('rows of another kind, unknown chemicals and members are refused', async () => {
  const jar = {
    kind: 'jars',
    id: uuid(),
    version: null,
    grams: 1,
    body: { chemical: 'unobtainium', lot: '', place: '', openedAt: null, assay: null, pricePerKg: null, reorderG: null },
  } as ImportRow
  expect((await stage('jars', [jar])).refused?.code).toBe('unknown-chemical')
  expect((await stage('chart', [jar])).refused?.code).toBe('other-kind')
  expect((await (await house.as('tilda')).call(importApi.begin, { body: { id: uuid(), kind: 'jars', rows: 1 } })).status).toBe(403)
})

test('the published schemas are those of the code: npm run formats', () => {
  for (const [name, schema] of Object.entries(jsonSchemas()))
    expect(JSON.parse(readFileSync(`docs/formats/${name}.schema.json`, 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)))
})

test('rows that one technician sent are written by nobody else', async () => {
  const odo = await house.as('odo')
  const shelf = await present()
  const rows = rowsOf('formulas', writeFile('formulas', 'json', shelf).replaceAll(/"mix_at": "[^"]*"/g, '"mix_at": "47 °C"'), shelf).slice(
    0,
    1,
  )
  expect(rows).toHaveLength(1)
  const { id } = await stage('formulas', rows)
  for (const endpoint of [importApi.apply, importApi.cancel, importApi.stage]) {
    const other = await odo.call(endpoint, {
      params: { id },
      ...(endpoint === importApi.stage ? { body: { from: 0, rows } } : { body: {} }),
    })
    expect([other.status, other.body.code]).toEqual([403, 'not-yours'])
  }
})
