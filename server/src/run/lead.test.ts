import { testHouse, type Caller, type TestHouse } from '../test/house'
import { tankRuns, type Row } from '../test/tankRuns'

let house: TestHouse
let ilse: Caller
let odo: Caller
beforeAll(async () => {
  house = await testHouse()
  ;[ilse, odo] = await Promise.all([house.as('ilse'), house.as('odo')])
}, 30_000)
afterAll(() => house.close())
const { rows, volume, planned, event, stepsOf, handsOn } = tankRuns(() => ilse)

/** A run that is at its clock, all of its time over but for the hands. */
async function begun() {
  const { id, answer, fixer } = await planned(1)
  const at = house.now()
  const start = await ilse.send('POST', `/api/runs/${id}/start`, { version: answer.body.version, at })
  expect(start.status).toBe(200)
  const wholeMs = (stepsOf(start).reduce((sum, step) => sum + step.seconds, 0) + 5) * 1000
  const first = event('start', at, 0)
  await ilse.send('POST', `/api/runs/${id}/events`, { events: [first] })
  const send = (who: Caller, events: Row[]) => who.send('POST', `/api/runs/${id}/events`, { events })
  const finish = (who: Caller, body: Row) => who.send('POST', `/api/runs/${id}/finish`, { version: start.body.version, ...body })
  const end = (device: string) => handsOn(stepsOf(start), at + wholeMs).map((one) => ({ ...one, device }))
  return { id, at, endAt: at + wholeMs + 20_000, fixer, steps: stepsOf(start), send, finish, end }
}
const lines = async (id: string, bottle: string) =>
  (await rows(`/api/bottles/${bottle}/ledger?limit=50`)).filter((row) => row.runId === id && row.kind === 'use')

test('a device that takes a run over writes it down; what the first one still sends is kept, marked, and writes nothing a second time', async () => {
  const { id, at, endAt, fixer, send, finish, end } = await begun()
  const before = (await volume(fixer.id)).rolls
  const taken = await send(odo, [{ ...event('take-over', at + 60_000, 1), device: 'phone', text: 'Odo' }])
  expect(taken.body).toMatchObject({ late: [] })
  const held = event('hold', at + 50_000, 1)
  expect((await send(ilse, [held])).body).toEqual({ kept: [held.id], late: [held.id] })
  // sent once more, it stays what it was
  expect((await send(ilse, [held])).body).toEqual({ kept: [held.id], late: [held.id] })
  const refused = await finish(ilse, { at: endAt, events: end('test'), device: 'test' })
  expect([refused.status, refused.body.code]).toEqual([409, 'taken-over'])
  const unnamed = await finish(ilse, { at: endAt, events: [] })
  expect([unnamed.status, unnamed.body.code]).toEqual([409, 'taken-over'])
  const given = await ilse.send('POST', `/api/runs/${id}/abandon`, { version: 2, at: endAt, reason: 'did not hear', device: 'test' })
  expect(given.status).toBe(409)
  expect((await volume(fixer.id)).rolls).toBe(before)
  const done = await finish(odo, { at: endAt, events: end('phone'), device: 'phone' })
  expect(done.status).toBe(200)
  expect([(await volume(fixer.id)).rolls - before, (await lines(id, fixer.id)).length]).toEqual([1, 1])
  const { events } = (await ilse.send('GET', `/api/runs/${id}`)).body as { events: Row[] }
  expect(events.filter((one) => one.late).map((one) => one.id)).toEqual([held.id])
})

test('a step that is done once more writes a line of its own, one that is left out none', async () => {
  const { id, at, endAt, fixer, steps, send, finish } = await begun()
  const fixes = (steps as unknown as { kind: string }[]).findIndex((step) => step.kind === 'fix')
  const fixAt = at + steps.slice(0, fixes).reduce((sum, step) => sum + step.seconds, 0) * 1000 + 1000
  const again = { ...event('repeat', fixAt, fixes), key: 'fix', text: 'milky' }
  const skipped = { ...event('skip', fixAt + 1, fixes), key: 'wash-3', text: 'into the running wash' }
  await send(ilse, [again, skipped])
  const later = endAt + 600_000
  const hands = [fixes + 2, fixes + 3].map((step, i) => event('next', later - 10_000 + i, step))
  const done = await finish(ilse, { at: later, events: hands })
  expect([done.status, done.body.message]).toEqual([200, undefined])
  expect((await lines(id, fixer.id)).length).toBe(2)
})
