import type { Pair, Roll, TracedBath, TracedFilm } from '@selvrin/core/contract'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const pairs = async () => (await ilse.send('GET', '/api/pairs')).body.rows as unknown as Pair[]
const films = async () => (await ilse.send('GET', '/api/rolls?limit=200')).body.rows as unknown as Roll[]

test('a film is followed to its baths and to all that shared them, a bath to its films, and both tell the same', async () => {
  const film = (await films()).find(({ developer }) => developer.startsWith('Soft borax developer'))
  const of = async (query: string) => {
    const { status, body } = await ilse.send('GET', `/api/trace?${query}`)
    expect([query, status]).toEqual([query, 200])
    return body as unknown as { baths: TracedBath[]; films: TracedFilm[] }
  }
  const traced = await of(`film=${film!.id}`)
  const own = traced.films.find((one) => one.id === film!.id)
  expect(own?.baths.map((bath) => bath.bottleId).sort()).toEqual(traced.baths.map((bath) => bath.id).sort())
  expect(own?.baths.flatMap((bath) => bath.steps)).toContain('Develop')
  for (const bath of traced.baths) {
    const back = await of(`bottle=${bath.id}`)
    expect(back.films.map((one) => one.id)).toContain(film!.id)
    expect(back.films.every((one) => one.baths.some((through) => through.bottleId === bath.id))).toBe(true)
    expect(back.baths.find((one) => one.id === bath.id)).toEqual(bath)
  }
  const tested = traced.baths.find((bath) => bath.tests.length > 0)
  expect(tested?.tests.map((test) => test.at)).toEqual(tested?.tests.map((test) => test.at).sort((a, b) => b - a))
  expect((await ilse.send('GET', '/api/trace')).body.code).toBe('nothing')
  expect((await ilse.send('GET', `/api/trace?bottle=${film!.id}`)).status).toBe(404)
})

test('what is seen on a film is kept with it, once each; a judgement without it leaves it as it was', async () => {
  const [film] = await films()
  const judge = (body: object) => ilse.send('PUT', `/api/rolls/${film!.id}`, { result: 'thin', contrast: 'right', note: '', ...body })
  const first = await judge({ version: film!.version, faults: ['streaks', 'milky', 'streaks'] })
  expect(first.body.faults).toEqual(['streaks', 'milky'])
  const second = await judge({ version: first.body.version })
  expect(second.body.faults).toEqual(['streaks', 'milky'])
  expect((await judge({ version: second.body.version, faults: ['ghosts'] })).status).toBe(400)
  const densities = { shadow: 0.09, high: 1.42, by: 'photograph', enlarger: 'condenser' }
  const read = await judge({ version: second.body.version, densities })
  expect([read.body.densities, (await judge({ version: read.body.version })).body.densities]).toEqual([densities, densities])
  expect((await judge({ version: 1, densities: { ...densities, high: 9 } })).status).toBe(400)
})

test('films that came out hard propose less time; taken, the chart says what it was and who tried it, and nothing more is proposed', async () => {
  await house.sql(`update roll set contrast = 'right', result = 'right', version = version + 1`)
  expect((await pairs()).filter((pair) => pair.proposal?.offered)).toEqual([])
  await house.sql(`update roll set contrast = 'hard', result = 'dense', version = version + 1`)
  const pair = (await pairs()).find((one) => one.proposal !== null && one.proposal.films >= 5)
  expect(pair?.proposal).toMatchObject({ offered: true })
  expect(pair?.came).toMatchObject({ dense: pair?.films, hard: pair?.films, right: 0 })
  const { films: count, rows } = pair!.proposal!
  for (const row of rows) {
    expect(row.proposedS).toBeLessThan(row.seconds)
    expect([row.lowestS <= row.proposedS, row.proposedS <= row.highestS]).toEqual([true, true])
  }
  const body = { films: count, rows: rows.map(({ id, version, proposedS }) => ({ id, version, seconds: proposedS })) }
  const [one, two] = await Promise.all([1, 2].map(() => ilse.send('POST', '/api/pairs/take', body)))
  expect([one!.status, two!.status].sort()).toEqual([200, 409])
  const chart = (await ilse.send('GET', '/api/chart')).body.rows as { id: string; seconds: number; note: string; tried: { by: string } }[]
  for (const row of rows) {
    const now = chart.find((line) => line.id === row.id)
    expect([now?.seconds, now?.tried.by]).toEqual([row.proposedS, 'Ilse Varn'])
    expect(now?.note).toContain(`from how ${count} films came out`)
  }
  // the same films against the new time: what they said has been heard
  const after = (await pairs()).find((next) => next.key === pair!.key)
  expect(Math.abs((after?.proposal?.factor ?? 1) - 1)).toBeLessThan(Math.abs(pair!.proposal!.factor - 1))
})

test('only technicians see them', async () => {
  const tilda = await house.as('tilda')
  for (const path of ['/api/pairs', '/api/trace']) expect((await tilda.send('GET', path)).status).toBe(403)
})
