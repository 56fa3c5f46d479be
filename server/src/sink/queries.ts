import type { Database } from '../table/database'

/** g of silver in what was poured away since a time and not taken back. SQL for the sum over a year of lines. */
export const silverPouredSince = async (db: Database, since: number): Promise<number> =>
  (
    await db.query<{ grams: number }>(
      `select coalesce(sum(w.silver_g), 0) as grams from waste_entry w left join run r on r.id = w.run_id
       where w.at >= to_timestamp($since / 1000.0) and r.state is distinct from 'taken-back' and not exists (select from bottle_entry v where v.reverses = w.entry_id)`,
      { since },
    )
  )[0]?.grams ?? 0
