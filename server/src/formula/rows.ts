import type { FormulaRow, FormulaVersion } from '@selvrin/core/contract'
import type { Transaction } from 'sequelize'
import type { Database } from '../database/connection'
import { notFound } from '../http/refusal'

const versionColumns = `v.id as "versionId", v.number, coalesce(p.name, 'someone who left') as "changedBy", v.changed_at as "changedAt", v.overruled, v.body`

export const newestFormulas = `
  select f.id, f.version, ${versionColumns}, array(select distinct o.body ->> 'name' from formula_version o where o.formula_id = f.id and o.body ->> 'name' <> v.body ->> 'name') as "earlierNames"
  from formula f
  join lateral (select * from formula_version where formula_id = f.id order by number desc limit 1) v on true
  left join person p on p.id = v.changed_by`

export async function formulaRow(db: Database, id: string, tx?: Transaction): Promise<FormulaRow> {
  const row = await db.one<FormulaRow>(`${newestFormulas} where f.id = $1`, [id], tx)
  if (!row) throw notFound('formula')
  return row
}

export const formulaVersions = (db: Database, formulaId: string): Promise<FormulaVersion[]> =>
  db.rows<FormulaVersion>(
    `select ${versionColumns} from formula_version v left join person p on p.id = v.changed_by where v.formula_id = $1 order by v.number desc`,
    [formulaId],
  )
