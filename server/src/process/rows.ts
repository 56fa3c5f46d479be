import type { ProcessRow, ProcessVersion } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'
import { newestProcesses } from './queries'

export async function processRow(db: Database, id: string): Promise<ProcessRow> {
  const [row] = await newestProcesses(db, { ids: [id], after: null, limit: null })
  if (!row) throw notFound('process')
  return row
}

/** A version as it is shown; read with the name of whoever wrote it. */
const versionOf = (row: Row<'ProcessVersion'>, shipped: boolean): ProcessVersion => ({
  versionId: row.id,
  number: row.number,
  changedBy: row.changedBy === null && shipped ? 'comes with the house' : nameOf(row.by),
  changedAt: row.changedAt,
  body: row.body,
})

export const processVersions = async (db: Database, { id: processId, shipped }: ProcessRow): Promise<ProcessVersion[]> =>
  (await db.ProcessVersion.findAll({ where: { processId }, include: [withName()], order: [['number', 'desc']] })).map((row) =>
    versionOf(row, shipped),
  )

/** A process as it was in one of its versions. */
export async function processAs(db: Database, versionId: string): Promise<ProcessRow> {
  const row = await db.ProcessVersion.findByPk(versionId, { include: [withName(), { association: 'process' }] })
  if (!row?.process) throw notFound('process')
  const { id, version, shipped } = row.process
  return { id, version, shipped, ...versionOf(row, shipped) }
}
