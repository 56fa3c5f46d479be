import type { ProcessRow } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** Processes in their newest version, in the order of their ids; those of `ids`, or a page. SQL for the newest version of each. */
export const newestProcesses = (
  db: Database,
  asked: { ids: string[] | null; after: string | null; limit: number | null },
): Promise<ProcessRow[]> =>
  db.query<ProcessRow>(
    `select f.id, f.version, f.shipped, v.id as "versionId", v.number, v.changed_at as "changedAt", v.body,
       case when v.changed_by is null and f.shipped then 'comes with the house' else coalesce(p.name, 'someone who left') end as "changedBy"
     from process f join lateral (select * from process_version where process_id = f.id order by number desc limit 1) v on true left join person p on p.id = v.changed_by
     where ($ids::uuid[] is null or f.id = any($ids)) and ($after::uuid is null or f.id > $after) order by f.id limit $limit`,
    asked,
  )
