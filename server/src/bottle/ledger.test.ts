import { bottleState } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'
import { wholeLedger } from './checkpoint'

interface Shown {
  id: string
  label: string
  version: number
  madeAt: number
  retiredAt: number | null
  retiredWhy: string | null
  state: {
    volumeMl: number
    rolls: number
    rollsPerL: number
    used: number
    strength: number
    silverGPerL: number | null
    replenishDueMl: number
    nextTimeFactor: number
    container: string
    celsius: number
    twoBath: { position: number; moves: number } | null
    findings: { rule: string }[]
  }
  ledger: { id: string; kind: string; ml: number; balanceMl: number; note: string; otherLabel: string | null; reversedBy: string | null }[]
  more: boolean
}
let house: TestHouse
let ilse: Caller
let odo: Caller
let formulas: Map<string, string>
beforeAll(async () => {
  house = await testHouse()
  ;[ilse, odo] = await Promise.all([house.as('ilse'), house.as('odo')])
  formulas = new Map(
    (await ilse.send('GET', '/api/formulas')).body.rows?.map((row) => [(row.body as { name: string }).name, row.id as string]),
  )
}, 60_000)
afterAll(() => house.close())

const shown = (answer: Answer) => answer.body as unknown as Shown
const show = async (id: string): Promise<Shown> => shown(await ilse.send('GET', `/api/bottles/${id}`))
const on = (id: string) => ({ params: { id } })
/** A bottle of a bought concentrate nobody else touches. */
async function fresh(ml = 1000, sizeMl = 1000, name = 'Rapid fixer concentrate'): Promise<Shown> {
  const id = uuid()
  const answer = await ilse.send('POST', '/api/bottles', { id, formulaId: formulas.get(name), sizeMl, ml })
  expect(answer.status).toBe(200)
  return show(id)
}
const write = (id: string, kind: string, ml: number, more: object = {}) =>
  ilse.call(api.bottle.pour, { ...on(id), body: { entryId: uuid(), kind, ml, ...more } })
const use = (bottle: Shown, part: object) =>
  ilse.call(api.bottle.change, {
    ...on(bottle.id),
    body: {
      version: bottle.version,
      reason: 'as a test wants it',
      use: {
        school: 'counted',
        capacityRollsPerL: 10,
        keeping: { fullDays: null, halfDays: null, workingDays: null },
        dilutions: [[1]],
        minConcentrateMlPerRoll: 0,
        ...part,
      },
    },
  })

test('200 pours at once on one bottle, each sent twice, end in exactly the right sum', async () => {
  const bottle = await fresh()
  const pours = Array.from({ length: 100 }, (_, i) => ({ key: uuid(), entryId: uuid(), who: i % 2 ? ilse : odo, ml: 3 + (i % 3) }))
  const answers = await Promise.all(
    [...pours, ...pours].map(({ key, entryId, who, ml }) =>
      who.call(api.bottle.pour, { ...on(bottle.id), body: { entryId, kind: 'pour-out', ml }, key }),
    ),
  )
  expect(new Set(answers.map((one) => one.status))).toEqual(new Set([200]))
  const { state, ledger } = await show(bottle.id)
  expect(state.volumeMl).toBeCloseTo(1000 - pours.reduce((sum, one) => sum + one.ml, 0), 6)
  expect(ledger[0]?.balanceMl).toBeCloseTo(state.volumeMl, 6)
  expect((await house.one<{ n: number }>(`select count(*) as n from bottle_entry where bottle_id = $1`, [bottle.id]))?.n).toBe(101)
}, 60_000)

