import type { Database } from '../table/database'

/** Takes a key for a request; false where it was taken before. SQL because two requests with one key wait for each other here, which no separate look does. */
export const takeKey = async (db: Database, asked: { personId: string; key: string; hash: string; now: number }): Promise<boolean> =>
  (
    await db.query(
      `insert into idempotency (person_id, key, request_hash, created_at) values ($personId, $key, $hash, to_timestamp($now / 1000.0)) on conflict do nothing returning key`,
      asked,
    )
  ).length > 0
