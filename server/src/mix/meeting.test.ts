import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const anyFormula = async () =>
  (await ilse.send('GET', '/api/formulas')).body.rows?.find((row) => (row.body as { name: string }).name === 'Rapid fixer concentrate') as {
    body: Record<string, unknown>
  }
async function formula(name: string, family: string, additions: object[]): Promise<string> {
  const id = uuid()
  const { body } = await anyFormula()
  const made = await ilse.send('POST', '/api/formulas', {
    id,
    versionId: uuid(),
    body: { ...body, name, family, finalMl: 1000, startMl: 750, mixC: 20, additions },
  })
  expect(made.status).toBe(200)
  return id
}
async function jar(chemical: string): Promise<string> {
  const id = uuid()
  await ilse.send('POST', '/api/jars', { id, entryId: uuid(), chemical, grams: 2000, lot: '', place: '' })
  return id
}
async function mix(formulaId: string) {
  const id = uuid()
  const started = await ilse.send('POST', '/api/mixes', { id, formulaId, finalMl: 1000 })
  const record = (...events: object[]) =>
    ilse.send('POST', `/api/mixes/${id}/events`, { events: events.map((event) => ({ id: uuid(), ...event })) })
  return { id, started, record }
}

test('the jar that stands in for a line is judged, not the line', async () => {
  const clearing = await formula('Hydroxide and hypo', 'other', [
    { chemical: 'sodium-hydroxide', grams: 20 },
    { chemical: 'sodium-thiosulfate-pentahydrate', grams: 100 },
  ])
  const { started, record } = await mix(clearing)
  expect(started.status).toBe(200)
  await record({ kind: 'water', celsius: 15 })
  const weighed = await record(
    { kind: 'weigh', step: 0, amount: 20.6, jarId: await jar('sodium-hydroxide') },
    { kind: 'dissolved', step: 0 },
  )
  expect(weighed.status).toBe(200)
  const ammonium = await jar('ammonium-thiosulfate-60')
  for (const event of [
    { kind: 'jar', step: 1, jarId: ammonium },
    { kind: 'weigh', step: 1, amount: 80, jarId: ammonium },
  ]) {
    const refused = await record(event)
    expect([refused.status, refused.body.code]).toEqual([422, 'never-meets'])
    expect(refused.body.message).toContain('ammonia gas')
  }
  expect((await record({ kind: 'jar', step: 1, jarId: await jar('sodium-thiosulfate-pentahydrate') })).status).toBe(200)
})

test('what is poured is what was weighed for its bottle, whatever its formula says', async () => {
  const plain = await formula('Plain hypo bath', 'fixer', [{ chemical: 'sodium-thiosulfate-pentahydrate', grams: 200 }])
  const alkaline = await formula('Strongly alkaline clearing bath', 'fixer', [{ chemical: 'sodium-hydroxide', grams: 20 }])
  const bottled = async (formulaId: string, chemical: string, grams: number) => {
    const { id, record } = await mix(formulaId)
    const jarId = await jar(chemical)
    await record({ kind: 'water', celsius: 15 }, { kind: 'weigh', step: 0, amount: grams, jarId }, { kind: 'dissolved', step: 0 })
    await record({ kind: 'topped-up' })
    const bottleId = uuid()
    const done = await ilse.send('POST', `/api/mixes/${id}/finish`, {
      batchId: uuid(),
      bottles: [{ id: bottleId, sizeMl: 1000, ml: 1000 }],
    })
    expect(done.status).toBe(200)
    return bottleId
  }
  const pour = async (fromId: string, intoId: string) => {
    await ilse.send('POST', `/api/bottles/${intoId}/entries`, { entryId: uuid(), kind: 'pour-out', ml: 200 })
    return ilse.send('POST', `/api/bottles/${intoId}/entries`, { entryId: uuid(), kind: 'top-up', ml: 100, fromId })
  }
  // 200 g of hypo crystals are 199 g, 150 ml, of the 60 % ammonium liquid
  const [asWritten, withAmmonium] = [
    await bottled(plain, 'sodium-thiosulfate-pentahydrate', 200),
    await bottled(plain, 'ammonium-thiosulfate-60', 149.7),
  ]
  const caustic = await bottled(alkaline, 'sodium-hydroxide', 20.6)
  const refused = await pour(withAmmonium, caustic)
  expect([refused.status, refused.body.code]).toEqual([422, 'never-meets'])
  expect((await pour(asWritten, caustic)).status).toBe(200)
})

test('a line is drawn from its own stock solution only', async () => {
  const small = await formula('A little benzotriazole', 'other', [{ chemical: 'benzotriazole', millilitres: 20, percent: 1 }])
  const { record } = await mix(small)
  const bottle = (await ilse.send('GET', '/api/bottles')).body.rows?.find((row) => row.family === 'fixer') as { id: string }
  await record({ kind: 'water', celsius: 20 })
  const wrong = await record({ kind: 'weigh', step: 0, amount: 20, jarId: null, bottleId: bottle.id })
  expect([wrong.status, wrong.body.code]).toEqual([422, 'other-stock'])
})
