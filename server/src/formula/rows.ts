import type { FormulaRow, FormulaVersion } from '@selvrin/core/contract'
import { nameOf, withName } from '../house/left'
import { notFound } from '../house/refusal'
import type { Database, Row } from '../table/database'
import { newestFormulas } from './queries'

export async function formulaRow(db: Database, id: string): Promise<FormulaRow> {
  const [row] = await newestFormulas(db, { ids: [id], after: null, limit: null })
  if (!row) throw notFound('formula')
  return row
}

/** A version as it is shown; read with the name of whoever wrote it. */
export const versionOf = (row: Row<'FormulaVersion'>): FormulaVersion => ({
  versionId: row.id,
  number: row.number,
  changedBy: nameOf(row.by),
  changedAt: row.changedAt,
  overruled: row.overruled,
  body: row.body,
})

export const formulaVersions = async (db: Database, formulaId: string): Promise<FormulaVersion[]> =>
  (await db.FormulaVersion.findAll({ where: { formulaId }, include: [withName()], order: [['number', 'desc']] })).map(versionOf)
