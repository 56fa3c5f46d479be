import { spawn, type ChildProcess } from 'node:child_process'
import { fitBath } from '@selvrin/core'
import { api, type Device } from '@selvrin/core/contract'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { readDevices } from './reader'
import { pointSimulated } from './rows'

let house: TestHouse
let ilse: Caller
let bath: ChildProcess
let stop: () => Promise<void>
beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  bath = spawn(process.execPath, ['devices/bath.mjs', '0'], { stdio: ['ignore', 'pipe', 'inherit'] })
  const port = await new Promise<number>((resolve) =>
    bath.stdout?.on('data', (chunk: Buffer) => resolve(Number(/listening (\d+)/.exec(chunk.toString())?.[1]))),
  )
  await pointSimulated(house.db, { bath: port })
  await house.sql(`update device set active = false where kind <> 'bath'`)
  stop = readDevices({ db: house.db, clock: { now: house.now } })
}, 30_000)
afterAll(async () => {
  await stop()
  bath.kill()
  await house.close()
})
const device = async (): Promise<Device> =>
  (await ilse.call(api.device.list)).body.rows?.find((row) => row.kind === 'bath') as unknown as Device
const set = async (celsius: number) => ilse.call(api.device.set, { params: { id: (await device()).id }, body: { celsius } })
const simulate = async (what: 'fault' | 'hurry' | 'fill', value: number) =>
  ilse.call(api.device.simulate, { params: { id: (await device()).id }, body: { what, value } })
const logged = async () =>
  (await ilse.call(api.device.log, { params: { id: (await device()).id } })).body.readings as unknown as {
    c: number
    setC: number
    heater: number
    at: number
  }[]

test('a bath is set, and what it does not take is told, not believed', async () => {
  expect((await set(38)).status).toBe(200)
  await simulate('fault', 3)
  const refused = await set(40)
  expect([refused.status, refused.body.code]).toEqual([409, 'bath-refuses'])
  await simulate('fault', 0)
  expect((await set(70)).status).toBe(400)
  const [scale] = ((await ilse.call(api.device.list)).body.rows as unknown as Device[]).filter((row) => row.kind === 'scale')
  const wrong = await ilse.call(api.device.set, { params: { id: scale?.id ?? '' }, body: { celsius: 38 } })
  expect([wrong.status, wrong.body.code]).toEqual([422, 'no-bath'])
})

test('its readings are written down by themselves, with set point and heater, and its model is fitted from them', async () => {
  await simulate('fill', 22)
  await simulate('hurry', 30)
  await set(38)
  // half a minute of the house's clock for each line
  let lines: Awaited<ReturnType<typeof logged>> = []
  for (let i = 0; i < 40 && lines.length < 8; i++) {
    house.advance(31_000)
    await new Promise((resolve) => setTimeout(resolve, 600))
    lines = await logged()
  }
  expect(lines.length).toBeGreaterThanOrEqual(8)
  const warming = lines.slice(-7)
  expect(warming.every((one) => one.setC === 38 && one.heater >= 0 && one.heater <= 1)).toBe(true)
  const fit = fitBath({
    readings: warming.map((one) => ({ s: (one.at - warming[0]!.at) / 1000, c: one.c, on: one.heater })),
    litres: 20,
    roomC: 21,
  })
  expect(fit.fitted).toBe(true)
  // members do not set baths
  const tilda = await house.as('tilda')
  expect((await tilda.call(api.device.set, { params: { id: (await device()).id }, body: { celsius: 38 } })).status).toBe(403)
})
