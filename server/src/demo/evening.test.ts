import { runClock, type Plan, type RunEvent } from '@selvrin/core'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let ilse: Caller
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
}, 30_000)
afterAll(() => house.close())

const play = (who = ilse) => who.send('POST', '/api/darkroom/evening', {})
async function running() {
  const { rows = [] } = (await ilse.send('GET', '/api/runs?state=running')).body
  return Promise.all(
    rows.map(async (row) => {
      const run = (await ilse.send('GET', `/api/runs/${String(row.id)}`)).body as unknown as {
        processName: string
        plan: Plan
        events: RunEvent[]
      }
      const clock = runClock(run.plan, run.events, house.now())
      return { id: row.id, process: run.processName, phase: clock.phase, step: clock.course[clock.step]?.kind }
    }),
  )
}

test('two tanks of two families are on, each some way into its process; played again they begin anew, and what was on is given up', async () => {
  expect((await play()).status).toBe(200)
  const first = await running()
  expect(first.map(({ process, phase, step }) => [process, phase, step]).sort()).toEqual([
    ['Black-and-white negative', 'running', 'develop'],
    ['Colour negative process', 'running', 'pre-wet'],
  ])
  house.advance(3 * 3_600_000)
  const again = await play()
  expect([again.status, again.body.message]).toEqual([200, undefined])
  const second = await running()
  expect(second.map(({ phase, step }) => [phase, step]).sort()).toEqual([
    ['running', 'develop'],
    ['running', 'pre-wet'],
  ])
  expect(second.some(({ id }) => first.some((one) => one.id === id))).toBe(false)
  const old = (await ilse.send('GET', `/api/runs/${String(first[0]?.id)}`)).body
  expect([old.state, old.why]).toEqual(['abandoned', 'The evening was played again.'])
})

test('it is a technician’s, and no real darkroom has it', async () => {
  expect((await play(await house.as('tilda'))).status).toBe(403)
  await house.sql(`update darkroom set kind = 'house'`)
  const refused = await play()
  expect([refused.status, refused.body.code]).toEqual([409, 'no-demo'])
})
