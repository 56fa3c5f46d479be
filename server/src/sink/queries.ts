import type { Database } from '../table/database'

/** g of silver in what was poured away since a time and not taken back, and in what came into drums from elsewhere. SQL for sums over a year of lines. */
export const silverPouredSince = async (db: Database, since: number): Promise<number> =>
  (
    await db.query<{ grams: number }>(
      `select (select coalesce(sum(w.silver_g), 0) from waste_entry w left join run r on r.id = w.run_id
               where w.at >= to_timestamp($since / 1000.0) and r.state is distinct from 'taken-back' and not exists (select from bottle_entry v where v.reverses = w.entry_id))
            + (select coalesce(sum(d.silver_g), 0) from drum_entry d where d.at >= to_timestamp($since / 1000.0) and d.waste_id is null) as grams`,
      { since },
    )
  )[0]?.grams ?? 0
