import type { Plan } from '@selvrin/core'
import type { Roll } from '@selvrin/core/contract'
import type { Database } from '../table/database'

export interface FilmInDoubt {
  rollId: string
  runId: string
  runNumber: number
  at: number
  film: string
  member: string
  memberId: string | null
}

/**
 * Films that went through a bottle, or one it was decanted from, since its last good test of that kind; or the one film that was tested. SQL because the line of
 * bottles is followed back, each up to when it was left.
 */
export const filmsInDoubt = (
  db: Database,
  asked: { bottleId: string | null; rollId: string | null; kind: string },
): Promise<FilmInDoubt[]> =>
  db.query<FilmInDoubt>(
    `with recursive line as (
       select $bottleId::uuid as id, 'infinity'::timestamptz as until
       union all
       select b.from_bottle_id, least(l.until, (select min(e.at) from bottle_entry e where e.bottle_id = b.id and e.kind = 'fill'))
       from line l join bottle b on b.id = l.id join bottle o on o.id = b.from_bottle_id and o.parts is not distinct from b.parts
     ), good as (
       select coalesce(max(f.at), '-infinity'::timestamptz) as at from line l join standing_proof f on f.bottle_id = l.id and f.at <= l.until
       where f.kind = $kind and f.judgement ->> 'verdict' <> 'failed' and f.judgement ->> 'rule' <> 'no-reference'
     )
     select distinct on (o.id) o.id as "rollId", r.id as "runId", r.number as "runNumber", coalesce(r.ended_at, r.started_at, r.planned_at) as at, o.film,
       coalesce(p.name, 'someone who left') as member, o.member_id as "memberId"
     from roll o join run r on r.id = o.run_id left join person p on p.id = o.member_id
     where o.id = $rollId or r.id in (
       select e.run_id from line l join bottle_entry e on e.bottle_id = l.id and e.at <= l.until
       where e.run_id is not null and e.kind in ('use', 'dilute-out') and e.at > (select at from good)
         and not exists (select from bottle_entry x where x.reverses = e.id))
     order by o.id`,
    asked,
  )

export interface Developed {
  film: string
  ei: number
  developer: string
  result: Roll['result']
  contrast: Roll['contrast']
  faults: Roll['faults']
  densities: Roll['densities']
  developedS: number | null
  temperatureC: number | null
  at: number
  developing: Plan['developing']
  drift: Plan['drift'] | null
  chartRowIds: string[] | null
}

/** Every film that was developed, with what its plan had charted for it. SQL because of a plan only its time is wanted. */
export const developedFilms = (db: Database): Promise<Developed[]> =>
  db.query<Developed>(
    `select l.film, l.ei, l.developer, l.result, l.contrast, l.faults, l.densities, l.developed_s as "developedS", l.temperature_c as "temperatureC", l.at,
       r.plan -> 'developing' as developing, r.plan -> 'drift' as drift, r.request -> 'chartRowIds' as "chartRowIds"
     from roll l join run r on r.id = l.run_id where r.state = 'done' and not l.taken_back order by l.id`,
    {},
  )
