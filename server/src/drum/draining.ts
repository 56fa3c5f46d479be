import { dayOf, requireDrain, startOfDay, type DischargeRule, type Drum as Family, type Drained } from '@selvrin/core'
import { Op } from 'sequelize'
import { catalogueOf } from '../chemical/chemistry'
import { zoneOf } from '../darkroom/zone'
import type { Database, Row } from '../table/database'
import { sinkOf } from './facts'

/** ms back in which water may still have to run behind something: as long as a paper can ask for */
const longestMs = 24 * 3_600_000

/** Lines of what went down the drain that were not taken back. */
async function standing(db: Database, where: object): Promise<Row<'DrainEntry'>[]> {
  const lines = await db.DrainEntry.findAll({ where: { ...where, reverses: null }, order: ['seq'] })
  const back = await db.DrainEntry.findAll({ attributes: ['reverses'], where: { reverses: lines.map((one) => one.id) }, raw: true })
  return lines.filter((one) => !back.some((other) => other.reverses === one.id))
}
export const standingDrains = (db: Database, wasteIds: string[]): Promise<Row<'DrainEntry'>[]> => standing(db, { wasteId: wasteIds })

/** ml that went down the drain this day, by family. */
export async function drainedToday(db: Database, now: number): Promise<Map<Family, number>> {
  const today = new Map<Family, number>()
  for (const { family, ml } of await standing(db, { at: { [Op.gte]: startOfDay(now, await zoneOf(db)) } }))
    today.set(family, (today.get(family) ?? 0) + ml)
  return today
}

/** Pours a line of what waits down the drain, by the paper that allows it. Rules are locked until the end of the transaction: two who pour at once share the day. */
export async function drainAway(
  db: Database,
  { entryId, wasteId, drained }: { entryId: string; wasteId: string; drained: Drained },
  { by, now }: { by: string; now: number },
): Promise<void> {
  const rules = (await db.Discharge.findAll({ order: ['family'], lock: true })).map((row): DischargeRule => row.body)
  const { septic, washLimitMgPerL, roomM3 } = await sinkOf(db)
  const lately = await standing(db, { at: { [Op.gt]: now - longestMs } })
  const rule = requireDrain(drained, {
    ...{ rules, septic, washLimitMgPerL, roomM3, now, day: dayOf(now, await zoneOf(db)) },
    todayMl: (await drainedToday(db, now)).get(drained.family) ?? 0,
    lately: lately.map(({ at, family, ml, contents, rule: { minutes } }) => ({ at, minutes, liquid: { family, ml, contents } })),
    catalogue: await catalogueOf(db),
  })
  const { family, ml, silverG, contents } = drained
  await db.DrainEntry.create({ id: entryId, at: now, byPerson: by, family, ml, silverG, contents, wasteId, rule })
}

/** Takes a line of it back by a second one: it never went, or another did. */
export async function reverseDrain(
  db: Database,
  entry: Row<'DrainEntry'>,
  { id, why, by, now }: { id: string; why: string; by: string; now: number },
): Promise<void> {
  const { family, contents, wasteId, rule } = entry
  await db.DrainEntry.create({
    ...{
      id,
      at: now,
      byPerson: by,
      family,
      ml: -entry.ml,
      silverG: -entry.silverG,
      contents,
      wasteId,
      rule,
      reverses: entry.id,
      note: why,
    },
  })
}
