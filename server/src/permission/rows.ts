import { stillToDo, type Learned, type LoadKind } from '@selvrin/core'
import type { Permission, ProcessRow } from '@selvrin/core/contract'
import type { WhereOptions } from 'sequelize'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import { newestProcesses } from '../process/queries'
import type { Database, Row } from '../table/database'

const include = [withName('person'), withName('giver')]
interface Asked {
  where: WhereOptions
  order?: [string, string][]
  limit?: number
}

/** What each has practised with nothing wrong: loading only where eyes did not help. */
export async function learnedBy(db: Database, personIds: string[]): Promise<Map<string, Learned>> {
  const rows = await db.Practice.findAll({
    attributes: ['personId', 'processVersionId', 'loading'],
    where: { personId: personIds, clean: true },
    raw: true,
  })
  const all = new Map(personIds.map((id) => [id, { versions: new Set<string>(), loaded: new Set<LoadKind>() }]))
  for (const { personId, processVersionId, loading } of rows) {
    if (processVersionId) all.get(personId)?.versions.add(processVersionId)
    if (loading && loading.where !== 'light') all.get(personId)?.loaded.add(loading.what)
  }
  return new Map([...all].map(([id, { versions, loaded }]) => [id, { versions: [...versions], loaded: [...loaded] }]))
}

/** A process as a permission is held against it: as it is now. */
export const allowed = ({ id, versionId, body }: ProcessRow) => ({ id, versionId, name: body.name })

export const termsOf = ({ processId, vesselIds, bottleIds, practice, others, loading, until }: Row<'Permission'>) => ({
  ...{ processId, vesselIds, bottleIds, practice, others, loading, until },
})

/** Permissions with what is still to be done before each counts. */
export async function permissionRows(db: Database, asked: Asked, now: number): Promise<Permission[]> {
  const rows = await db.Permission.findAll({ ...asked, include })
  const learned = await learnedBy(db, [...new Set(rows.map((row) => row.personId))])
  const ids = [...new Set(rows.map((row) => row.processId))]
  const processes = new Map((await newestProcesses(db, { ids, after: null, limit: null })).map((one) => [one.id, allowed(one)]))
  return rows.flatMap((row) => {
    const process = processes.get(row.processId)
    if (!process) return []
    const terms = termsOf(row)
    const before = stillToDo({ terms, process, learned: learned.get(row.personId) ?? { versions: [], loaded: [] }, now })
    return {
      ...{ id: row.id, version: row.version, personId: row.personId, person: nameOf(row.person), processName: process.name },
      ...{ ...terms, before, by: nameOf(row.giver), at: row.givenAt },
    }
  })
}

export async function permissionRow(db: Database, id: string, now: number): Promise<Permission> {
  const [row] = await permissionRows(db, { where: { id } }, now)
  if (!row) throw notFound('permission')
  return row
}
