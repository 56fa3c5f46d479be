import { spawn, type ChildProcess } from 'node:child_process'
import { api, type Device, type Reading } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { testHouse, type Caller, type TestHouse } from '../test/house'
import { readDevices } from './reader'
import { pointSimulated } from './rows'

let house: TestHouse
let ilse: Caller
let scale: ChildProcess
let stops: (() => Promise<void>)[] = []

const listening = (device: ChildProcess): Promise<number> =>
  new Promise((resolve) => device.stdout?.on('data', (chunk: Buffer) => resolve(Number(/listening (\d+)/.exec(chunk.toString())?.[1]))))
const startScale = (port = '0') => spawn(process.execPath, ['devices/scale.mjs', port], { stdio: ['ignore', 'pipe', 'inherit'] })

beforeAll(async () => {
  house = await testHouse()
  ilse = await house.as('ilse')
  scale = startScale()
  await pointSimulated(house.db, { scale: await listening(scale) })
  // a demo may be running beside the tests, with its thermometer at the usual port
  await house.sql(`update device set active = false where kind <> 'scale'`)
}, 30_000)
afterEach(async () => {
  await Promise.all(stops.map((stop) => stop()))
  stops = []
})
afterAll(async () => {
  scale.kill()
  await house.close()
})

const bench = async (): Promise<Device> =>
  (await ilse.call(api.device.list)).body.rows?.find((row) => row.kind === 'scale') as unknown as Device

/** Readings of the event stream until one fits. */
async function until(fits: (reading: Reading) => boolean): Promise<Reading> {
  const stream = await fetch(`${house.url}/api/events`, { headers: { cookie: ilse.cookie } })
  const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  for (;;) {
    const { value, done } = await reader.read()
    if (done) throw new Error('the stream ended')
    text += value
    for (const match of text.matchAll(/event: reading\ndata: (.*)\n/g)) {
      const reading = JSON.parse(match[1] ?? '{}') as Reading
      if (fits(reading)) {
        await reader.cancel()
        return reading
      }
    }
  }
}

test('what is poured onto the scale arrives live, moving first and stable then; tare sets it to nothing', async () => {
  stops.push(readDevices({ db: house.db, clock: { now: house.now } }))
  const { id } = await bench()
  await ilse.call(api.device.simulate, { params: { id }, body: { what: 'pour', value: 12.3 } })
  const moving = await until((reading) => reading.deviceId === id && !reading.stable)
  expect(moving.value).toBeLessThan(13)
  const settled = await until((reading) => reading.deviceId === id && reading.stable && (reading.value ?? 0) > 12)
  expect(settled.value).toBeCloseTo(12.3, 1)
  await ilse.call(api.device.tare, { params: { id } })
  expect((await until((reading) => reading.stable && Math.abs(reading.value ?? 9) < 0.1)).deviceId).toBe(id)
}, 30_000)

test('two servers take turns: one reads, and the other goes on when it ends', async () => {
  const first = readDevices({ db: house.db, clock: { now: house.now } })
  await until((reading) => reading.value !== null)
  stops.push(readDevices({ db: house.db, clock: { now: () => house.now() + 1e9 } }))
  expect((await until((reading) => reading.value !== null)).at).toBeLessThan(house.now() + 1e8)
  await first()
  expect((await until((reading) => reading.at > house.now() + 1e8 && reading.value !== null)).deviceId).toBe((await bench()).id)
}, 30_000)

test('a device that goes away is told, and read again when it is back', async () => {
  stops.push(readDevices({ db: house.db, clock: { now: house.now } }))
  const { id, port } = await bench()
  await until((reading) => reading.deviceId === id && reading.value !== null)
  scale.kill()
  await until((reading) => reading.deviceId === id && reading.value === null)
  const lost = await ilse.call(api.device.tare, { params: { id } })
  expect([lost.status, lost.body.code]).toEqual([409, 'device-lost'])
  scale = startScale(String(port))
  await until((reading) => reading.deviceId === id && reading.value !== null)
}, 30_000)

test('devices are configured, calibrated and guarded', async () => {
  const id = uuid()
  const facts = { kind: 'ph-meter', name: 'Second meter', host: '127.0.0.1', port: 9, pattern: '(?<value>\\d+\\.\\d+)', active: false }
  expect((await ilse.call(api.device.add, { body: { id, ...facts } })).status).toBe(200)
  expect((await ilse.call(api.device.add, { body: { id: uuid(), ...facts, name: 'Third', pattern: '([' } })).status).toBe(400)
  const points = [
    { read: 7.1, buffer: 7 },
    { read: 9.8, buffer: 10 },
  ]
  const calibrated = await ilse.call(api.device.calibrate, { params: { id }, body: { version: 1, points } })
  expect((calibrated.body.calibration as { slope: number }).slope).toBeCloseTo(0.9, 6)
  // a second calibration starts from what the meter shows after the first
  const again = await ilse.call(api.device.calibrate, {
    params: { id },
    body: { version: 2, points: points.map(({ buffer }) => ({ read: buffer, buffer })) },
  })
  expect((again.body.calibration as { slope: number }).slope).toBeCloseTo(0.9, 6)
  expect((await ilse.call(api.device.simulate, { params: { id }, body: { what: 'solution', value: 9 } })).body.code).toBe('not-simulated')
  expect((await ilse.call(api.device.remove, { params: { id }, body: { version: 1 } })).status).toBe(409)
  expect((await ilse.call(api.device.remove, { params: { id }, body: { version: 3 } })).status).toBe(200)
})