test('the checkpoint is what the ledger sums up to, through long histories, lines taken back and late ones', async () => {
  const bottle = await fresh(5000, 6000)
  for (let i = 0; i < 55; i++) await write(bottle.id, 'use', 10, { rolls: 1 })
  const held = () =>
    house.one<{ ml: number; entries: number; carried: number }>('select ml, entries, carried from bottle_checkpoint where bottle_id = $1', [
      bottle.id,
    ])
  expect((await held())?.carried).toBeGreaterThan(30)
  const byHand = async () => {
    const entries = await wholeLedger(house.db, bottle.id)
    const page = await show(bottle.id)
    const formula = {
      ...(page as unknown as { use: never }),
      id: '',
      finalMl: 1000,
      startMl: 0,
      mixC: 20,
      additions: [],
      name: '',
      family: 'fixer',
    }
    return [bottleState(formula, page as never, entries, house.now()), page.state] as const
  }
  const [whole, told] = await byHand()
  expect([told.volumeMl, told.rolls]).toEqual([whole.volumeMl, whole.rolls])
  expect(told.used).toBeCloseTo(whole.used, 9)
  const page = await show(bottle.id)
  await ilse.call(api.bottle.reverse, {
    params: { id: bottle.id, entryId: page.ledger[40]?.id ?? '' },
    body: { newId: uuid(), reason: 'that was another bottle' },
  })
  expect((await held())?.carried).toBe(0)
  const [after, toldAfter] = await byHand()
  expect([toldAfter.volumeMl, toldAfter.rolls]).toEqual([after.volumeMl, 54])
  const before = await held()
  await house.sql('select rebuild_checkpoints()')
  expect(await held()).toMatchObject({ ml: before?.ml, entries: before?.entries })
  expect((await show(bottle.id)).state.volumeMl).toBe(toldAfter.volumeMl)
}, 60_000)

test('what waited while others wrote comes after their lines, and nothing is reckoned anew for it', async () => {
  const bottle = await fresh(5000, 6000)
  for (let i = 0; i < 20; i++) await write(bottle.id, 'pour-out', 10)
  // asked for a little before the last line was written, as whoever waits for the bottle has
  house.advance(-2000)
  expect((await write(bottle.id, 'pour-out', 1)).status).toBe(200)
  house.advance(2000)
  const [last] = (await show(bottle.id)).ledger
  expect([last?.ml, last?.balanceMl]).toEqual([-1, 4799])
  const carried = await house.one<{ carried: number }>('select carried from bottle_checkpoint where bottle_id = $1', [bottle.id])
  expect(carried?.carried).toBeGreaterThan(10)
}, 30_000)

test('a line whose time is finer than a millisecond is counted once, also at the end of what is carried', async () => {
  const bottle = await fresh(1000, 1000)
  await house.sql(
    `insert into bottle_entry (id, bottle_id, kind, at, ml)
     select overlay(gen_random_uuid()::text placing '7' from 15 for 1)::uuid, $1, 'pour-out', last.at + interval '0.1007 milliseconds' * i, -10
     from generate_series(1, 20) i, (select max(at) as at from bottle_entry where bottle_id = $1) last`,
    [bottle.id],
  )
  // the first folds what is there, the second reckons on from it
  for (const ml of [1, 1]) await write(bottle.id, 'pour-out', ml)
  const { state, ledger } = await show(bottle.id)
  expect([state.volumeMl, ledger[0]?.balanceMl]).toEqual([798, 798])
})

test('a long ledger comes in pages, each line with the volume after it', async () => {
  const bottle = await fresh(5000, 6000)
  for (let i = 0; i < 104; i++) await write(bottle.id, 'pour-out', 1)
  const first = await show(bottle.id)
  expect([first.ledger.length, first.more, first.ledger[0]?.balanceMl]).toEqual([100, true, 4896])
  const older = (await ilse.call(api.bottle.ledger, { ...on(bottle.id), query: { after: first.ledger.at(-1)?.id ?? '' } }))
    .body as unknown as Shown & { rows: Shown['ledger'] }
  expect(older.rows.map((line) => line.balanceMl)).toEqual([4996, 4997, 4998, 4999, 5000])
  expect(older.more).toBe(false)
}, 60_000)

