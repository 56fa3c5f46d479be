import type { Device } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound } from '../http/refusal'

export const deviceRows = 'select id, version, kind, name, host, port, pattern, active, simulated, calibration from device'

export async function deviceRow(db: Database, id: string, tx?: Transaction): Promise<Device> {
  const row = await db.one<Device>(`${deviceRows} where id = $1`, [id], tx)
  if (!row) throw notFound('device')
  return row
}

/** The demo's simulated devices listen where this start has put them. */
export async function pointSimulated(db: Database, ports: Record<string, number>): Promise<void> {
  for (const [kind, port] of Object.entries(ports))
    await db.run('update device set port = $2, version = version + 1 where simulated and kind = $1 and port <> $2', [kind, port])
}
