import { readFile, understander, type ExchangeKind, type Present } from '@selvrin/core'
import { api, importApi, type Bottle, type BottlePage, type FormulaRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 60_000)
afterAll(() => house.close())

const rowsOf = async <T>(path: string) => ((await ilse.send('GET', path)).body.rows ?? []) as unknown as T[]
const present = async (): Promise<Present> => ({
  formulas: await rowsOf<FormulaRow>('/api/formulas?limit=200'),
  jars: [],
  chart: [],
  bottles: await rowsOf<Bottle>('/api/bottles?retired=true&limit=200'),
})
/** A notebook typed into a table, read in. */
async function bring(kind: ExchangeKind, ...lines: string[]): Promise<Answer> {
  const understood = readFile(kind, lines.join('\n')).map(understander(kind, await present(), uuid))
  expect(understood.flatMap((one) => one.problems)).toEqual([])
  const rows = understood.flatMap((one) => one.row ?? [])
  const id = uuid()
  await ilse.call(importApi.begin, { body: { id, kind, rows: rows.length } })
  expect((await ilse.call(importApi.stage, { params: { id }, body: { from: 0, rows } })).status).toBe(200)
  return ilse.call(importApi.apply, { params: { id } })
}
const byCode = async (code: string) => (await present()).bottles?.find((bottle) => bottle.code === code) as Bottle
const page = async (code: string) => (await ilse.send('GET', `/api/bottles/${(await byCode(code)).id}`)).body as unknown as BottlePage

beforeAll(async () => {
  const answer = await bring(
    'bottles',
    'code,formula,dilution,size,made,batch,batch_ph,school,rolls_per_litre,dilutions',
    `NB2222,Neutral rapid fixer,stock,1 L,2026-09-01,0198f000-0000-7000-8000-0000000000b1,7.2,,,`,
    `NB3333,Neutral rapid fixer,stock,1 L,2026-09-01,0198f000-0000-7000-8000-0000000000b1,7.2,counted,8,stock`,
  )
  expect(answer.body.written).toBe(2)
}, 30_000)

test('bottles of one batch share it, with its pH as their reference; one may be used otherwise', async () => {
  const [first, second] = [await byCode('NB2222'), await byCode('NB3333')]
  expect([first.batchId, first.batchId === second.batchId, first.ph]).toEqual(['0198f000-0000-7000-8000-0000000000b1', true, 7.2])
  expect([first.ownUse, second.ownUse, second.use.capacityRollsPerL]).toEqual([false, true, 8])
  const context = await ilse.call(api.proof.context, { params: { id: second.id } })
  expect((context.body.references as Record<string, object>)['fixer-ph']).toMatchObject({ value: 7.2, from: 'batch' })
})

test('lines in any order come to what was written; a history below nothing is refused whole', async () => {
  const head = 'bottle,at,what,change,rolls,stands_in'
  const good = await bring(
    'ledger',
    head,
    'NB2222,2026-09-20,use,-30 ml,2,',
    'NB2222,2026-09-01,fill,1 L,,airless',
    'NB2222,2026-09-10,use,-30 ml,2,',
  )
  expect(good.body.written).toBe(3)
  const { state } = await page('NB2222')
  expect([state.volumeMl, state.rolls, state.container]).toEqual([940, 4, 'airless'])
  const bad = await bring('ledger', head, 'NB3333,2026-09-01,fill,100 ml,,', 'NB3333,2026-09-02,pour-out,-200 ml,,')
  expect([bad.status, (await page('NB3333')).ledger.length]).toEqual([409, 0])
})

test('a line that retires a bottle retires it, unless another takes it back', async () => {
  const line = '0198f000-0000-7000-8000-0000000000c'
  const head = 'id,bottle,at,what,change,takes_back,note'
  await bring(
    'ledger',
    head,
    `${line}1,NB3333,2026-09-01,fill,1 L,,`,
    `${line}2,NB3333,2026-10-01,retire,0 ml,,milky`,
    `${line}3,NB3333,2026-10-02,reverse,0 ml,${line}2,it was the light`,
  )
  expect((await byCode('NB3333')).retiredAt).toBeNull()
  await bring('ledger', head, `${line}4,NB3333,2026-10-05,retire,0 ml,,milky after all`)
  expect(await byCode('NB3333')).toMatchObject({ retiredAt: Date.parse('2026-10-05T12:00:00Z'), retiredWhy: 'milky after all' })
})

test('tests are judged anew in the order of their time, the fresh one first', async () => {
  const answer = await bring(
    'tests',
    'bottle,at,test,reading,temperature,fresh,slow_film',
    'NB2222,2026-09-21,clearing-time,100 ,20 °C,,yes',
    'NB2222,2026-09-01T14:00:00Z,clearing-time,40,20 °C,yes,',
  )
  expect(answer.body.written).toBe(2)
  const bottle = await page('NB2222')
  expect(bottle.state.findings[0]?.rule).toBe('bottle-failed')
  const [failed] = bottle.state.tests
  expect([failed?.newest.rule, failed?.newest.reference, failed?.newest.reading]).toEqual(['clearing-2', 40, 100])
})