test('decanting splits a bottle with its history, and taking it back takes all of it back', async () => {
  const bottle = await fresh()
  await write(bottle.id, 'use', 0, { rolls: 4 })
  const into = [uuid(), uuid()]
  const answer = await ilse.call(api.bottle.decant, { ...on(bottle.id), body: { into: into.map((id) => ({ id, sizeMl: 500, ml: 480 })) } })
  const made = answer.body.made as Shown[]
  const from = await show(bottle.id)
  expect([from.state.volumeMl, ...made.map((one) => one.state.volumeMl)]).toEqual([40, 480, 480])
  expect(made[0]?.state.rollsPerL).toBeCloseTo(from.state.rollsPerL, 9)
  expect([made[0]?.madeAt, made[0]?.state.silverGPerL]).toEqual([from.madeAt, from.state.silverGPerL])
  const line = from.ledger.find((one) => one.kind === 'decant')
  const back = () =>
    ilse.call(api.bottle.reverse, {
      params: { id: bottle.id, entryId: line?.id ?? '' },
      body: { newId: uuid(), reason: 'it stays together' },
    })
  const ahead = () => ilse.call(api.bottle.wouldReverse, { params: { id: bottle.id, entryId: line?.id ?? '' } })
  await write(into[0] ?? '', 'pour-out', 10)
  const refused = (await back()).body.message
  expect(refused).toContain(made[0]?.label ?? '-')
  expect((await ahead()).body.message).toBe(refused)
  const poured = (await show(into[0] ?? '')).ledger.find((one) => one.kind === 'pour-out')
  await ilse.call(api.bottle.reverse, {
    params: { id: into[0] ?? '', entryId: poured?.id ?? '' },
    body: { newId: uuid(), reason: 'not poured' },
  })
  // looked at before the tap: what then is, and nothing is written by looking
  const lines = () => house.one('select count(*) from bottle_entry')
  const before = await lines()
  const would = (await ahead()).body.would as { bottleId: string; afterMl: number; lines: { kind: string }[] }[]
  // said by what is taken back
  expect(would.flatMap((one) => one.lines.map((each) => [one.bottleId, each.kind])).sort()).toEqual(
    [[bottle.id, 'decant'], [bottle.id, 'decant'], ...into.map((id) => [id, 'fill'])].sort(),
  )
  expect(would.map((one) => [one.bottleId, one.afterMl]).sort()).toEqual([[bottle.id, 1000], ...into.map((id) => [id, 0])].sort())
  expect(await lines()).toEqual(before)
  expect((await back()).status).toBe(200)
  expect((await show(bottle.id)).state.volumeMl).toBe(1000)
  expect((await show(into[1] ?? '')).retiredWhy).toContain('taken back')
})

test('what a bottle failed its small bottles and its working strength have failed too', async () => {
  const stock = await fresh()
  const failing = { id: uuid(), kind: 'iodide-drop', bottleId: stock.id, reading: { look: 'cloud' } }
  expect((await ilse.call(api.proof.write, { body: failing })).status).toBe(200)
  const [small, working] = [uuid(), uuid()]
  const overrule = 'to look at it'
  const decant = (more: object) =>
    ilse.call(api.bottle.decant, { ...on(stock.id), body: { into: [{ id: small, sizeMl: 100, ml: 90 }], ...more } })
  expect((await decant({})).body.code).toBe('failed')
  expect((await decant({ overrule })).status).toBe(200)
  const diluted = await ilse.call(api.bottle.dilute, {
    ...on(stock.id),
    body: { newId: working, parts: [1, 4], totalMl: 500, sizeMl: 500, overrule },
  })
  expect(diluted.status).toBe(200)
  for (const id of [small, working]) expect((await show(id)).state.findings[0]?.rule).toBe('bottle-failed')
})

test('water thins, evaporation does not, a pre-wet carries in what the load carries out', async () => {
  const bottle = await fresh(900)
  await write(bottle.id, 'evaporate', 50)
  await write(bottle.id, 'use', 45, { rolls: 3, waterInMl: 45 })
  const one = shown(await write(bottle.id, 'water', 50))
  expect(one.state.volumeMl).toBeCloseTo(900, 6)
  // three loads that carried in 15 ml each as they carried it out, then water on top
  expect(one.state.strength).toBeCloseTo((1 - 15 / 850) ** 3 * (850 / 900), 6)
})

