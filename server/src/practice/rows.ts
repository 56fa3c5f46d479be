import type { PracticeRow } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'

const include = [withName('person'), { association: 'process', attributes: ['body'] }]

const shown = (row: Row<'Practice'>): PracticeRow => ({
  id: row.id,
  personId: row.personId,
  person: nameOf(row.person),
  at: row.at,
  kind: row.practised ? 'run' : 'loading',
  processName: row.process?.body.name ?? null,
  speed: row.practised?.speed ?? null,
  score: row.score,
  loading: row.loading,
  findings: row.findings,
  clean: row.clean,
})

/** What was practised, the newest first: of one person, or of everybody. */
export async function practiceRows(
  db: Database,
  { personId, ...page }: { personId?: string | undefined; where: object; order: [string, string][]; limit: number },
): Promise<PracticeRow[]> {
  const where = { ...page.where, ...(personId === undefined ? {} : { personId }) }
  return (await db.Practice.findAll({ ...page, where, include })).map(shown)
}

export async function practiceRow(db: Database, id: string): Promise<PracticeRow> {
  const row = await db.Practice.findByPk(id, { include })
  if (!row) throw notFound('practice')
  return shown(row)
}
