import type { FormulaRow } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** Formulas in their newest version with the names they had before, in the order of their ids; those of `ids`, or a page. SQL for the newest version of each. */
export const newestFormulas = (
  db: Database,
  ask: { ids: string[] | null; after: string | null; limit: number | null },
): Promise<FormulaRow[]> =>
  db.query<FormulaRow>(
    `select f.id, f.version, v.id as "versionId", v.number, coalesce(p.name, 'someone who left') as "changedBy", v.changed_at as "changedAt", v.overruled, v.body,
       array(select distinct o.body ->> 'name' from formula_version o where o.formula_id = f.id and o.body ->> 'name' <> v.body ->> 'name') as "earlierNames"
     from formula f join lateral (select * from formula_version where formula_id = f.id order by number desc limit 1) v on true left join person p on p.id = v.changed_by
     where ($ids::uuid[] is null or f.id = any($ids)) and ($after::uuid is null or f.id > $after) order by f.id limit $limit`,
    ask,
  )
