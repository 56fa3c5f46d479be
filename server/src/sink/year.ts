import { dayOf, wasteYear, type YearLine } from '@selvrin/core'
import { yearApi, type YearReport } from '@selvrin/core/contract'
import { DateTime } from 'luxon'
import { Op, type ModelStatic, type Model } from 'sequelize'
import { zoneOf } from '../darkroom/zone'
import { standingWhere } from '../drum/rows'
import { answers, type Handler } from '../http/route'
import type { Database } from '../table/database'
import { pickupRows } from './pickups'
import { recoveryRows } from './recoveries'

/** g/ml of what goes down the drain: water with little in it */
const drainedGPerMl = 1

/** The years anything was poured away in, or spilled: from the first of them to this one. */
async function yearsOf(db: Database, zone: string, now: number): Promise<number[]> {
  const first = async (model: ModelStatic<Model>): Promise<number> => Number((await model.min('at')) ?? now)
  const since = Math.min(await first(db.DrumEntry), await first(db.DrainEntry), await first(db.Recovery))
  const [from, to] = [Number(dayOf(since, zone).slice(0, 4)), Number(dayOf(now, zone).slice(0, 4))]
  return Array.from({ length: to - from + 1 }, (_, i) => to - i)
}

/** Lines that were not taken back, of a span of time. */
async function linesOf(db: Database, within: object): Promise<YearLine[]> {
  const poured = await db.DrumEntry.findAll({ where: { kind: 'pour', ...within }, raw: true })
  const undone = await db.DrumEntry.findAll({ attributes: ['reverses'], where: { reverses: poured.map((one) => one.id) }, raw: true })
  const drained = await db.DrainEntry.findAll({ where: { reverses: null, ...within }, raw: true })
  const back = await db.DrainEntry.findAll({ attributes: ['reverses'], where: { reverses: drained.map((one) => one.id) }, raw: true })
  const over = new Set([...undone, ...back].map((one) => one.reverses))
  return [
    ...poured.map((one) => ({ ...one, grams: one.ml * one.gPerMl, drain: false })),
    ...drained.map((one) => ({ ...one, grams: one.ml * drainedGPerMl, drain: true })),
  ]
    .filter((one) => !over.has(one.id))
    .map(({ at, family, ml, grams, silverG, drain }) => ({ at, family, ml, grams, silverG, drain }))
}

/** The year of the sink as it is told: without the name of anybody who spilled or poured. */
export async function yearReport(db: Database, now: number, asked?: number): Promise<YearReport> {
  const zone = await zoneOf(db)
  const year = asked ?? Number(dayOf(now, zone).slice(0, 4))
  const [from, until] = [year, year + 1].map((one) => DateTime.fromObject({ year: one }, { zone }).toMillis()) as [number, number]
  const span = { [Op.gte]: from, [Op.lt]: until }
  const pickups = await pickupRows(db, { collectedAt: span })
  const spills = await db.Incident.findAll({ where: { struckAt: null }, raw: true })
  const still = await standingWhere(db, { collectedAt: null })
  return {
    ...{ year, zone, years: await yearsOf(db, zone, now), rows: wasteYear(await linesOf(db, { at: span }), year, zone) },
    recoveries: (await recoveryRows(db, { at: span }))
      .map((one) => ({ at: one.at, method: one.body.method, silverG: one.foundG }))
      .reverse(),
    pickups: pickups.reverse().map(({ collectedAt, number, contractor, licence, receipt, drums }) => ({
      ...{ at: collectedAt ?? 0, number, contractor, licence, receipt: receipt ?? '' },
      families: [...new Set(drums.map((one) => one.family))],
      kg: drums.reduce((sum, one) => sum + (one.collectedKg ?? one.kg), 0),
    })),
    incidents: spills
      .map(({ body: { at, what, family, ml } }) => ({ at, what, family, ml }))
      .filter((one) => one.at >= from && one.at < until)
      .sort((a, b) => a.at - b.at),
    standing: {
      drums: still.filter(({ state }) => state.ml > 0).length,
      ml: still.reduce((sum, { state }) => sum + state.ml, 0),
      grams: still.reduce((sum, { facts, state }) => sum + 1000 * (state.kg - facts.tareKg), 0),
    },
  }
}

const get: Handler<typeof yearApi.get> = ({ db, query: { year }, now }) => yearReport(db, now, year)

/** The year of the sink; its paper is among the papers. */
export const yearRoutes = [answers(yearApi.get, get)]
