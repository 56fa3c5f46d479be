import type { Database } from '../table/database'
import type { Clock } from './clock'

/** What every route works with. */
export interface House {
  db: Database
  clock: Clock
}
