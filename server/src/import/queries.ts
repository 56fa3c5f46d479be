import type { Database } from '../table/database'

/** Raises each formula as its writer saw it to its next version. SQL because thousands are compared and changed at once. */
export const raiseFormulas = async (db: Database, seen: { id: string; version: number | null }[]): Promise<number> =>
  (
    await db.query(
      `update formula f set version = f.version + 1 from jsonb_to_recordset($seen::jsonb) as r(id uuid, version int) where f.id = r.id and f.version = r.version returning f.id`,
      { seen: JSON.stringify(seen) },
    )
  ).length

/** Changes each jar as its writer saw it. SQL because thousands are compared and changed at once. */
export const changeJars = async (db: Database, seen: object[]): Promise<number> =>
  (
    await db.query(
      `update jar set version = jar.version + 1, lot = r.lot, place = r.place, opened_at = to_timestamp(r."openedAt" / 1000.0), assay = r.assay,
         price_per_kg = r."pricePerKg", reorder_g = r."reorderG"
       from jsonb_to_recordset($seen::jsonb) as r(id uuid, version int, lot text, place text, "openedAt" numeric, assay numeric, "pricePerKg" numeric, "reorderG" numeric)
       where jar.id = r.id and jar.version = r.version returning jar.id`,
      { seen: JSON.stringify(seen) },
    )
  ).length

/** Changes the times of each row of the chart as its writer saw it. SQL because thousands are compared and changed at once. */
export const changeChart = async (db: Database, seen: object[], by: string): Promise<number> =>
  (
    await db.query(
      `update chart_row c set seconds = r.seconds, source = r.source, note = r.note, by_person = $by, version = c.version + 1
       from jsonb_to_recordset($seen::jsonb) as r(id uuid, version int, seconds numeric, source text, note text)
       where c.id = r.id and c.version = r.version returning c.id`,
      { seen: JSON.stringify(seen), by },
    )
  ).length

/** Retires bottles whose ledger says so, by the last line that no later one takes back. SQL for the last line of each. */
export const retireByLedger = (db: Database, bottleIds: string[]): Promise<unknown> =>
  db.query(
    `update bottle b set retired_at = e.at, retired_why = e.note, version = version + 1
     from (select distinct on (bottle_id) bottle_id, at, note from bottle_entry e where bottle_id = any($bottleIds::uuid[]) and kind = 'retire'
       and not exists (select from bottle_entry x where x.reverses = e.id) order by bottle_id, at desc) e where b.id = e.bottle_id and b.retired_at is null`,
    { bottleIds },
  )
