import type { Database } from '../table/database'

/** Keeps those of the codes that nobody has yet, and answers them. SQL because taking and looking are one. */
export const takeCodes = async (db: Database, codes: string[]): Promise<string[]> =>
  (
    await db.query<{ code: string }>(
      'insert into label_code (code) select distinct unnest($codes::text[]) on conflict do nothing returning code',
      { codes },
    )
  ).map((row) => row.code)
