import { replenishSteps } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { takeFrom } from './joining'
import { lockBottles, writeEntry, writeWaste } from './ledger'
import { requireInUse, requireRoom, requireVolume } from './requiring'
import { bottleById, bottlePage } from './rows'

/** Water for what evaporated, replenisher in, the bleed to the waste. */
export const replenish: Handler<typeof api.bottle.replenish> = async ({ db, params, body, who, now }) => {
  await lockBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])])
  const bottle = await bottleById(db, params.id, now)
  if (bottle.use.school !== 'replenished')
    throw new Refusal(422, 'not-replenished', `${bottle.label} is not a replenished bath. Change how it is used first.`)
  requireInUse(bottle)
  const { volumeMl, nominalMl, silverGPerL } = bottle.state
  const steps = replenishSteps({ volumeMl, nominalMl, dueMl: body.ml, evaporatedMl: body.evaporatedMl })
  const groupId = uuid()
  const by = who.id
  const line = { bottleId: bottle.id, at: now, by, groupId }
  if (steps.waterMl > 0) {
    requireVolume(bottle, steps.waterMl)
    await writeEntry(db, { ...line, id: uuid(), kind: 'evaporate', ml: -steps.waterMl })
    await writeEntry(db, { ...line, id: uuid(), kind: 'water', ml: steps.waterMl, note: 'for what evaporated' })
  }
  if (steps.bleedMl > 0) {
    const entryId = uuid()
    await writeEntry(db, { ...line, id: entryId, kind: 'bleed', ml: -steps.bleedMl })
    const waste = { at: now, by, family: bottle.family, ml: steps.bleedMl, silverGPerL, bottleId: bottle.id, entryId, note: 'bleed' }
    await writeWaste(db, waste)
  }
  requireRoom({ ...bottle, state: { ...bottle.state, volumeMl: volumeMl - steps.bleedMl } }, body.ml)
  const { fromId, ml, overrule } = body
  const brings = fromId ? await takeFrom(db, bottle, { fromId, ml, by, now, groupId, overrule }) : null
  await writeEntry(db, { ...line, id: body.entryId, kind: 'replenish', ml, brings, otherBottleId: fromId ?? null })
  return bottlePage(db, bottle.id, now)
}
