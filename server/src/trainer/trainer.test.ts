import { hiddenCast } from '@selvrin/core'
import { trainerApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let tilda: Caller
let bram: Caller
beforeAll(async () => {
  house = await testHouse()
  tilda = await house.as('tilda')
  bram = await house.as('bram')
}, 60_000)
afterAll(() => house.close())

const round = (level: number, seed: number, turns: object[]) => ({ id: uuid(), level, seed, material: 'negative', turns })
const finish = (who: Caller, body: object) => who.call(trainerApi.finish, { body })

test('a round is scored from what was hidden, is one’s own, and leads on', async () => {
  expect((await tilda.call(trainerApi.get)).body).toEqual({ level: 1, rounds: [] })
  const right = hiddenCast(1, 41)
  expect((await finish(tilda, round(1, 41, [right]))).body).toMatchObject({ score: 100, rest: 0, prints: 1 })
  // whatever else is sent: there are no points to send
  expect((await finish(tilda, { ...round(1, 41, [right]), score: 100 })).status).toBe(400)
  const half = hiddenCast(1, 42)
  const { body } = await finish(tilda, round(1, 42, [{ y: half.y / 2, m: half.m / 2 }]))
  expect(body.rest).toBeCloseTo(Math.hypot(half.y, half.m) / 2, 3)
  expect((await tilda.call(trainerApi.get)).body.level).toBe(1)
  await finish(tilda, round(1, 43, [hiddenCast(1, 43)]))
  await finish(tilda, round(1, 44, [hiddenCast(1, 44)]))
  const { body: hers } = await tilda.call(trainerApi.get)
  expect([hers.level, (hers.rounds as unknown[]).length]).toEqual([2, 4])
  expect((await bram.call(trainerApi.get)).body).toEqual({ level: 1, rounds: [] })
})

test('nothing printed, no level, no round', async () => {
  expect((await finish(bram, round(1, 1, []))).status).toBe(400)
  expect((await finish(bram, round(9, 1, [{ y: 5, m: 0 }]))).status).toBe(400)
  expect((await bram.call(trainerApi.get)).body.rounds).toEqual([])
})
