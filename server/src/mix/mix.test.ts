import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const formulaNamed = async (name: string) =>
  (await ilse.send('GET', '/api/formulas')).body.rows?.find((row) => (row.body as { name: string }).name === name) as Record<
    string,
    unknown
  > & { body: Record<string, unknown> }
const jarOf = async (chemical: string) =>
  (await ilse.send('GET', '/api/jars')).body.rows?.find((row) => row.chemical === chemical) as { id: string; grams: number }
async function begin(name: string, finalMl: number) {
  const id = uuid()
  const { status } = await ilse.send('POST', '/api/mixes', { id, formulaId: (await formulaNamed(name)).id, finalMl })
  expect(status).toBe(200)
  const record = (...events: object[]) =>
    ilse.send('POST', `/api/mixes/${id}/events`, { events: events.map((event) => ({ id: uuid(), ...event })) })
  const finish = (...bottles: [number, number][]) =>
    ilse.send('POST', `/api/mixes/${id}/finish`, { batchId: uuid(), bottles: bottles.map(([sizeMl, ml]) => ({ id: uuid(), sizeMl, ml })) })
  return { id, record, finish }
}

test('a mix takes the chemicals from the jars and puts labelled bottles on the shelf, once', async () => {
  const jar = await jarOf('citric-acid')
  const mix = await begin('Citric stop bath', 2000)
  expect((await mix.finish([2000, 2000])).body.code).toBe('not-mixed')
  await mix.record({ kind: 'water', celsius: 25 })
  expect((await mix.record({ kind: 'dissolved', step: 0 })).body.code).toBe('out-of-band')
  const weighed = { id: uuid(), kind: 'weigh', step: 0, amount: 30.5, jarId: jar.id }
  await mix.record(weighed)
  const twice = await mix.record(weighed)
  expect((twice.body.events as unknown[]).length).toBe(2)
  await mix.record({ kind: 'dissolved', step: 0 }, { kind: 'topped-up' }, { kind: 'ph', ph: 2.2, celsius: 20 })
  expect((await mix.finish([1500, 1500], [1500, 1400])).body.code).toBe('too-much')
  const done = await mix.finish([1000, 1000], [1000, 1000])
  expect(done.body.labels).toEqual([expect.stringMatching(/^S\d+$/), expect.stringMatching(/^S\d+$/)])
  expect((await mix.finish([1000, 1000])).body.code).toBe('mix-over')
  expect((await jarOf('citric-acid')).grams).toBeCloseTo(jar.grams - 30.5, 4)
  const shelf = (await ilse.send('GET', '/api/bottles')).body.rows?.filter((row) =>
    (done.body.labels as string[]).includes(row.label as string),
  )
  expect(shelf?.map((row) => (row.state as { volumeMl: number }).volumeMl)).toEqual([1000, 1000])
})

test('two at one bench: whoever is at another step is told', async () => {
  const mix = await begin('Plain metol developer', 1000)
  await mix.record({ kind: 'water', celsius: null })
  const ahead = await mix.record({ kind: 'weigh', step: 1, amount: 7.5, jarId: null })
  expect([ahead.status, ahead.body.code]).toEqual([409, 'out-of-step'])
  expect((await mix.record({ kind: 'weigh', step: 99, amount: 1, jarId: null })).status).toBe(400)
})

test('a jar that held more than its record is corrected; a mix given up takes what was weighed', async () => {
  const jar = await jarOf('potassium-bromide')
  const other = await jarOf('sodium-hydroxide')
  const mix = await begin('Sepia toner, part B (hydroxide 10 %)', 1000)
  await mix.record({ kind: 'water', celsius: 15 }, { kind: 'weigh', step: 0, amount: 80, jarId: other.id })
  expect((await ilse.send('POST', `/api/mixes/${mix.id}/abandon`, { reason: 'caked' })).status).toBe(200)
  expect((await jarOf('sodium-hydroxide')).grams).toBeCloseTo(0, 6)
  const lines = await house.db.rows<{ kind: string; grams: number }>(
    'select kind, grams from jar_entry where jar_id = $1 and mix_id is not null order by grams desc',
    [other.id],
  )
  expect(lines).toEqual([
    { kind: 'correct', grams: 20 },
    { kind: 'consume', grams: -80 },
  ])
  expect((await jarOf('potassium-bromide')).grams).toBe(jar.grams)
})

test('measured liquids leave the jar by weight', async () => {
  const jar = await jarOf('acetic-acid-28')
  const mix = await begin('Acetic stop bath, 2 %', 1000)
  await mix.record(
    { kind: 'water', celsius: null },
    { kind: 'weigh', step: 0, amount: 70, jarId: jar.id },
    { kind: 'dissolved', step: 0 },
    { kind: 'topped-up' },
  )
  expect((await mix.finish([1000, 1000])).status).toBe(200)
  expect((await jarOf('acetic-acid-28')).grams).toBeCloseTo(jar.grams - 70 * 1.036, 4)
})

test('a new version leaves old bottles theirs; a version based on an older one is refused with both shown', async () => {
  const row = await formulaNamed('Plain metol developer')
  const body = { ...row.body, purpose: 'softer still' }
  const revise = (version: unknown) => ilse.send('POST', `/api/formulas/${row.id as string}/versions`, { version, versionId: uuid(), body })
  expect((await revise(row.version)).body).toMatchObject({ number: 2, body: { purpose: 'softer still' } })
  const stale = await revise(row.version)
  expect([stale.status, (stale.body.current as { number: number }).number]).toEqual([409, 2])
  const bottle = (await ilse.send('GET', '/api/bottles')).body.rows?.find((one) => one.name === 'Plain metol developer')
  expect(bottle?.formulaNumber).toBe(1)
  const wrong = await ilse.send('POST', '/api/formulas', {
    id: uuid(),
    versionId: uuid(),
    body: { ...body, additions: [{ chemical: 'unobtainium', grams: 1 }] },
  })
  expect([wrong.status, wrong.body.code]).toEqual([422, 'unknown-chemical'])
})
