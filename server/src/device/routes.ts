import { calibrationOf } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { asSeen, destroySeen, saveSeen } from '../http/changing'
import { byId, pageOf } from '../http/page'
import { Refusal } from '../house/refusal'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { requireNear } from './address'
import { log, set } from './bath'
import { sendLine } from './command'
import { requirePattern } from './pattern'
import { deviceRow } from './rows'

const words = { pour: 'P', clear: 'C', bath: 'B', solution: 'S', fill: 'C', fault: 'F', hurry: 'X' }

const farAllowed = async (db: Database): Promise<boolean> =>
  (await db.Darkroom.findOne({ attributes: ['publicDevices'] }))?.publicDevices ?? false

async function requireGood(db: Database, body: { host: string; pattern: string }): Promise<void> {
  requirePattern(body.pattern)
  requireNear(body.host, await farAllowed(db))
}

const add: Handler<typeof api.device.add> = async ({ db, body }) => {
  await requireGood(db, body)
  return (await db.Device.create(body)).get()
}

const change: Handler<typeof api.device.change> = async ({ db, params, body: { version, ...facts } }) => {
  await requireGood(db, facts)
  const before = await deviceRow(db, params.id)
  // a device that is reached elsewhere is no longer the simulated one
  const simulated = before.simulated && before.host === facts.host && before.port === facts.port
  const row = asSeen(db.Device, { id: params.id, version: before.version }).set({ ...facts, simulated })
  await saveSeen(row, version, () => deviceRow(db, params.id))
  return { ...before, ...facts, simulated, version: row.version }
}

const remove: Handler<typeof api.device.remove> = async ({ db, params: { id }, body: { version } }) => {
  await destroySeen(asSeen(db.Device, { id, version }), version, () => deviceRow(db, id))
  return { done: true as const }
}

const calibrate: Handler<typeof api.device.calibrate> = async ({ db, params, body, now }) => {
  const device = await deviceRow(db, params.id)
  if (device.kind !== 'ph-meter') throw new Refusal(422, 'no-meter', `${device.name} is no pH meter.`)
  // what the meter shows is calibrated already: take that back first
  const before = device.calibration
  const points = body.points.map(({ read, buffer }) => ({ buffer, read: before ? 7 + before.slope * (read - 7) + before.offset : read }))
  const calibration = { ...calibrationOf(points), at: now, points }
  const row = asSeen(db.Device, { id: device.id, version: device.version }).set({ calibration })
  await saveSeen(row, body.version, () => device)
  return deviceRow(db, params.id)
}

const tare: Handler<typeof api.device.tare> = async ({ db, params }) => {
  const device = await deviceRow(db, params.id)
  if (device.kind !== 'scale') throw new Refusal(422, 'no-scale', `${device.name} is no scale.`)
  await sendLine(device, 'T', await farAllowed(db))
  return { done: true as const }
}

const simulate: Handler<typeof api.device.simulate> = async ({ db, params, body }) => {
  const device = await deviceRow(db, params.id)
  if (!device.simulated) throw new Refusal(422, 'not-simulated', `${device.name} is a real device: pour onto it by hand.`)
  await sendLine(device, `${words[body.what]} ${body.value}`, await farAllowed(db))
  return { done: true as const }
}

export const deviceRoutes = [
  answers(api.device.list, async ({ db, query }) =>
    pageOf(
      (await db.Device.findAll(byId(query))).map((row) => row.get()),
      query.limit,
    ),
  ),
  answers(api.device.add, add),
  answers(api.device.change, change),
  answers(api.device.remove, remove),
  answers(api.device.calibrate, calibrate),
  answers(api.device.tare, tare),
  answers(api.device.set, set),
  answers(api.device.log, log),
  answers(api.device.simulate, simulate),
]
