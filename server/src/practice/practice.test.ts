import { agitations, draftOf, type Practised } from '@selvrin/core'
import type { PracticeRow, ProcessRow } from '@selvrin/core/contract'
import { createHash } from 'node:crypto'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let [tilda, bram, ilse]: Caller[] = []
beforeAll(async () => {
  house = await testHouse()
  ;[tilda, bram, ilse] = [await house.as('tilda'), await house.as('bram'), await house.as('ilse')]
}, 30_000)
afterAll(() => house.close())

const processes = async () => (await tilda!.send('GET', '/api/processes')).body.rows as unknown as ProcessRow[]
const negative = async () => (await processes()).find((one) => one.body.name === 'Black-and-white negative') as ProcessRow

/** Every step of a process as planned; the developer for a share of its time. */
function practised(process: ProcessRow, share = 1): Practised {
  const { plan } = draftOf(process.body, {}, agitations['30-5-30'])
  let at = 0
  const steps = plan!.steps.map((step, i) => {
    const fromS = at
    at += step.seconds * (step.kind === 'develop' ? share : 1)
    return { step: i, fromS, untilS: at, beatsS: null, measuredS: [] }
  })
  return { seed: 1, speed: 20, troubles: [], answers: {}, steps }
}
const send = async (who: Caller, share = 1, more: object = {}) => {
  const process = await negative()
  return who.send('POST', '/api/practices', {
    ...{ id: uuid(), processVersionId: process.versionId, options: {}, agitation: '30-5-30' },
    practised: practised(process, share),
    ...more,
  })
}
/** Every table but what a practice writes itself, and who was here when, as one number. */
async function everything(): Promise<Record<string, string>> {
  const tables = await house.sql<{ name: string }>(
    `select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'
       and table_name not in ('practice', 'idempotency', 'session') order by 1`,
  )
  const all: Record<string, string> = {}
  for (const { name } of tables) {
    const rows = await house.sql<{ row: string }>(`select t::text as row from "${name}" t order by 1`)
    all[name] = createHash('sha256')
      .update(rows.map((one) => one.row).join('\n'))
      .digest('hex')
  }
  return all
}

test('a member practises: what it would have done is worked out by the house, and stands in their own list', async () => {
  const good = (await send(tilda!)).body as unknown as PracticeRow
  expect(good).toMatchObject({
    person: 'Tilda Rook',
    kind: 'run',
    processName: 'Black-and-white negative',
    speed: 20,
    score: 100,
    clean: true,
    findings: [],
  })
  // sent once more by a page that was loaded again
  expect((await send(tilda!, 0.5, { id: good.id })).body).toMatchObject({ id: good.id, score: 100 })
  const thin = (await send(tilda!, 0.8)).body as unknown as PracticeRow
  expect(thin).toMatchObject({ clean: false, findings: [{ rule: 'practice-thin' }] })
  expect(thin.score!).toBeLessThan(85)
  const reel = await tilda!.send('POST', '/api/practices/loading', {
    id: uuid(),
    loading: { what: '135', where: 'eyes-shut', seconds: 84, went: 'jammed' },
  })
  expect(reel.body).toMatchObject({ kind: 'loading', clean: false, score: null, loading: { went: 'jammed' } })
  const mine = (await tilda!.send('GET', '/api/practices')).body.rows as unknown as PracticeRow[]
  expect(mine.slice(0, 3).map((one) => [one.kind, one.clean])).toEqual([
    ['loading', false],
    ['run', false],
    ['run', true],
  ])
})

test('whose it is: others do not see it, a technician does; marks of one’s own are not taken; it goes with its person', async () => {
  const row = (await send(bram!)).body as unknown as PracticeRow
  const seen = async (who: Caller, query = '') =>
    ((await who.send('GET', `/api/practices${query}`)).body.rows as unknown as PracticeRow[] | undefined)?.map((one) => one.id)
  expect(await seen(tilda!)).not.toContain(row.id)
  expect((await tilda!.send('GET', `/api/practices?personId=${row.personId}`)).status).toBe(403)
  expect(await seen(ilse!)).toContain(row.id)
  expect(await seen(ilse!, `?personId=${row.personId}`)).toEqual([row.id])
  expect((await send(bram!, 0.5, { score: 100 })).status).toBe(400)
  const kept = (await bram!.send('GET', `/api/people/${row.personId}/export`)).body.kept as Record<string, unknown[]>
  expect(kept.practices).toHaveLength(1)
  const version = (await house.one<{ version: number }>('select version from person where id = $1', [row.personId]))!.version
  expect((await ilse!.send('DELETE', `/api/people/${row.personId}`, { version })).status).toBe(200)
  expect(await seen(ilse!)).not.toContain(row.id)
})

test('nothing else in the house knows of a practice: every other table is as it was, byte for byte', async () => {
  const before = await everything()
  expect(Object.keys(before).length).toBeGreaterThan(30)
  await send(tilda!, 0.6)
  await send(ilse!)
  await tilda!.send('POST', '/api/practices/loading', { id: uuid(), loading: { what: '120', where: 'dark', seconds: 130, went: 'clean' } })
  expect(await everything()).toEqual(before)
})

test('what cannot have been done is refused, and nothing of it is kept', async () => {
  const count = async () => (await house.one<{ n: number }>('select count(*)::int as n from practice'))!.n
  const before = await count()
  const process = await negative()
  const body = practised(process)
  const bad = async (more: object) => (await send(tilda!, 1, more)).status
  expect(await bad({ processVersionId: uuid() })).toBe(404)
  expect(await bad({ practised: { ...body, speed: 40 } })).toBe(400)
  expect(await bad({ practised: { ...body, steps: [{ ...body.steps[0], fromS: -1 }] } })).toBe(400)
  expect((await (await house.as(null)).send('GET', '/api/practices')).status).toBe(401)
  expect(await count()).toBe(before)
})
