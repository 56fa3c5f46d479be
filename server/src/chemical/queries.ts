import type { Database } from '../table/database'

/** Whether any jar or any version of a formula holds that chemical. SQL because it looks into the additions of every version at once. */
export const isUsed = async (db: Database, id: string): Promise<boolean> =>
  (
    await db.query<{ used: boolean }>(
      `select exists (select from jar where chemical = $id)
         or exists (select from formula_version where body -> 'additions' @> jsonb_build_array(jsonb_build_object('chemical', $id::text))) as used`,
      { id },
    )
  )[0]?.used ?? false
