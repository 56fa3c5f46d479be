import type { CheckResult, FixtureBody } from '@selvrin/core'
import { api, checkApi, type Fixture } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 60_000)
afterAll(() => house.close())

const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const list = async () => (await ilse.call(checkApi.list)).body as unknown as { fixtures: Fixture[]; blocks: Record<string, string | null> }
const named = async (name: string) => (await list()).fixtures.find((one) => one.body.name === name) as Fixture
const look = (one: Fixture, result: CheckResult) => ilse.call(checkApi.check, { params: { id: one.id }, body: { id: uuid(), result } })
const flush = (seconds: number): CheckResult => ({ kind: 'flush', seconds, lPerMin: 2, celsius: 20, note: '' })
/** Begins to mix the first formula with a chemical. */
async function begin(chemical: string): Promise<Answer> {
  const formula = await house.one<{ id: string }>(
    `select formula_id as id from formula_version v join formula f on f.id = v.formula_id where v.body -> 'additions' @> $1::jsonb order by v.number desc limit 1`,
    [JSON.stringify([{ chemical }])],
  )
  return ilse.call(api.mix.start, { body: { id: uuid(), formulaId: formula?.id, finalMl: 1000, note: 'to try the eyewash' } })
}

test('the demo has one eyewash whose date has passed, and nothing is blocked by it as long as another is in order', async () => {
  const { fixtures, blocks } = await list()
  expect(fixtures.filter((one) => one.standing.standing === 'overdue').map((one) => one.body.name)).toEqual(['Toning corner'])
  expect(blocks).toEqual({ eyewash: null, ventilation: null, mains: null })
})

test('without one eyewash in order no hydroxide is begun, and nothing is written; the check that finds it good opens it again', async () => {
  const sink = await named('By the sink')
  expect((await look(sink, flush(30))).body.standing).toMatchObject({ standing: 'failed' })
  const mixes = () => house.one<{ n: string }>('select count(*) as n from mix')
  const before = await mixes()
  const refused = await begin('sodium-hydroxide')
  expect(said(refused)).toEqual([409, 'not-safe'])
  expect(refused.body.message).toMatch(/^Sodium hydroxide is not touched now\. No eyewash is in order: By the sink, Toning corner/)
  expect(await mixes()).toEqual(before)
  await look(sink, flush(200))
  expect((await list()).blocks.eyewash).toBeNull()
  const begun = await begin('sodium-hydroxide')
  expect(said(begun)).toEqual([200, undefined])
  // a week later the mix still stands, and its jar is not opened
  house.advance(8 * 86_400_000)
  const mix = begun.body as unknown as { id: string; formula: { body: { additions: { chemical: string }[] } } }
  const step = mix.formula.body.additions.findIndex((line) => line.chemical === 'sodium-hydroxide')
  const jar = await house.one<{ id: string }>(`select id from jar where chemical = 'sodium-hydroxide' limit 1`)
  const events = [{ id: uuid(), kind: 'jar', step, jarId: jar?.id, chemical: '', factor: 1, lot: '' }]
  expect(said(await ilse.call(api.mix.record, { params: { id: mix.id }, body: { events } }))).toEqual([409, 'not-safe'])
})

test('what kind of thing it is stays, a check that is not its own is refused, and what is gone has none', async () => {
  const body: FixtureBody = { kind: 'mains', name: 'Dry side' }
  const added = (await ilse.call(checkApi.add, { body: { id: uuid(), body } })).body as unknown as Fixture
  expect(added.standing.standing).toBe('never')
  expect(said(await look(added, flush(200)))).toEqual([422, 'wrong-check'])
  const at = { params: { id: added.id } }
  expect(said(await ilse.call(checkApi.change, { ...at, body: { version: 1, body: { kind: 'eyewash', name: 'x', plumbed: true } } }))).toEqual([422, 'other-kind']) // prettier-ignore
  expect(said(await ilse.call(checkApi.change, { ...at, body: { version: 9, body } }))).toEqual([409, 'stale'])
  await ilse.call(checkApi.remove, { ...at, body: { version: 1 } })
  expect(said(await look(added, { kind: 'trip', trips: true, note: '' }))).toEqual([404, 'not-found'])
})
