import type { Bottle, Roll, RunSummary } from '@selvrin/core/contract'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const found = async <T>(path: string, as = ilse): Promise<T[]> => {
  const { status, body } = await as.send('GET', path)
  expect([path, status]).toEqual([path, 200])
  return body.rows as T[]
}

test('films are found by every word of what is said of them, whatever the case and the accents, a page at a time', async () => {
  await house.sql(`update roll set note = 'Für die Ausstellung' where id = (select id from roll where not taken_back order by id limit 1)`)
  const [noted, ...others] = await found<Roll>('/api/rolls?find=fur%20AUSSTELLUNG')
  expect([noted?.note, others.length]).toEqual(['Für die Ausstellung', 0])
  const all = (await found<Roll>('/api/rolls?limit=200')).filter((roll) => /millrace/i.test(roll.film) && /tilda/i.test(roll.member))
  const pages: Roll[] = []
  for (let after = ''; ;) {
    const { body } = await ilse.send('GET', `/api/rolls?find=millrace%20tilda&limit=3${after}`)
    pages.push(...(body.rows as unknown as Roll[]))
    if (body.after === null) break
    after = `&after=${String(body.after)}`
  }
  expect(all.length).toBeGreaterThan(3)
  expect(pages.map((roll) => roll.id)).toEqual(all.map((roll) => roll.id))
})

test('what nobody has said anything of, and what a test put in doubt, is asked for alone; a member finds their own', async () => {
  await house.sql(
    `insert into roll_mark (id, roll_id, proof_id, at, text, helps)
     select '0199f000-0000-7000-8000-000000000001', (select id from roll where not taken_back order by id desc limit 1), (select id from proof limit 1), now(), 'Fix it again.', 'refix'`,
  )
  const all = await found<Roll>('/api/rolls')
  expect((await found<Roll>('/api/rolls?only=unsaid')).map((roll) => roll.id)).toEqual(
    all.filter((roll) => roll.result === null).map((roll) => roll.id),
  )
  const doubted = all.filter((roll) => roll.marks.some((mark) => mark.clearedAt === null))
  expect(doubted).toHaveLength(1)
  expect((await found<Roll>('/api/rolls?only=marked')).map((roll) => roll.id)).toEqual(doubted.map((roll) => roll.id))
  const own = await found<Roll>('/api/rolls?find=millrace', await house.as('tilda'))
  expect(own.map((roll) => roll.member)).toEqual(own.map(() => 'Tilda Rook'))
})

test('runs that are over are found by number, film, vessel and person; those that are not stand apart', async () => {
  const all = await found<RunSummary>('/api/runs')
  const over = all.filter((run) => run.state === 'done' || run.state === 'abandoned')
  expect((await found<RunSummary>('/api/runs?which=over')).map((run) => run.id)).toEqual(over.map((run) => run.id))
  expect((await found<RunSummary>('/api/runs?which=open')).map((run) => run.id)).toEqual(
    all.filter((run) => !over.includes(run)).map((run) => run.id),
  )
  const [one] = over
  const words = `run ${one?.number} ${one?.films[0]} ${one?.vessel}`
  expect((await found<RunSummary>(`/api/runs?which=over&find=${encodeURIComponent(words)}`)).map((run) => run.id)).toContain(one?.id)
  expect(await found<RunSummary>('/api/runs?find=100%25')).toEqual([])
})

test('retired bottles come the last retired first, and are found by label, code and name', async () => {
  const retired = await found<Bottle>('/api/bottles/retired')
  expect(retired.map((bottle) => bottle.retiredAt)).toEqual(retired.map((bottle) => bottle.retiredAt).sort((a, b) => (b ?? 0) - (a ?? 0)))
  const [one] = retired as [Bottle]
  for (const words of [one.code, one.label, `${one.name.split(' ')[0]} ${one.label}`])
    expect((await found<Bottle>(`/api/bottles/retired?find=${encodeURIComponent(words)}`)).map((bottle) => bottle.id)).toContain(one.id)
  const page = await ilse.send('GET', '/api/bottles/retired?limit=2')
  const next = await ilse.send('GET', `/api/bottles/retired?limit=2&after=${String(page.body.after)}`)
  expect([...(page.body.rows ?? []), ...(next.body.rows ?? [])].map((row) => row.id)).toEqual(
    retired.slice(0, 4).map((bottle) => bottle.id),
  )
  const inUse = await found<Bottle>('/api/bottles')
  expect(inUse.filter((bottle) => bottle.retiredAt !== null)).toEqual([])
})
