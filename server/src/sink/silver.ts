import { dayOf, takesSilver } from '@selvrin/core'
import type { sinkApi } from '@selvrin/core/contract'
import { DateTime } from 'luxon'
import { Op } from 'sequelize'
import { bottleList } from '../bottle/rows'
import { zoneOf } from '../darkroom/zone'
import { standingWhere } from '../drum/rows'
import type { Handler } from '../http/route'
import { wasteRows } from '../shelf/queries'
import { recoveryRows } from './recoveries'

/** bottles in use that are looked at */
const mostBottles = 10_000

/** Where the silver is, and what became of this year's. */
export const silver: Handler<typeof sinkApi.silver> = async ({ db, now }) => {
  const zone = await zoneOf(db)
  const year = Number(dayOf(now, zone).slice(0, 4))
  const since = DateTime.fromObject({ year }, { zone }).toMillis()
  const recovered = await recoveryRows(db, { at: { [Op.gte]: since } })
  const inUse = (await bottleList(db, { retired: false, limit: mostBottles, after: null }, now)).filter((one) => takesSilver(one.family))
  const poured = (await wasteRows(db, { ids: null, after: null, limit: null })).filter((row) => row.at >= since)
  const byHand = await db.DrumEntry.sum('silverG', { where: { wasteId: null, at: { [Op.gte]: since } } })
  return {
    ...{ year, pouredG: poured.reduce((sum, row) => sum + row.silverG, 0) + Number(byHand ?? 0) },
    recoveredG: recovered.reduce((sum, one) => sum + one.foundG, 0),
    inDrumsG: (await standingWhere(db, { collectedAt: null })).reduce((sum, { state }) => sum + state.silverG, 0),
    inUseG: inUse.reduce((sum, { state }) => sum + ((state.silverGPerL ?? 0) * state.volumeMl) / 1000, 0),
  }
}
