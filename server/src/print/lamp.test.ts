import { spawn, type ChildProcess } from 'node:child_process'
import { connect } from 'node:net'
import { traysApi, type Enlarger } from '@selvrin/core/contract'
import { pointSimulated } from '../device/rows'
import { testHouse, type Answer, type Caller, type TestHouse } from '../test/house'

let house: TestHouse
let tilda: Caller
let lamp: ChildProcess
let port: number
beforeAll(async () => {
  house = await testHouse()
  tilda = await house.as('tilda')
  lamp = spawn(process.execPath, ['devices/lamp.mjs', '0'], { stdio: ['ignore', 'pipe', 'inherit'] })
  port = await new Promise<number>((resolve) =>
    lamp.stdout?.on('data', (chunk: Buffer) => resolve(Number(/listening (\d+)/.exec(chunk.toString())?.[1]))),
  )
  await pointSimulated(house.db, { lamp: port })
}, 60_000)
afterAll(async () => {
  lamp.kill()
  await house.close()
})
const said = ({ status, body }: Answer) => [status, status < 400 ? undefined : body.code]
const enlargers = async () => (await tilda.send('GET', '/api/trays')).body.enlargers as unknown as Enlarger[]
const light = (one: Enlarger | undefined, seconds: number, inMs = 0) =>
  tilda.call(traysApi.light, { params: { id: one?.id ?? '' }, body: { seconds, inMs } })
/** What the lamp says until a line fits. */
const until = (fits: (line: string) => boolean): Promise<string> =>
  new Promise((resolve) => {
    const socket = connect({ host: '127.0.0.1', port })
    socket.setEncoding('latin1').on('data', (text: unknown) => {
      const line = String(text).split('\n').find(fits)
      if (line === undefined) return
      socket.destroy()
      resolve(line)
    })
  })
const tell = (line: string) =>
  new Promise<void>((resolve) => {
    const socket = connect({ host: '127.0.0.1', port }, () => socket.end(`${line}\n`, () => resolve()))
  })

test('a member’s exposure lights the lamp for so long as its own clock says; one that does not close is told of, and one by hand is not switched', async () => {
  const all = await enlargers()
  const [relayed, byHand] = [all.find((one) => one.relayId !== undefined), all.find((one) => one.relayId === undefined)]
  expect(said(await light(byHand, 2))).toEqual([422, 'no-relay'])
  expect(said(await light(relayed, 1.25, 300))).toEqual([200, undefined])
  // never less than it was told, whatever else the machine does; by how much more is measured by the bench
  const litS = Number(/lit\+([\d.]+)/.exec(await until((line) => line.startsWith('ST')))?.[1])
  expect(litS).toBeGreaterThanOrEqual(1.25)
  expect(litS).toBeLessThan(3)
  // switched off in the middle of an hour
  expect((await light(relayed, 3600)).status).toBe(200)
  await until((line) => line.startsWith('US'))
  expect((await light(relayed, 0)).status).toBe(200)
  await until((line) => line.startsWith('ST'))
  await tell('F 1')
  expect(said(await light(relayed, 2))).toEqual([409, 'lamp-silent'])
  await tell('F 0')
  expect(said(await light(relayed, -1))).toEqual([400, 'invalid'])
}, 30_000)
