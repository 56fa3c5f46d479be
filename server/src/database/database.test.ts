import { newDatabase, sqlOn, testHouse, type TestHouse } from '../test/house'
import { connect } from './connection'
import { migrateDown, migrateUp } from './migrate'
import { throughput } from './migrations/0009-throughput'
import { printing } from './migrations/0023-printing'
import { kindOf, prepare, WrongKind } from './prepare'

const clock = { now: () => Date.now() }

test('migrations go up, all the way down, and up again', async () => {
  const db = connect(await newDatabase())
  const tables = async () =>
    (await sqlOn(db)<{ name: string }>(`select tablename as name from pg_tables where schemaname = 'public' order by 1`)).map(
      (row) => row.name,
    )
  const functions = async () =>
    (await sqlOn(db)(`select proname from pg_proc join pg_namespace n on n.oid = pronamespace where nspname = 'public'`)).length
  await migrateUp(db)
  const up = await tables()
  expect(up).toContain('bottle_entry')
  await migrateDown(db)
  expect(await tables()).toEqual(['migration'])
  expect(await functions()).toBe(0)
  await migrateUp(db)
  expect(await tables()).toEqual(up)
  await db.close()
})

test('two processes that start at once migrate and load the demo once', async () => {
  const url = await newDatabase()
  const both = [connect(url), connect(url)]
  await Promise.all(both.map((db) => prepare(db, clock, { kind: 'demo', strict: false, fresh: false })))
  const [count] = await sqlOn(both[0]!)<{ count: number }>('select count(*) from person')
  expect(count?.count).toBe(15)
  await Promise.all(both.map((db) => db.close()))
}, 30_000)

test('--fresh makes the demo again as on the first day', async () => {
  const db = connect(await newDatabase())
  await prepare(db, clock, { kind: 'demo', strict: false, fresh: false })
  await sqlOn(db)(`update darkroom set name = 'Another name'; delete from chart_row`)
  await prepare(db, clock, { kind: 'demo', strict: true, fresh: true })
  expect((await sqlOn(db)('select name from darkroom'))[0]).toEqual({ name: 'Tidewheel Darkroom' })
  expect((await sqlOn(db)('select id from chart_row')).length).toBeGreaterThanOrEqual(30)
  await db.close()
}, 60_000)

test('a house gets no demo data, cannot be reset, and is told from a demo', async () => {
  const db = connect(await newDatabase())
  const { firstCode } = await prepare(db, clock, { kind: 'house', strict: true, fresh: false })
  expect(firstCode).toMatch(/^[2-9A-HJKMNP-Z]{10}$/)
  expect(await sqlOn(db)('select id from person union all select id from bottle union all select id from formula')).toEqual([])
  for (const ask of [
    { kind: 'demo' as const, strict: true, fresh: false },
    { kind: 'demo' as const, strict: false, fresh: true },
    { kind: 'house' as const, strict: true, fresh: true },
  ])
    await expect(prepare(db, clock, ask)).rejects.toThrow(WrongKind)
  expect(await kindOf(db)).toBe('house')
  expect(await prepare(db, clock, { kind: 'demo', strict: false, fresh: false })).toMatchObject({ kind: 'house' })
  await db.close()
})

describe('the demo', () => {
  let house: TestHouse
  beforeAll(async () => void (house = await testHouse()), 30_000)
  afterAll(() => house.close())

  test('is rich enough that every screen looks lived in', async () => {
    const counts = await house.one<Record<string, number>>(`select
      (select count(*) from formula) as formulas, (select count(*) from jar) as jars, (select count(*) from bottle where retired_at is null) as bottles,
      (select count(*) from person where role = 'technician') as technicians, (select count(*) from person where role = 'member') as members,
      (select count(*) from run where state = 'done') as runs, (select count(*) from chart_row) as chart`)
    const least = { formulas: 12, jars: 25, bottles: 10, technicians: 3, members: 12, runs: 40, chart: 30 }
    for (const [what, wanted] of Object.entries(least)) expect([what, (counts?.[what] ?? 0) >= wanted]).toEqual([what, true])
  })
  test('a written line of a ledger can be neither changed nor removed, and a used version stays', async () => {
    for (const sql of [
      'update bottle_entry set ml = ml + 1',
      'delete from bottle_entry',
      'delete from jar_entry',
      `update formula_version set body = body || '{"name": "x"}'`,
    ])
      await expect(house.sql(sql)).rejects.toThrow(/append-only/)
  })
  test('a ledger below zero is refused by the database itself', async () => {
    await expect(
      house.sql(
        `insert into bottle_entry (id, bottle_id, kind, at, ml) select gen_random_uuid(), id, 'pour-out', now(), -1e6 from bottle limit 1`,
      ),
    ).rejects.toThrow(/would hold/)
  })
})

