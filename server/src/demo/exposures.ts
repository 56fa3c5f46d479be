import type { ExposureBody } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'

const dayMs = 86_400_000

/** Two notes of one member about the same agent, which only she and the one technician who is named see. */
export async function exposures(db: Database, { reader, owner, today }: { reader: string; owner: string; today: number }): Promise<void> {
  await db.ExposureReader.create({ personId: reader, namedBy: reader, at: today - 200 * dayMs })
  const write = (days: number, body: Omit<ExposureBody, 'at' | 'agent' | 'chemical' | 'way'>) => {
    const at = today - days * dayMs
    const whole: ExposureBody = { at, agent: 'Metol', chemical: 'metol', way: 'skin', ...body }
    return db.ExposureNote.create({ id: uuid({ msecs: at }), personId: owner, writtenAt: at, byPerson: owner, body: whole })
  }
  await write(130, { task: 'Trays, developer', minutes: 40, gloves: false, course: 'Red between the fingers, gone after two days.' })
  await write(12, { task: 'Weighing for the paper developer', minutes: 10, gloves: true, course: 'Itching at the wrist, above the cuff.' })
}
