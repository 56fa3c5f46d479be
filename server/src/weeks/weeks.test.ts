import { build } from 'esbuild'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { houseIds } from '@selvrin/core'
import type { WeeksPage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { startJobs } from '../job/jobs'
import { changeAll } from '../table/all'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { spreadWeeks } from './spreading'

const folder = mkdtempSync(join(__dirname, '../../.killed-'))
const thread = join(folder, 'weeks.mjs')
let house: TestHouse
let ilse: Caller
let tilda: Caller
beforeAll(async () => {
  await build({
    ...{ entryPoints: [join(__dirname, 'weeks.thread.ts')], outfile: thread, bundle: true, platform: 'node', format: 'esm' },
    ...{ logLevel: 'warning', packages: 'external' },
    alias: { '@selvrin/core': join(__dirname, '../../../core/src/index.ts') },
  })
  house = await testHouse('demo', undefined, { jobs: ({ db, clock }) => startJobs(db, { weeks: spreadWeeks({ db, clock }, thread) }) })
  ilse = await house.as('ilse')
  tilda = await house.as('tilda')
}, 60_000)
afterAll(async () => {
  await house.close()
  rmSync(folder, { recursive: true, force: true })
})

const page = async (): Promise<WeeksPage> => (await ilse.send('GET', '/api/weeks')).body as unknown as WeeksPage
/** The weeks once they are spread anew. */
async function spread(): Promise<WeeksPage> {
  const { askedAt } = (await ilse.send('POST', '/api/weeks', {})).body as { askedAt: number }
  for (;;) {
    const weeks = await page()
    if (weeks.state === 'failed') throw new Error(weeks.error ?? '')
    if (weeks.state === 'done' && (weeks.finishedAt ?? 0) >= askedAt) return weeks
    await new Promise((again) => setTimeout(again, 50))
  }
}

interface Order {
  id: string
  version: number
  number: number
  promisedFor: string | null
}
async function handIn(wish: object = {}): Promise<Order> {
  const me = (await tilda.send('GET', '/api/session')).body as { person: { id: string } }
  const id = uuid()
  const plain = { count: 1, developer: null, earliest: null, wantedBy: null, present: false, critical: false, note: '' }
  const answer = await tilda.send('POST', '/api/orders', {
    ...{ id, memberId: me.person.id, film: 'Millrace 400', format: '135-36', ei: 400, pushStops: 0, processId: houseIds['bw-negative'] },
    ...plain,
    ...wish,
  })
  expect(answer.status).toBe(200)
  return answer.body as unknown as Order
}
const order = async (id: string): Promise<Order> => (await ilse.send('GET', `/api/orders/${id}`)).body as unknown as Order
const told = async (number: number): Promise<string[]> =>
  ((await tilda.send('GET', '/api/notices')).body.rows ?? [])
    .map((row) => row.text as string)
    .filter((text) => text.includes(`Order ${number},`))

test('what is handed in is promised a day by itself, and its owner is told; the day is the one it was spread to', async () => {
  const mine = await handIn()
  let now = await order(mine.id)
  while (now.promisedFor === null) {
    await new Promise((again) => setTimeout(again, 100))
    now = await order(mine.id)
  }
  const { result, orders } = await page()
  expect(result?.openings.find((one) => one.orders.includes(mine.id))?.day).toBe(now.promisedFor)
  expect(orders.some((one) => one.id === mine.id)).toBe(true)
  expect(await told(mine.number)).toEqual([expect.stringMatching(/promised for \w+day \d+ \w+\.$/)])
}, 60_000)

test('a promised day is kept: another spread does not move it, and whoever is closed on it is told of the other day', async () => {
  const mine = await handIn()
  const day = (await spread()) && (await order(mine.id)).promisedFor
  expect(day).not.toBeNull()
  await spread()
  expect((await order(mine.id)).promisedFor).toBe(day)
  const { version, ...room } = (await ilse.send('GET', '/api/room')).body as { version: number }
  const closed = { ...room, closures: [{ from: '2020-01-01', until: day, why: 'the floor is painted' }] }
  expect((await ilse.send('PUT', '/api/room', { version, ...closed })).status).toBe(200)
  const { result } = await spread()
  const moved = (await order(mine.id)).promisedFor
  expect([moved! > day!, result?.openings.every((one) => one.day > day! || one.planned)]).toEqual([true, true])
  expect(await told(mine.number)).toEqual([expect.stringMatching(/: not on .+, but on .+\.$/)])
}, 60_000)

test('a technician promises all the days that were spread; who looked at an older spread is told', async () => {
  const { version, result } = await spread()
  const first = result?.openings.find((one) => one.orders.length > 0)
  const [id] = first?.orders as [string]
  await house.sql(`update film_order set promised_for = '2099-01-01' where id = $1`, [id])
  expect((await ilse.send('POST', '/api/weeks/promise', { version: version - 1 })).status).toBe(409)
  expect((await order(id)).promisedFor).toBe('2099-01-01')
  expect((await ilse.send('POST', '/api/weeks/promise', { version })).status).toBe(200)
  expect((await order(id)).promisedFor).toBe(first?.day)
}, 60_000)

test('an order of which no load can be made is left with the reason, and promised nothing', async () => {
  const mine = await handIn({ film: 'Nobody’s 37', ei: 37 })
  const { result } = await spread()
  expect(result?.left.find((one) => one.order === mine.id)?.message).toMatch(/^The chart has no time for Nobody’s 37 at EI 37/)
  expect((await order(mine.id)).promisedFor).toBeNull()
}, 60_000)

test('what is asked for in the moment in which an older spread ends is still to come, not taken for done', async () => {
  const older = join(folder, 'older.mjs')
  writeFileSync(
    older,
    `import { parentPort } from 'node:worker_threads'
    const answer = { openings: [], past: [], without: [], left: [], mixing: [] }
    setTimeout(() => parentPort.postMessage({ answer }), 500)`,
  )
  const ends = spreadWeeks({ db: house.db, clock: house }, older)(new AbortController().signal)
  while ((await page()).state !== 'running') await new Promise((again) => setTimeout(again, 10))
  // somebody has asked, and is not through with it when the older one ends
  await house.db.transaction(async () => {
    await changeAll(house.db.Weeks, { state: 'asked', askedAt: house.now() }, { onlyRow: true })
    const waits = `select 1, pg_stat_clear_snapshot() from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'`
    while ((await house.sql(waits)).length === 0) await new Promise((again) => setTimeout(again, 10))
  })
  await ends
  expect((await page()).state).toBe('asked')
}, 60_000)