test('a server refuses a schema that a newer one has changed so that it would do harm, and takes any other', async () => {
  const db = connect(await newDatabase())
  const ask = { kind: 'house' as const, strict: false, fresh: false }
  await prepare(db, clock, ask)
  await sqlOn(db)(`insert into migration (name) values ('0999-more-shelves')`)
  expect((await prepare(db, clock, ask)).kind).toBe('house')
  await sqlOn(db)(`insert into migration (name) values ('1000-other-ledgers breaking')`)
  await expect(prepare(db, clock, ask)).rejects.toThrow(/newer Selvrin \(1000-other-ledgers\).*Start the newer one/)
  await db.close()
})

test('what went through every bottle is the same after the way back to columns of its own and forth again', async () => {
  const db = connect(await newDatabase())
  await prepare(db, clock, { kind: 'demo', strict: false, fresh: false })
  const sql = sqlOn(db)
  const [mixed] = await sql<{ id: string }>(`select id from bottle where retired_at is null limit 1`)
  await sql(`insert into bottle_entry (id, bottle_id, kind, at, ml, throughput) values (gen_random_uuid(), $1, 'use', now(), 0, $2)`, [
    mixed?.id,
    JSON.stringify([
      { kind: 'bw-roll', equivalents: 2 },
      { kind: 'colour-roll', equivalents: 1.5 },
      { kind: 'print', equivalents: 4 },
    ]),
  ])
  const lines = () => sql(`select id, throughput from bottle_entry where throughput <> '[]' order by id`)
  const before = await lines()
  expect(before.length).toBeGreaterThan(20)
  await sql(throughput.down)
  expect(await sql(`select rolls, colour_rolls, paper from bottle_entry where colour_rolls > 0`)).toEqual([
    { rolls: 3.5, colour_rolls: 1.5, paper: 4 },
  ])
  await sql(throughput.up)
  expect(await lines()).toEqual(before)
  await expect(
    sql(
      `insert into bottle_entry (id, bottle_id, kind, at, ml, throughput) select gen_random_uuid(), $1, 'use', now(), 0, '[{"kind": "print", "equivalents": -1}]'`,
      [mixed?.id],
    ),
  ).rejects.toThrow(/check/)
  await db.close()
}, 30_000)

test('places at enlargers are the same after the way back into evenings and out of them again', async () => {
  const db = connect(await newDatabase())
  await prepare(db, clock, { kind: 'demo', strict: false, fresh: false })
  const sql = sqlOn(db)
  const ofEvening = `select id, person_id, day, from_at, until_at from print_place where day in (select day from evening) order by id`
  const before = await sql(ofEvening)
  expect(before.length).toBeGreaterThan(1)
  await sql(printing.down)
  expect(await sql(`select id from evening where jsonb_array_length(body -> 'prints') = ${before.length}`)).toHaveLength(1)
  await sql(
    `insert into evening_change (id, evening_id, at, what, before) select gen_random_uuid(), id, now(), 'printing', body from evening`,
  )
  await sql(printing.up)
  expect(await sql(ofEvening)).toEqual(before)
  expect(await sql(`select 1 from evening where body ? 'prints' union all select 1 from evening_change where before ? 'prints'`)).toEqual(
    [],
  )
  await db.close()
}, 30_000)
