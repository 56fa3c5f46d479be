import { once } from 'node:events'
import { connect, type Socket } from 'node:net'
import { calibratedPh, correctedTemperature, readDeviceLine, type DeviceLine, type ThermometerPoint } from '@selvrin/core'
import type { Device, Reading } from '@selvrin/core/contract'
import pg from 'pg'
import type { House } from '../house/house'
import { stayConnected } from '../house/staying'
import { addressOf } from './address'
import { logOf } from './bath'
import { linesOf } from './lines'
import { linePattern } from './pattern'

/** Whoever holds this lock reads the devices; several servers take turns. */
const lockKey = 7_150_431
/** readings are passed on at most this often, a steady one less often */
const passMs = 200
const steadyMs = 1000
const silentMs = 4000

/** Reads the bench devices while this server holds their lock, and tells every server of each reading. Answers a function that ends it. */
export function readDevices(house: House): () => Promise<void> {
  let ended = false
  let client: pg.Client | undefined
  const open = new Map<string, { device: Followed; stop: () => void }>()

  const log = logOf(house.db)
  // one statement at a time on the connection that holds the lock
  let telling: Promise<unknown> = Promise.resolve()
  const tell = (reading: Reading): void => {
    telling = telling
      .then(() => client?.query('select pg_notify($1, $2)', ['selvrin_reading', JSON.stringify(reading)]))
      .catch(() => undefined)
  }

  async function refresh(): Promise<void> {
    const darkroom = await house.db.Darkroom.findOne({ attributes: ['publicDevices'] })
    const active = await house.db.Device.findAll({
      where: { active: true },
      include: [{ association: 'instrument', attributes: ['points'] }],
    })
    if (ended) return
    const publicAllowed = darkroom?.publicDevices ?? false
    const devices: Followed[] = active.map((row) => ({ ...row.get(), points: row.instrument?.points ?? [], publicAllowed }))
    for (const [id, { device, stop }] of open)
      if (!devices.some((one) => one.id === id && one.version === device.version && one.publicAllowed === device.publicAllowed)) {
        stop()
        open.delete(id)
      }
    for (const device of devices)
      if (!open.has(device.id))
        try {
          open.set(device.id, { device, stop: follow(device, (reading) => (tell(reading), log(device, reading)), house.clock.now) })
        } catch {
          // a pattern from before that this engine does not run: the device stays silent, and its page says so when it is written again
        }
  }

  function dropAll(): void {
    for (const { stop } of open.values()) stop()
    open.clear()
  }

  const hold = async (lost: () => void): Promise<void> => {
    client = await holdDevices(house.db.url, {
      told: () => void refresh().catch(() => undefined),
      gone: () => {
        dropAll()
        lost()
      },
    })
    await refresh()
  }
  const stopHolding = stayConnected(hold)

  return async () => {
    ended = true
    stopHolding()
    dropAll()
    await client?.end().catch(() => undefined)
  }
}

/** A connection that holds the devices' lock and hears when one of them changes. Throws where another server holds it. */
async function holdDevices(url: string, { told, gone }: { told: () => void; gone: () => void }): Promise<pg.Client> {
  const mine = new pg.Client({ connectionString: url })
  mine.once('end', gone)
  mine.on('error', () => void mine.end().catch(() => undefined))
  try {
    await mine.connect()
    const { rows } = await mine.query<{ held: boolean }>('select pg_try_advisory_lock($1) as held', [lockKey])
    if (!rows[0]?.held) throw new Error('another server reads them')
    mine.on('notification', ({ payload }) => void ((payload?.includes('"device"') || payload?.includes('"darkroom"')) && told()))
    await mine.query('listen selvrin')
    return mine
  } catch (error) {
    await mine.end().catch(() => undefined)
    throw error
  }
}

/** A device with the offsets found for it, where it is a thermometer. */
type Followed = Device & { points: ThermometerPoint[]; publicAllowed: boolean }

/** Keeps a connection to one device and passes its readings on. A device that falls silent is told once, with no value. */
function follow(device: Followed, tell: (reading: Reading) => void, now: () => number): () => void {
  const pattern = linePattern(device.pattern)
  let socket: Socket | undefined
  let stopped = false
  let lost = false
  let last: Reading = { deviceId: device.id, value: null, stable: false, at: 0 }

  function lose(): void {
    if (stopped || lost) return
    lost = true
    last = { deviceId: device.id, value: null, stable: false, at: now() }
    tell(last)
  }
  function take(line: string): void {
    const read = readDeviceLine(pattern, line, device.kind)
    if (!read) return
    lost = false
    const value = trueValue(device, read.value)
    const at = now()
    const changed = value !== last.value || read.stable !== last.stable
    if (at - last.at < (changed ? passMs : steadyMs) && read.stable === last.stable) return
    last = { deviceId: device.id, value, stable: read.stable, at, ...bathOf(read) }
    tell(last)
  }
  async function dial(gone: () => void): Promise<void> {
    const address = await addressOf(device.host, device.publicAllowed)
    if (stopped) return
    const mine = connect({ host: address, port: device.port })
    socket = mine
    mine.setEncoding('latin1')
    mine.setTimeout(silentMs, () => mine.destroy())
    mine.on('data', linesOf(take))
    mine.on('error', () => undefined)
    mine.on('close', gone)
    await once(mine, 'connect')
  }
  const stopDialling = stayConnected((gone) => {
    const lost = () => {
      lose()
      gone()
    }
    return dial(lost).catch((error: unknown) => {
      lose()
      throw error
    })
  })
  return () => {
    stopped = true
    stopDialling()
    socket?.destroy()
  }
}

const bathOf = ({ setC, heater }: DeviceLine) => ({ ...(setC === undefined ? {} : { setC }), ...(heater === undefined ? {} : { heater }) })

/** What a device means by what it reads: pH by its calibration, temperature by its offsets. */
function trueValue(device: Followed, read: number): number {
  if (device.kind === 'ph-meter' && device.calibration) return calibratedPh(read, device.calibration)
  return device.kind === 'thermometer' ? correctedTemperature(read, device.points) : read
}
