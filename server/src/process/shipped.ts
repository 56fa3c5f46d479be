import { houseFirstVersion, houseProcesses } from '@selvrin/core'
import { isDeepStrictEqual } from 'node:util'
import { v7 as uuid } from 'uuid'
import type { Database } from '../table/database'
import { newestProcesses } from './queries'

/**
 * The processes every house begins with. Where a later application knows one better, that is a new version, unless somebody of the house has changed it: theirs stays.
 * `now` in ms.
 */
export async function shipProcesses(db: Database, now: number): Promise<void> {
  const known = new Map(
    (await newestProcesses(db, { ids: houseProcesses.map((one) => one.id), after: null, limit: null })).map((row) => [row.id, row]),
  )
  for (const { id, ...body } of houseProcesses) {
    const row = known.get(id)
    if (!row) {
      await db.Process.create({ id, shipped: true })
      await db.ProcessVersion.create({ id: houseFirstVersion(id), processId: id, number: 1, body, changedAt: now })
      continue
    }
    const written = await db.ProcessVersion.findByPk(row.versionId, { attributes: ['changedBy'], rejectOnEmpty: true })
    if (written.changedBy === null && !isDeepStrictEqual(row.body, body))
      await db.ProcessVersion.create({ id: uuid(), processId: id, number: row.number + 1, body, changedAt: now })
  }
}