test('a replenished bath bleeds into the waste what keeps its volume, and a school can be changed for one bottle', async () => {
  const plain = await fresh()
  expect((await ilse.call(api.bottle.replenish, { ...on(plain.id), body: { entryId: uuid(), ml: 100 } })).body.code).toBe('not-replenished')
  const bottle = shown(await use(plain, { school: 'replenished', capacityRollsPerL: null, replenishment: { mlPerRoll: 50, turnovers: 3 } }))
  await write(bottle.id, 'use', 30, { rolls: 2 })
  expect((await show(bottle.id)).state.replenishDueMl).toBe(100)
  const replenished = shown(
    await ilse.call(api.bottle.replenish, { ...on(bottle.id), body: { entryId: uuid(), ml: 100, evaporatedMl: 10 } }),
  )
  expect([replenished.state.volumeMl, replenished.state.replenishDueMl]).toEqual([1000, 0])
  const waste = (await ilse.send('GET', '/api/waste')).body.rows?.find((row) => row.bottleId === bottle.id)
  expect([waste?.family, waste?.ml, (waste?.silverG as number) > 0]).toEqual(['fixer', 70, true])
  const compensated = shown(await use(replenished, { school: 'compensated', compensation: { perRoll: 0.05 } }))
  expect(compensated.state.nextTimeFactor).toBeCloseTo(1 + 0.05 * compensated.state.rollsPerL, 9)
  expect((await use(replenished, {})).status).toBe(409)
})

test('two baths: paired, used up, moved up, and after the last move over', async () => {
  const pairUse = { school: 'two-bath', capacityRollsPerL: 4, twoBath: { moves: 1, days: null } }
  const [first, second, third, fourth] = await Promise.all([1, 2, 3, 4].map(async () => shown(await use(await fresh(), pairUse))))
  await ilse.call(api.bottle.pair, { body: { firstId: first?.id, secondId: second?.id } })
  await write(first?.id ?? '', 'use', 0, { rolls: 4 })
  expect((await show(first?.id ?? '')).state.findings[0]?.rule).toBe('bottle-move-up')
  const moved = await ilse.call(api.bottle.moveUp, { ...on(second?.id ?? ''), body: { firstId: first?.id, freshId: third?.id } })
  expect([(moved.body.first as Shown).state.twoBath, (moved.body.second as Shown).state.twoBath]).toMatchObject([
    { position: 1, moves: 1 },
    { position: 2, moves: 1 },
  ])
  expect((await show(first?.id ?? '')).retiredAt).not.toBeNull()
  expect(
    (await ilse.call(api.bottle.moveUp, { ...on(third?.id ?? ''), body: { firstId: second?.id, freshId: fourth?.id } })).body.code,
  ).toBe('last-move')
}, 30_000)

test('what was poured into the wrong bottle retires both, and what may not meet is refused', async () => {
  const [fixer, wetting] = [await fresh(), await fresh(100, 1000, 'Wetting agent concentrate')]
  const topUp = await write(fixer.id, 'top-up', 10, { fromId: wetting.id })
  expect([topUp.status, topUp.body.code]).toEqual([409, 'too-full'])
  await write(fixer.id, 'pour-out', 100)
  expect((await write(fixer.id, 'top-up', 10, { fromId: wetting.id })).body.code).toBe('other-family')
  const wrong = await ilse.call(api.bottle.wrong, {
    ...on(wetting.id),
    body: { entryId: uuid(), intoId: fixer.id, ml: 50, reason: 'took the wrong one in the dark' },
  })
  expect([(wrong.body.from as Shown).retiredAt !== null, (wrong.body.into as Shown).retiredAt !== null]).toEqual([true, true])
  const one = await show(fixer.id)
  expect([one.state.volumeMl, one.ledger[0]?.kind]).toEqual([950, 'retire'])
  const mishap = one.ledger.find((line) => line.kind === 'wrong-bottle')
  await ilse.call(api.bottle.reverse, {
    params: { id: fixer.id, entryId: mishap?.id ?? '' },
    body: { newId: uuid(), reason: 'it was only water' },
  })
  expect([(await show(fixer.id)).retiredAt, (await show(wetting.id)).retiredAt, (await show(wetting.id)).state.volumeMl]).toEqual([
    null,
    null,
    100,
  ])
})

