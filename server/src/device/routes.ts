import { calibrationOf } from '@selvrin/core'
import { api, type Device } from '@selvrin/core/contract'
import type { Router } from 'express'
import type { Transaction } from 'sequelize'
import { pageOf } from '../http/page'
import { Refusal, stale } from '../http/refusal'
import { route, type House } from '../http/route'
import { requireNear } from './address'
import { sendLine } from './command'
import { requirePattern } from './pattern'
import { deviceRow, deviceRows } from './rows'

const words = { pour: 'P', clear: 'C', bath: 'B', solution: 'S' }

export function deviceRoutes(router: Router, house: House): void {
  const { db } = house

  route(router, house, api.device.list, async ({ query }) =>
    pageOf(
      await db.rows<Device>(`${deviceRows} where ($2::uuid is null or id > $2) order by id limit $1`, [
        query.limit + 1,
        query.after ?? null,
      ]),
      query.limit,
    ),
  )

  const farAllowed = async (tx: Transaction | undefined): Promise<boolean> =>
    (await db.one<{ open: boolean }>('select public_devices as open from darkroom', [], tx))?.open ?? false
  async function requireGood(body: { host: string; pattern: string }, tx: Transaction | undefined): Promise<void> {
    requirePattern(body.pattern)
    requireNear(body.host, await farAllowed(tx))
  }

  route(router, house, api.device.add, async ({ body, tx }) => {
    await requireGood(body, tx)
    await db.run(
      'insert into device (id, kind, name, host, port, pattern, active) values ($1, $2, $3, $4, $5, $6, $7)',
      [body.id, body.kind, body.name, body.host, body.port, body.pattern, body.active],
      tx,
    )
    return deviceRow(db, body.id, tx)
  })

  route(router, house, api.device.change, async ({ params, body, tx }) => {
    await requireGood(body, tx)
    const changed = await db.rows(
      // a device that is reached elsewhere is no longer the simulated one
      `update device set version = version + 1, kind = $3, name = $4, simulated = simulated and host = $5 and port = $6, host = $5, port = $6, pattern = $7, active = $8
       where id = $1 and version = $2 returning id`,
      [params.id, body.version, body.kind, body.name, body.host, body.port, body.pattern, body.active],
      tx,
    )
    if (changed.length === 0) throw stale(await deviceRow(db, params.id, tx))
    return deviceRow(db, params.id, tx)
  })

  route(router, house, api.device.remove, async ({ params, body, tx }) => {
    const gone = await db.rows('delete from device where id = $1 and version = $2 returning id', [params.id, body.version], tx)
    if (gone.length === 0) throw stale(await deviceRow(db, params.id, tx))
    return { done: true as const }
  })

  route(router, house, api.device.calibrate, async ({ params, body, now, tx }) => {
    const device = await deviceRow(db, params.id, tx)
    if (device.kind !== 'ph-meter') throw new Refusal(422, 'no-meter', `${device.name} is no pH meter.`)
    // what the meter shows is calibrated already: take that back first
    const before = device.calibration
    const points = body.points.map(({ read, buffer }) => ({ buffer, read: before ? 7 + before.slope * (read - 7) + before.offset : read }))
    const calibration = { ...calibrationOf(points), at: now, points }
    const changed = await db.rows(
      'update device set version = version + 1, calibration = $3 where id = $1 and version = $2 returning id',
      [params.id, body.version, JSON.stringify(calibration)],
      tx,
    )
    if (changed.length === 0) throw stale(device)
    return deviceRow(db, params.id, tx)
  })

  route(router, house, api.device.tare, async ({ params, tx }) => {
    const device = await deviceRow(db, params.id, tx)
    if (device.kind !== 'scale') throw new Refusal(422, 'no-scale', `${device.name} is no scale.`)
    await sendLine(device, 'T', await farAllowed(tx))
    return { done: true as const }
  })

  route(router, house, api.device.simulate, async ({ params, body, tx }) => {
    const device = await deviceRow(db, params.id, tx)
    if (!device.simulated) throw new Refusal(422, 'not-simulated', `${device.name} is a real device: pour onto it by hand.`)
    await sendLine(device, `${words[body.what]} ${body.value}`, await farAllowed(tx))
    return { done: true as const }
  })
}
