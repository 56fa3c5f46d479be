import type { Device } from '@selvrin/core/contract'
import { notFound } from '../house/refusal'
import type { Database } from '../table/database'

export async function deviceRow(db: Database, id: string): Promise<Device> {
  const row = await db.Device.findByPk(id)
  if (!row) throw notFound('device')
  return row.get()
}

/** The demo's simulated devices listen where this start has put them. */
export async function pointSimulated(db: Database, ports: Record<string, number>): Promise<void> {
  for (const device of await db.Device.findAll({ where: { simulated: true } })) {
    const port = ports[device.kind]
    if (port !== undefined) await device.update({ port })
  }
}
