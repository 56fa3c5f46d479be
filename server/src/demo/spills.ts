import type { IncidentBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

const dayMs = 86_400_000

/** What was spilled in the demo: one the kit was filled after, one it was not. */
export async function spills(db: Database, by: string, { today }: { today: number }): Promise<void> {
  const write = (days: number, body: Omit<IncidentBody, 'at' | 'present'>) => {
    const at = today - days * dayMs
    return db.Incident.create({
      ...{ id: uuid({ msecs: at }), writtenAt: at, byPerson: by, body: { at, present: [by], ...body } },
      ...(body.kitFull ? { refilledAt: at, refilledBy: by } : {}),
    })
  }
  await write(41, { what: 'Fixer, out of a tray', family: 'sil', ml: 400, kitFull: true, note: 'The tray was lifted full.' })
  await write(6, { what: 'Citric stop bath', family: 'acid', ml: 250, kitFull: false, note: 'No bicarbonate left in the kit.' })
}
