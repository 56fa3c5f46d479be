import type { RunSummary, Vessel } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** Tanks and drums with the numbers of the runs in them and of those planned in them; those of `ids`, or a page. SQL because a run names its vessel inside its plan. */
export const vesselRows = (db: Database, asked: { ids: string[] | null; after: string | null; limit: number | null }): Promise<Vessel[]> =>
  db.query<Vessel>(
    `select id, version, name, kind, format, reels, covers_ml as "coversMl", carry_ml as "carryMl", also,
       array(select r.number from run r where r.state = 'running' and r.plan -> 'vessel' ->> 'id' = vessel.id::text order by r.number) as running,
       array(select r.number from run r where r.state = 'planned' and r.plan -> 'vessel' ->> 'id' = vessel.id::text order by r.number) as planned
     from vessel where ($ids::uuid[] is null or id = any($ids)) and ($after::uuid is null or id > $after) order by id limit $limit`,
    asked,
  )

interface Asked {
  /** null for all */
  ids: string[] | null
  states: string[] | null
  /** whose: of whoever planned them; null for all */
  by: string | null
  /** patterns that all fit something of it */
  words: string[]
  after: string | null
  limit: number | null
}

/** Runs newest first, with their films, a page of them. SQL because of a plan only its names are wanted, and a page begins behind another run's number. */
export const runSummaries = (db: Database, asked: Asked): Promise<RunSummary[]> =>
  db.query<RunSummary>(
    `select r.id, r.version, r.number, r.state, r.plan -> 'vessel' ->> 'name' as vessel, r.plan ->> 'processName' as "processName",
       coalesce(f.films, '{}') as films, coalesce(f.eis, '{}') as eis, coalesce(f.results, '{}') as results, coalesce(f.owners, '{}') as owners, (r.plan ->> 'rolls')::numeric as rolls, coalesce(p.name, 'someone who left') as by, coalesce(p.role = 'member', false) as "byMember",
       r.planned_at as "plannedAt", r.started_at as "startedAt", r.ended_at as "endedAt"
     from run r left join person p on p.id = r.planned_by
       left join lateral (select array_agg(l.film order by l.id) as films, array_agg(l.ei order by l.id) as eis, array_agg(l.result order by l.id) as results,
         array_agg(coalesce(o.name, 'someone who left') order by l.id) as owners from roll l left join person o on o.id = l.member_id where l.run_id = r.id) f on true
     where ($ids::uuid[] is null or r.id = any($ids)) and ($states::text[] is null or r.state = any($states)) and ($by::uuid is null or r.planned_by = $by)
       and ($words = '{}' or plain(concat_ws(' ', 'run', r.number, r.plan -> 'vessel' ->> 'name', p.name, (select string_agg(film, ' ') from roll where run_id = r.id))) like all($words::text[])) and ($after::uuid is null or r.number < (select number from run where id = $after))
     order by r.number desc limit $limit`,
    asked,
  )
