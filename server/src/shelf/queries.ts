import { drumOf, type UsedUp } from '@selvrin/core'
import type { WasteRow } from '@selvrin/core/contract'
import type { Database } from '../table/database'

/** What was poured away and not taken back, newest first; those of `ids`, or a page; with `pending` what has come since there are drums and stands in none, nor went down the drain. SQL because a page begins behind a pair of time and id. */
export async function wasteRows(
  db: Database,
  ask: { ids: string[] | null; after: string | null; limit: number | null; pending?: boolean },
): Promise<WasteRow[]> {
  const rows = await db.query<WasteRow>(
    `select w.id, w.at, coalesce(p.name, 'someone who left') as by, w.family, w.drum, w.ml, w.silver_g as "silverG", w.bottle_id as "bottleId", coalesce(b.letter || b.number, 'run ' || r.number) as label, w.source, w.contents, w.note
     from waste_entry w left join bottle b on b.id = w.bottle_id left join run r on r.id = w.run_id left join person p on p.id = w.by_person
     where ($ids::uuid[] is null or w.id = any($ids)) and ($after::uuid is null or (w.at, w.id) < (select at, id from waste_entry where id = $after))
       and ($pending::boolean is not true or (w.at >= (select min(made_at) from drum) and not exists (select from drum_entry d where d.waste_id = w.id and d.kind = 'pour' and not exists (select from drum_entry x where x.reverses = d.id)) and not exists (select from drain_entry d where d.waste_id = w.id and d.reverses is null and not exists (select from drain_entry x where x.reverses = d.id))))
       and not exists (select from bottle_entry v where v.reverses = w.entry_id) and r.state is distinct from 'taken-back' order by w.at desc, w.id desc limit $limit`,
    { pending: null, ...ask },
  )
  // what was poured away before drums were written down goes by its family
  return rows.map((row) => ({ ...row, drum: row.drum ?? drumOf({ family: row.family, additions: [] }) }))
}

/** Rolls and prints that went through the bottles of those formulas, or of each, since a time. SQL for the sum. */
export const usedSince = (
  db: Database,
  asked: { since: number; formulaIds: string[] | null },
): Promise<{ formulaId: string; rolls: number }[]> =>
  db.query(
    `select v.formula_id as "formulaId", sum(case when t.through > 0 then t.through else coalesce((r.plan ->> 'rolls')::numeric, 0) end) as rolls
     from bottle_entry e cross join lateral (select coalesce(sum((one ->> 'equivalents')::numeric), 0) as through from jsonb_array_elements(e.throughput) as one) t join bottle b on b.id = e.bottle_id join formula_version v on v.id = b.formula_version_id left join run r on r.id = e.run_id
     where e.at > to_timestamp($since / 1000.0) and ($formulaIds::uuid[] is null or v.formula_id = any($formulaIds)) and (e.kind = 'use' or (e.kind = 'dilute-out' and e.run_id is not null))
       and not exists (select from bottle_entry x where x.reverses = e.id)
     group by v.formula_id`,
    asked,
  )

/** What finished bottles really used up for the rolls that went through, by the strength they were at; and what single runs drew to use once. SQL for sums over whole ledgers. */
export const usedUp = (db: Database): Promise<UsedUp[]> =>
  db.query<UsedUp>(
    `with lines as (
       select e.*, v.formula_id, coalesce(b.own_use ->> 'school', v.body -> 'use' ->> 'school') as school, b.retired_at, b.parts
       from bottle_entry e join bottle b on b.id = e.bottle_id join formula_version v on v.id = b.formula_version_id
       where e.reverses is null and not exists (select from bottle_entry x where x.reverses = e.id)
     ), once as (
       select formula_id, 'one-shot' as school, parts, sum(-l.ml) as ml, sum(coalesce((r.plan ->> 'rolls')::numeric, 0)) as rolls
       from lines l join run r on r.id = l.run_id and r.state = 'done' where l.kind = 'dilute-out' group by formula_id, parts
     ), again as (
       select formula_id, school, parts, sum(case when kind in ('fill', 'top-up', 'replenish', 'dilute-out', 'decant') then ml else 0 end) as ml, sum((select coalesce(sum((one ->> 'equivalents')::numeric), 0) from jsonb_array_elements(throughput) as one)) as rolls
       from lines where school <> 'one-shot' and retired_at is not null group by formula_id, school, parts
     )
     select formula_id as "formulaId", school, parts, ml, rolls from (select * from once union all select * from again) as used`,
  )
