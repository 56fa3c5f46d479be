import type { Database } from '../table/database'

/** Whoever holds the name goes on alone until the end of the transaction. SQL for the lock, which is no row's. */
export const oneAtATime = (db: Database, name: string): Promise<unknown> =>
  db.query('select pg_advisory_xact_lock(hashtext($name))', { name })
