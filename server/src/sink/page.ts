import type { SinkPage } from '@selvrin/core/contract'
import { sinkOf } from '../drum/facts'
import { drumsWhere } from '../drum/rows'
import { wasteRows } from '../shelf/queries'
import type { Database } from '../table/database'
import { ruleRows } from './allowing'
import { funnelRows } from './funnels'

/** lines of what waits that are told at once */
const mostPending = 200

/** Everything the sink's first page shows. */
export const sinkPage = async (db: Database, now: number): Promise<SinkPage> => ({
  ...{ facts: await sinkOf(db), drums: await drumsWhere(db, { collectedAt: null }, now) },
  ...{ funnels: await funnelRows(db), rules: await ruleRows(db, now) },
  pending: await wasteRows(db, { ids: null, after: null, limit: mostPending, pending: true }),
})
