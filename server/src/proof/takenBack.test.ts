import { api, type Bottle, type BottlePage, type Proof, type ProofContext } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
let fixer: Bottle
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  const rows = ((await ilse.send('GET', '/api/bottles')).body.rows ?? []) as unknown as Bottle[]
  fixer = rows.find((one) => one.name === 'Neutral rapid fixer' && one.batchId !== null && one.state.rolls > 0) as Bottle
}, 60_000)
afterAll(() => house.close())

const page = async () => (await ilse.send('GET', `/api/bottles/${fixer.id}`)).body as unknown as BottlePage
const context = async () => (await ilse.call(api.proof.context, { params: { id: fixer.id } })).body as unknown as ProofContext
const clearing = async (value: number, fresh = false) =>
  (
    await ilse.call(api.proof.write, {
      body: { id: uuid(), kind: 'clearing-time', bottleId: fixer.id, reading: { value, celsius: 20 }, fresh },
    })
  ).body as unknown as { proof: Proof; suspects: unknown[] }
const takeBack = async (proofId: string, reason: string) => {
  const line = (await page()).ledger.find((one) => one.proofId === proofId)
  return ilse.call(api.bottle.reverse, { params: { id: fixer.id, entryId: line?.id ?? '' }, body: { newId: uuid(), reason } })
}

test('a fresh reading that was mistyped and taken back is no reference any more', async () => {
  const before = (await context()).references['clearing-time']
  house.advance(1000)
  const { proof } = await clearing(680, true)
  expect((await context()).references['clearing-time']).toMatchObject({ value: 680, from: 'batch' })
  expect((await takeBack(proof.id, 'ten times too long')).status).toBe(200)
  expect((await context()).references['clearing-time']).toEqual(before)
  const kept = ((await ilse.send('GET', '/api/proofs')).body.rows as unknown as Proof[]).find((one) => one.id === proof.id)
  expect([kept?.takenBack, kept?.reading.value]).toEqual([true, 680])
})

test('a failure that is taken back clears the marks it left and tells the owners once more', async () => {
  await house.sql(
    `insert into bottle_entry (id, bottle_id, kind, at, ml, throughput, run_id)
     select $2, $1, 'use', $3, -10, '[{"kind": "bw-roll", "equivalents": 1}]', o.run_id from roll o where o.member_id is not null and o.run_id is not null limit 1`,
    [fixer.id, uuid(), new Date(house.now())],
  )
  house.advance(1000)
  const capacity = async () => (await ilse.call(api.proof.capacity, { params: { id: fixer.formulaId } })).body
  const earlier = await capacity()
  const { proof, suspects } = await clearing(300)
  expect([proof.judgement.verdict, suspects.length > 0]).toEqual(['failed', true])
  const marks = await house.sql<{ cleared: string | null }>('select cleared from roll_mark where proof_id = $1', [proof.id])
  expect(marks.map((mark) => mark.cleared)).toEqual(marks.map(() => null))
  expect((await page()).state.findings[0]?.rule).toBe('bottle-failed')

  house.advance(1000)
  expect((await takeBack(proof.id, 'read off another bottle')).status).toBe(200)
  expect((await page()).state.findings.map((one) => one.rule)).not.toContain('bottle-failed')
  const cleared = await house.sql<{ cleared: string }>('select cleared from roll_mark where proof_id = $1', [proof.id])
  expect(cleared.map((mark) => mark.cleared)).toEqual(marks.map(() => 'The test was taken back: read off another bottle'))
  const told = await house.sql<{ text: string }>(`select text from notice where text like '%taken back%'`)
  expect(told.length).toBe(marks.length)
  expect(told[0]?.text).toMatch(/^Your .*: the test that put it in doubt was taken back, read off another bottle$/)
  expect(await capacity()).toEqual(earlier)
})

test('a clearing time at another temperature goes into the trend as it would have been at the fresh one’s', async () => {
  house.advance(1000)
  const { proof } = await clearing(70)
  const cold = (
    await ilse.call(api.proof.write, {
      body: { id: uuid(), kind: 'clearing-time', bottleId: fixer.id, reading: { value: 100, celsius: 14, slowClearing: false } },
    })
  ).body as unknown as { proof: Proof }
  expect([proof.judgement.corrected, cold.proof.judgement.corrected]).toEqual([false, true])
  const mark = (await page()).ledger.find((one) => one.proofId === cold.proof.id)?.test
  // 6 °C colder, 5 % a degree
  expect(mark?.reading).toBeCloseTo(100 / 1.05 ** 6, 1)
})

test('decanted liquid that fails names the runs of the bottle it came from, up to when it was decanted', async () => {
  house.advance(1000)
  await clearing(72)
  const used = async (bottleId: string) => {
    house.advance(1000)
    const [run] = await house.sql<{ id: string; number: number }>(
      `select id, number from run r where exists (select from roll o where o.run_id = r.id)
         and not exists (select from bottle_entry e where e.run_id = r.id and e.at > now() - interval '1 hour') order by number limit 1`,
    )
    await house.sql(
      `insert into bottle_entry (id, bottle_id, kind, at, ml, throughput, run_id) values ($1, $2, 'use', $3, -1, '[{"kind": "bw-roll", "equivalents": 0.1}]', $4)`,
      [uuid(), bottleId, new Date(house.now()), run?.id],
    )
    return run?.number
  }
  const before = await used(fixer.id)
  house.advance(1000)
  const small = uuid()
  const decanted = await ilse.call(api.bottle.decant, {
    params: { id: fixer.id },
    body: { into: [{ id: small, sizeMl: 100, ml: 90 }], overrule: 'to test it' },
  })
  expect([decanted.status, decanted.body.message]).toEqual([200, undefined])
  const own = await used(small)
  const elsewhere = await used(fixer.id)
  house.advance(1000)
  const failed = await ilse.call(api.proof.write, {
    body: { id: uuid(), kind: 'clearing-time', bottleId: small, reading: { value: 300, celsius: 20 } },
  })
  const numbers = (failed.body.suspects as { runNumber: number }[]).map((one) => one.runNumber)
  expect(numbers.sort()).toEqual([before, own].sort())
  expect(numbers).not.toContain(elsewhere)
})

test('a control strip read in by mistake is taken back: the chart goes on without it', async () => {
  const instruments = async () =>
    (await ilse.send('GET', '/api/instruments')).body.rows as unknown as { id: string; kind: string; strips: { id: string }[] }[]
  const process = (await instruments()).find((one) => one.kind === 'process')
  const proofId = uuid()
  await ilse.call(api.proof.strip, {
    params: { id: process?.id ?? '' },
    body: { proofId, strip: { fog: 0.2, low: 0.6, high: 1.4, max: 4 } },
  })
  const strips = async () => (await instruments()).find((one) => one.id === process?.id)?.strips.map((one) => one.id)
  expect(await strips()).toContain(proofId)
  const back = () => ilse.call(api.proof.takeBack, { params: { id: proofId }, body: { newId: uuid(), reason: 'read off the wrong strip' } })
  expect((await back()).body).toMatchObject({ takenBack: true })
  expect(await strips()).toEqual(process?.strips.map((one) => one.id))
  expect((await back()).body.code).toBe('reversed')
})

test('a test is taken back from its own list with its line in the ledger', async () => {
  house.advance(1000)
  const { proof } = await clearing(75)
  const back = await ilse.call(api.proof.takeBack, { params: { id: proof.id }, body: { newId: uuid(), reason: 'another bottle' } })
  expect(back.body).toMatchObject({ takenBack: true })
  expect((await page()).ledger[0]?.kind).toBe('reverse')
})
