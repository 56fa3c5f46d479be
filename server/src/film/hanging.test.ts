import { testHouse, type Caller, type TestHouse } from '../test/house'
import { tankRuns, type Row } from '../test/tankRuns'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())
const { rows, finished } = tankRuns(() => ilse)

test('films hang in the lowest free places until they are sleeved, their developer is reminded when they are dry, and their owner told where they are', async () => {
  // what the demo has hanging of an evening is handed back
  await house.sql(
    `update roll set hanger = null, sleeved_at = coalesce(sleeved_at, hung_at), handed_at = coalesce(handed_at, hung_at), version = version + 1`,
  )
  const { body: settings } = await ilse.send('GET', '/api/darkroom')
  await ilse.send('PUT', '/api/darkroom', { ...settings, hangers: 3 })
  const { id, answer, at } = await finished(2, house.now(), { wiping: 'fingers', dryer: 'cabinet' })
  const films = answer.body.filmRows as (Row & { id: string })[]
  expect(films.map((film) => [film.reel, film.hanger, film.wiping, film.dryer, film.hungAt])).toEqual([
    [1, 1, 'fingers', 'cabinet', at],
    [2, 2, 'fingers', 'cabinet', at],
  ])
  const reminder = (await rows('/api/notices')).find((row) => String(row.text).includes(`Run ${String(answer.body.number)}:`))
  expect(reminder?.at).toBe(at + 40 * 60_000)
  // without a word of how, as usual: in air, not wiped; the third place is the last
  const second = await finished(2, house.now())
  expect((second.answer.body.filmRows as Row[]).map((film) => [film.hanger, film.wiping, film.dryer])).toEqual([
    [3, 'none', 'air'],
    [null, 'none', 'air'],
  ])
  expect((await rows('/api/rolls?only=hanging')).map((row) => row.runId).filter((run) => run === id || run === second.id)).toHaveLength(4)
  const [film] = films as [Row & { id: string }]
  const early = await ilse.send('POST', `/api/rolls/${film.id}/hand-back`, { version: film.version })
  expect([early.status, early.body.code]).toEqual([409, 'not-sleeved'])
  const put = await ilse.send('POST', `/api/rolls/${film.id}/sleeve`, { version: film.version, cut: 6, sleeve: '26-117' })
  expect(put.body).toMatchObject({ cut: 6, sleeve: '26-117', hanger: null })
  const tilda = await house.as('tilda')
  const toldOf = async (words: string) =>
    ((await tilda.send('GET', '/api/notices')).body.rows ?? []).filter((row) => String(row.text).includes(words))
  // of each of the two runs once, however many films
  expect((await toldOf('to dry')).map((row) => row.text)).toEqual([
    ...[expect.stringMatching(/^Your Millrace 400 hang to dry, about \d\d:\d\d dry\.$/), expect.stringMatching(/ hang to dry, about /)],
  ])
  const told = await toldOf('26-117')
  expect(told.map((row) => row.text)).toEqual(['Your Millrace 400 is dry, cut in strips of 6, and in your place: sleeve 26-117.'])
  const stale = await ilse.send('POST', `/api/rolls/${film.id}/sleeve`, { version: film.version, cut: 5, sleeve: '26-118' })
  expect([stale.status, stale.body.code]).toEqual([409, 'stale'])
  expect((await rows('/api/rolls?only=waiting')).map((row) => row.id)).toContain(film.id)
  const handed = await ilse.send('POST', `/api/rolls/${film.id}/hand-back`, { version: put.body.version })
  expect([handed.status, (await rows('/api/rolls?only=waiting')).map((row) => row.id).includes(film.id)]).toEqual([200, false])
  // the run is taken back: its place is free, and nobody is reminded of it
  const { body: run } = await ilse.send('GET', `/api/runs/${second.id}`)
  await ilse.send('POST', `/api/runs/${second.id}/take-back`, { version: run.version, reason: 'a practice run' })
  expect((await finished(1, house.now())).answer.body.filmRows).toEqual([expect.objectContaining({ hanger: 1 })])
  const ahead = (await rows('/api/notices')).find((row) => String(row.text).includes(`Run ${String(second.answer.body.number)}:`))
  expect(ahead?.read).toBe(true)
})