test('a retired bottle is poured for a technician’s reason only, which stays on the record; the sink takes what it holds', async () => {
  const bottle = await fresh()
  await ilse.call(api.bottle.retire, { ...on(bottle.id), body: { version: bottle.version, reason: 'milky' } })
  expect((await write(bottle.id, 'pour-out', 10)).body).toMatchObject({ code: 'retired', field: 'overrule' })
  await write(bottle.id, 'pour-out', 10, { overrule: 'to test the iodide on it' })
  expect((await show(bottle.id)).ledger[0]?.note).toContain('to test the iodide on it')
  const other = await fresh()
  await ilse.call(api.bottle.retire, { ...on(other.id), body: { version: other.version, reason: 'old', discard: true } })
  expect((await show(other.id)).state.volumeMl).toBe(0)
  const wasted = () => ilse.send('GET', '/api/waste').then((answer) => answer.body.rows?.some((row) => row.bottleId === other.id))
  expect(await wasted()).toBe(true)
  const line = (await show(other.id)).ledger.find((one) => one.kind === 'discard')
  await ilse.call(api.bottle.reverse, {
    params: { id: other.id, entryId: line?.id ?? '' },
    body: { newId: uuid(), reason: 'it was still good' },
  })
  expect([(await show(other.id)).retiredAt, await wasted()]).toEqual([null, false])
})

test('a shelf gives its temperature to what stands on it; a tray ages it', async () => {
  const shelf = { id: uuid(), name: 'By the boiler', celsius: 34 }
  expect((await ilse.call(api.shelf.add, { body: shelf })).status).toBe(200)
  expect((await ilse.call(api.shelf.add, { body: { ...shelf, id: uuid() } })).body.message).toContain('shelf of that name')
  const bottle = await fresh()
  const moved = shown(
    await ilse.call(api.bottle.move, { ...on(bottle.id), body: { entryId: uuid(), shelfId: shelf.id, container: 'tray' } }),
  )
  expect([moved.state.celsius, moved.state.container]).toEqual([34, 'tray'])
  expect((await ilse.call(api.shelf.remove, { ...on(shelf.id), body: { version: 1 } })).body.message).toContain('Move them first')
  await ilse.call(api.shelf.change, { ...on(shelf.id), body: { version: 1, name: 'By the window', celsius: 22 } })
  expect((await show(bottle.id)).state.celsius).toBe(22)
})

test('supply says in which order to pour and when a formula runs out', async () => {
  const { supplies } = (await ilse.send('GET', '/api/supply')).body as unknown as {
    supplies: { name: string; order: string[]; rollsPerDay: number; runsOutAt: number | null }[]
  }
  const fixer = supplies.find((one) => one.name === 'Neutral rapid fixer')
  // what four weeks of the demo put through it, a day
  const [through] = await house.sql<{ rolls: number }>(
    `select sum((t ->> 'equivalents')::numeric) as rolls from bottle_entry e cross join jsonb_array_elements(e.throughput) t join bottle b on b.id = e.bottle_id join formula_version v on v.id = b.formula_version_id
     where v.body ->> 'name' = 'Neutral rapid fixer' and e.kind = 'use' and e.at > to_timestamp($1 / 1000.0)
       and not exists (select from bottle_entry x where x.reverses = e.id)`,
    [house.now() - 28 * 86_400_000],
  )
  expect(fixer?.rollsPerDay).toBeCloseTo((through?.rolls ?? 0) / 28, 1)
  expect(fixer?.runsOutAt).toBeGreaterThan(house.now() - 1)
  const standing = await house.sql<{ id: string }>(`select id from bottle where retired_at is null`)
  expect(standing.map((one) => one.id)).toEqual(expect.arrayContaining(fixer?.order ?? ['none']))
  expect(fixer?.order).not.toEqual([])
})
