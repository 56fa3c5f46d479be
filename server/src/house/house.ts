import type { Database } from '../table/database'
import type { Jobs } from './jobs'
import type { Clock } from './clock'

/** What every route works with. */
export interface House {
  db: Database
  clock: Clock
  /** work in the background; none where this process takes no part in it */
  jobs?: Jobs | undefined
}
