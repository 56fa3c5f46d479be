import { replenishSteps } from '@selvrin/core'
import type { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { Refusal } from '../house/refusal'
import type { Handler } from '../http/route'
import { takeFrom } from './joining'
import { asRead, writeEntries, writeEntry, writeWaste, type NewEntry } from './ledger'
import { requireInUse, requireRoom, requireVolume } from './requiring'
import { openBottles, type Held } from './rows'

/** Water for what evaporated, replenisher in, the bleed to the waste. */
export const replenish: Handler<typeof api.bottle.replenish> = async ({ db, params, body, who, now }) => {
  const [held, from] = (await openBottles(db, [params.id, ...(body.fromId ? [body.fromId] : [])], now)) as [Held, Held?]
  const { bottle } = held
  if (bottle.use.school !== 'replenished')
    throw new Refusal(422, 'not-replenished', `${bottle.label} is not a replenished bath. Change how it is used first.`)
  requireInUse(bottle)
  const { volumeMl, nominalMl, silverGPerL } = bottle.state
  const steps = replenishSteps({ volumeMl, nominalMl, dueMl: body.ml, evaporatedMl: body.evaporatedMl })
  const groupId = uuid()
  const by = who.id
  const line = { bottleId: bottle.id, at: now, by, groupId }
  const lines: NewEntry[] = []
  if (steps.waterMl > 0) {
    requireVolume(bottle, steps.waterMl)
    lines.push({ ...line, id: uuid(), kind: 'evaporate', ml: -steps.waterMl })
    lines.push({ ...line, id: uuid(), kind: 'water', ml: steps.waterMl, note: 'for what evaporated' })
  }
  const bleedId = uuid()
  if (steps.bleedMl > 0) lines.push({ ...line, id: bleedId, kind: 'bleed', ml: -steps.bleedMl })
  requireRoom({ ...bottle, state: { ...bottle.state, volumeMl: volumeMl - steps.bleedMl } }, body.ml)
  const { fromId, ml, overrule } = body
  await writeEntries(db, lines)
  if (steps.bleedMl > 0) {
    const waste = {
      at: now,
      by,
      family: bottle.family,
      ml: steps.bleedMl,
      silverGPerL,
      bottleId: bottle.id,
      entryId: bleedId,
      note: 'bleed',
    }
    await writeWaste(db, waste)
  }
  const brings = from ? await takeFrom(db, bottle, from.bottle, { ml, by, now, groupId, overrule }) : null
  const last: NewEntry = { ...line, id: body.entryId, kind: 'replenish', ml, brings, otherBottleId: fromId ?? null }
  await writeEntry(db, last)
  return held.with([...lines, last].map(asRead)).bottle
}
