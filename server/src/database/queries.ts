import type { Database } from '../table/database'

/** Allows times of written lines to be put right, until the end of the transaction. SQL because the schema asks for this setting. */
export const mendingClock = (db: Database, on: boolean): Promise<unknown> =>
  db.query(`select set_config('selvrin.mending_clock', $on, true)`, { on: on ? 'on' : '' })
