import { dayMs, readDeviceLine } from '@selvrin/core'
import type { api, Device, Reading } from '@selvrin/core/contract'
import { Op } from 'sequelize'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import type { Database } from '../table/database'
import { sayAndHear } from './command'
import { linePattern } from './pattern'
import { deviceRow } from './rows'

/** a bath is written down this often, ms */
const everyMs = 30_000
/** a log is kept for so long, and shown for so long, ms */
export const keptMs = 30 * dayMs
const shownMs = 4 * 3_600_000
/** °C a set point may be shown off by */
const sameC = 0.051

/** Writes the readings of a bath down, each half minute one. */
export function logOf(db: Database): (device: Device, reading: Reading) => void {
  const lastAt = new Map<string, number>()
  return ({ kind, id }, { value, at, setC, heater }) => {
    if (kind !== 'bath' || value === null || heater === undefined || at - (lastAt.get(id) ?? 0) < everyMs) return
    lastAt.set(id, at)
    // a line that cannot be written is one less
    void db.BathReading.create({ deviceId: id, at, c: value, setC: setC ?? null, heater }).catch(() => undefined)
  }
}

const bathRow = async (db: Database, id: string): Promise<Device> => {
  const device = await deviceRow(db, id)
  if (device.kind !== 'bath') throw new Refusal(422, 'no-bath', `${device.name} is no tempering bath.`)
  return device
}

export const log: Handler<typeof api.device.log> = async ({ db, params, now }) => {
  const device = await bathRow(db, params.id)
  const rows = await db.BathReading.findAll({
    where: { deviceId: device.id, at: { [Op.gte]: now - shownMs } },
    order: ['at'],
    raw: true,
  })
  return { readings: rows.map(({ at, c, setC, heater }) => ({ at, c, setC, heater })) }
}

/** Sets a bath and hears whether it took that: one that keeps its own is told, and nothing is believed of it. */
export const set: Handler<typeof api.device.set> = async ({ db, params, body }) => {
  const device = await bathRow(db, params.id)
  if (!device.command)
    throw new Refusal(
      422,
      'no-command',
      `Nothing is known of how ${device.name} is set: write its command among the devices, or set it by hand.`,
    )
  const pattern = linePattern(device.pattern)
  const far = (await db.Darkroom.findOne({ attributes: ['publicDevices'] }))?.publicDevices ?? false
  const heard = await sayAndHear(device, device.command.replace('{c}', body.celsius.toFixed(2)), far, (line) => {
    const read = readDeviceLine(pattern, line, 'bath')
    return read?.setC !== undefined && Math.abs(read.setC - body.celsius) < sameC
  })
  if (!heard)
    throw new Refusal(
      409,
      'bath-refuses',
      `${device.name} did not take ${body.celsius.toFixed(1)} °C. Look at its own display, and set it there.`,
    )
  return { done: true as const }
}
