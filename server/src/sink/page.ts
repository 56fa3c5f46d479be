import { dayOf, takesSilver } from '@selvrin/core'
import type { SinkPage } from '@selvrin/core/contract'
import { DateTime } from 'luxon'
import { Op } from 'sequelize'
import { bottleList } from '../bottle/rows'
import { zoneOf } from '../darkroom/zone'
import { sinkOf } from '../drum/facts'
import { drumsWhere } from '../drum/rows'
import { wasteRows } from '../shelf/queries'
import type { Database } from '../table/database'
import { ruleRows } from './allowing'
import { funnelRows } from './funnels'
import { recoveryRows } from './recoveries'
import { silverPouredSince } from './queries'

/** bottles in use that are looked at for their silver */
const mostBottles = 10_000
/** lines of what waits that are told at once */
const mostPending = 200

/** Everything the sink's first page shows. */
export async function sinkPage(db: Database, now: number): Promise<SinkPage> {
  const zone = await zoneOf(db)
  const drums = await drumsWhere(db, { collectedAt: null }, now)
  const year = Number(dayOf(now, zone).slice(0, 4))
  const since = DateTime.fromObject({ year }, { zone }).toMillis()
  const recovered = await recoveryRows(db, { at: { [Op.gte]: since } })
  const inUse = (await bottleList(db, { retired: false, limit: mostBottles, after: null }, now)).filter((one) => takesSilver(one.family))
  return {
    ...{ facts: await sinkOf(db), drums, funnels: await funnelRows(db), rules: await ruleRows(db, now) },
    pending: await wasteRows(db, { ids: null, after: null, limit: mostPending, pending: true }),
    silver: {
      ...{ year, pouredG: await silverPouredSince(db, since) },
      recoveredG: recovered.reduce((sum, one) => sum + one.foundG, 0),
      inDrumsG: drums.reduce((sum, { state }) => sum + state.silverG, 0),
      inUseG: inUse.reduce((sum, { state }) => sum + ((state.silverGPerL ?? 0) * state.volumeMl) / 1000, 0),
    },
  }
}
