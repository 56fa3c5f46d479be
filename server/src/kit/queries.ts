import type { Kitted } from '../bottle/kits'
import type { Database } from '../table/database'

/** Mixed kits with what went through their bottles. SQL for the schema's own function, which a shelf asks as well. */
export const kitsWithFilms = async (db: Database, asked: { ids: string[] }): Promise<Kitted[]> =>
  (await db.query<{ kitted: Kitted }>(`select kit_of(id) as kitted from kit_set where id = any($ids::uuid[])`, asked)).map(
    (row) => row.kitted,
  )
