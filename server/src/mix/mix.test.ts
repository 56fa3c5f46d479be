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
  expect((twice.body.events as { kind: string }[]).map((event) => event.kind)).toEqual(['water', 'jar', 'weigh'])
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
  await mix.record({ kind: 'water', celsius: 15 }, { kind: 'weigh', step: 0, amount: 80, jarId: other.id, sure: true })
  expect((await ilse.send('POST', `/api/mixes/${mix.id}/abandon`, { reason: 'caked' })).status).toBe(200)
  expect((await jarOf('sodium-hydroxide')).grams).toBeCloseTo(0, 6)
  const lines = await house.sql<{ kind: string; grams: number }>(
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

describe('the jar decides on the scales', () => {
  test('another hydrate is taken by its own weight, and leaves its own jar', async () => {
    const jar = await jarOf('borax-decahydrate')
    const mix = await begin('Buffered borax developer', 1000)
    await mix.record({ kind: 'water', celsius: 50 })
    const dose = async (step: number, amount: number, jarId: string | null = null) => {
      const { body } = await mix.record({ kind: 'weigh', step, amount, jarId }, { kind: 'dissolved', step })
      return body
    }
    for (const [step, amount] of [3, 2, 97, 5].entries()) await dose(step, amount)
    const tenWater = (6 * 381.37) / 291.29
    const wrong = await mix.record(
      { kind: 'jar', step: 4, jarId: jar.id },
      { kind: 'weigh', step: 4, amount: 6, jarId: jar.id },
      { kind: 'dissolved', step: 4 },
    )
    expect(wrong.body.code).toBe('out-of-band')
    await mix.record({ kind: 'jar', step: 4, jarId: jar.id })
    const right = await dose(4, tenWater, jar.id)
    expect((right.record as { chemical: string; lot: string; target: number; by: string }[])[4]).toMatchObject({
      chemical: 'borax-decahydrate',
      by: 'Ilse Varn',
      actual: tenWater,
      unit: 'g',
    })
    await dose(5, 8)
    await mix.record({ kind: 'topped-up' })
    expect((await mix.finish([1000, 1000])).status).toBe(200)
    expect((await jarOf('borax-decahydrate')).grams).toBeCloseTo(jar.grams - tenWater, 3)
    const metol = await jarOf('metol')
    const other = await begin('Buffered borax developer', 1000)
    await other.record({ kind: 'water', celsius: 50 })
    expect((await other.record({ kind: 'jar', step: 0, jarId: metol.id })).body.code).toBe('not-equivalent')
  })

  test('a stock solution is drawn from its bottle', async () => {
    const stock = (await ilse.send('GET', '/api/bottles')).body.rows?.find((row) => row.name === 'Potassium bromide 10 %') as {
      id: string
      state: { volumeMl: number }
    }
    const mix = await begin('Warm print developer', 1000)
    await mix.record({ kind: 'water', celsius: 45 })
    for (const [step, amount] of [40, 10, 30].entries())
      await mix.record({ kind: 'weigh', step, amount, jarId: null }, { kind: 'dissolved', step })
    await mix.record(
      { kind: 'weigh', step: 3, amount: 40, jarId: null, bottleId: stock.id },
      { kind: 'dissolved', step: 3 },
      { kind: 'topped-up' },
    )
    expect((await mix.finish([1000, 1000])).status).toBe(200)
    const page = (await ilse.send('GET', `/api/bottles/${stock.id}`)).body as unknown as {
      state: { volumeMl: number }
      ledger: { note: string }[]
    }
    expect(page.state.volumeMl).toBeCloseTo(stock.state.volumeMl - 40, 6)
    expect(page.ledger[0]?.note).toContain('Warm print developer')

    // what was drawn was there: a bottle that held more than its record does not stop the mix
    const big = await begin('Warm print developer', 12_000)
    await big.record({ kind: 'water', celsius: 45 })
    for (const [step, amount] of [480, 120, 360].entries())
      await big.record({ kind: 'weigh', step, amount, jarId: null }, { kind: 'dissolved', step })
    await big.record(
      { kind: 'weigh', step: 3, amount: 480, jarId: null, bottleId: stock.id },
      { kind: 'dissolved', step: 3 },
      { kind: 'topped-up' },
    )
    expect((await big.finish([12_000, 12_000])).status).toBe(200)
    const empty = (await ilse.send('GET', `/api/bottles/${stock.id}`)).body as unknown as {
      state: { volumeMl: number }
      ledger: { kind: string }[]
    }
    expect(empty.state.volumeMl).toBeCloseTo(0, 6)
    expect(empty.ledger.map((entry) => entry.kind)).toContain('correct')
  })
})

test('a second person looks, not the one who weighed, at what the darkroom wants looked at', async () => {
  const { version, ...settings } = (await ilse.send('GET', '/api/darkroom')).body
  await ilse.send('PUT', '/api/darkroom', { version, ...settings, secondCheck: true })
  const mix = await begin('Plain metol developer', 1000)
  await mix.record({ kind: 'water', celsius: 50 }, { kind: 'weigh', step: 0, amount: 3, jarId: null }, { kind: 'dissolved', step: 0 })
  await mix.record({ kind: 'weigh', step: 1, amount: 7.5, jarId: null })
  expect((await mix.record({ kind: 'dissolved', step: 1 })).body.code).toBe('needs-check')
  expect((await mix.record({ kind: 'checked', step: 1, by: uuid(), name: 'me' })).body.code).toBe('check-apart')
  const check = (who: typeof ilse, more: object = {}) =>
    who.send('POST', `/api/mixes/${mix.id}/checks`, { eventId: uuid(), step: 1, ...more })
  expect((await check(ilse)).body.code).toBe('same-person')
  expect((await check(ilse, { login: 'odo', password: 'wrong' })).body.code).toBe('wrong-password')
  const looked = await check(ilse, { login: 'odo', password: 'tide-mill-loft' })
  expect((looked.body.record as { checkedBy: string }[])[1]?.checkedBy).toMatch(/^Odo/)
  expect(JSON.stringify(await house.sql('select * from idempotency'))).not.toContain('tide-mill-loft')
  expect((await mix.record({ kind: 'dissolved', step: 1 })).status).toBe(200)
})

test('what never meets is not begun; a part of a pack only with a reason, which the batch keeps', async () => {
  const id = uuid()
  const body = (await formulaNamed('Ferricyanide bleach for toning')).body
  const bad = {
    ...body,
    name: 'Bad idea',
    additions: [
      { chemical: 'potassium-ferricyanide', grams: 20 },
      { chemical: 'sodium-bisulfate', grams: 5 },
    ],
  }
  const refused = await ilse.send('POST', '/api/formulas', { id, versionId: uuid(), body: bad })
  expect([refused.status, refused.body.code, refused.body.field]).toEqual([422, 'unwise', 'overrule'])
  const why = 'kept as it is written in the old book'
  expect((await ilse.send('POST', '/api/formulas', { id, versionId: uuid(), body: bad, overrule: why })).body.overruled).toBe(why)
  expect((await ilse.send('POST', '/api/mixes', { id: uuid(), formulaId: id, finalMl: 1000 })).body.code).toBe('never-meets')
  const pack = (await formulaNamed('Print developer from a powder pack')).id
  const start = (finalMl: number, note?: string) =>
    ilse.send('POST', '/api/mixes', { id: uuid(), formulaId: pack, finalMl, ...(note ? { note } : {}) })
  expect((await start(500)).body).toMatchObject({ code: 'part-of-pack', field: 'note' })
  expect((await start(1000)).status).toBe(200)
  expect((await start(2000)).status).toBe(200)
  expect((await start(500, 'half for the workshop')).body.note).toBe('half for the workshop')
})

test('parts are poured together in their order, from the right bottles', async () => {
  const formula = await formulaNamed('Sepia toner, working')
  const shelf = (await ilse.send('GET', '/api/bottles')).body.rows ?? []
  const of = (name: RegExp) => shelf.find((row) => name.test(row.name as string)) as { id: string; state: { volumeMl: number } }
  const [a, b] = [of(/^Sepia.* part A/), of(/^Sepia.* part B/)]
  const combine = (from: string[], totalMl = 1200) =>
    ilse.send('POST', '/api/bottles/combine', { newId: uuid(), formulaId: formula.id, from, parts: [1, 4, 10], totalMl, sizeMl: totalMl })
  expect((await combine([b.id, a.id])).body.code).toBe('wrong-part')
  expect((await combine([a.id, b.id], 90_000)).body.code).toBe('not-enough')
  const made = await combine([a.id, b.id])
  expect([made.status, made.body.name, (made.body.state as { volumeMl: number }).volumeMl]).toEqual([200, 'Sepia toner, working', 1200])
  const left = (await ilse.send('GET', `/api/bottles/${b.id}`)).body.state as { volumeMl: number }
  expect(left.volumeMl).toBeCloseTo(b.state.volumeMl - 320, 6)
})

test('a formula shows the measured pH of its batches', async () => {
  const { id } = (await formulaNamed('Loft print developer')) as unknown as { id: string }
  const { batches } = (await ilse.send('GET', `/api/formulas/${id}`)).body as unknown as { batches: { ph: number | null }[] }
  expect(batches.map((batch) => batch.ph)).toContain(10.1)
})

test('a slip of the unit is asked about and believed only when it is said to be right', async () => {
  const mix = await begin('Citric stop bath', 1000)
  await mix.record({ kind: 'water', celsius: null })
  const jar = await jarOf('citric-acid')
  const odd = { kind: 'weigh', step: 0, amount: 600, jarId: jar.id }
  const asked = await mix.record(odd)
  expect([asked.status, asked.body.code, asked.body.message]).toEqual([422, 'odd-amount', expect.stringContaining('600.0 g is')])
  expect((await mix.record({ ...odd, sure: true })).status).toBe(200)
  expect((await mix.record({ kind: 'rescale', finalMl: 302_000 })).body.code).toBe('too-large')
})

test('a weight put right after it is in is what leaves the jar, and a second look at the wrong one is void', async () => {
  const jar = await jarOf('citric-acid')
  const mix = await begin('Citric stop bath', 1000)
  const wrong = uuid()
  await mix.record(
    { kind: 'water', celsius: 25 },
    { id: wrong, kind: 'weigh', step: 0, amount: 15.6, jarId: jar.id },
    { kind: 'dissolved', step: 0 },
  )
  const right = await mix.record({ kind: 'weigh', step: 0, amount: 15.1, jarId: jar.id, corrects: wrong })
  expect((right.body.record as { actual: number }[])[0]?.actual).toBe(15.1)
  expect((await mix.record({ kind: 'weigh', step: 0, amount: 15, jarId: jar.id, corrects: wrong })).body.code).toBe('not-there')
  const toppedUp = uuid()
  await mix.record({ id: toppedUp, kind: 'topped-up' }, { kind: 'undo', of: toppedUp })
  expect((await mix.finish([1000, 1000])).body.code).toBe('not-mixed')
  await mix.record({ kind: 'topped-up' }, { kind: 'ph', ph: 1.2, celsius: 20 })
  await mix.finish([600, 600], [400, 400])
  expect((await jarOf('citric-acid')).grams).toBeCloseTo(jar.grams - 15.1, 4)
  const put = await ilse.send('PUT', `/api/mixes/${mix.id}/ph`, { ph: 2.2, celsius: 21 })
  expect(put.body.batchPh).toEqual({ ph: 2.2, celsius: 21 })
})
