import { impossible } from '../../error'
import { replenishSteps } from '../replenish'
import type { Acted, Decided, NewLine } from './act'
import { decideJoining, type Meets } from './join'
import { requireInUse, requireRoom, requireVolume } from './requiring'

export interface AskedReplenish {
  entryId: string
  ml: number
  evaporatedMl: number
  overrule?: string | undefined
}

/**
 * What is written when a bath is replenished (ml): water for what evaporated, the bleed to the waste, replenisher in. `from`: the bottle it comes from.
 * @throws Refused 'not-replenished', 'retired', 'not-enough', 'too-full', or what `decideJoining` refuses
 * @example
 * decideReplenish({ bottle: acted }, { entryId: 'e', ml: 70, evaporatedMl: 0 }) // throws 'not-replenished'
 */
export function decideReplenish(
  { bottle, from, meets = null }: { bottle: Acted; from?: Acted | undefined; meets?: Meets },
  asked: AskedReplenish,
): Decided {
  if (bottle.use.school !== 'replenished')
    throw impossible('not-replenished', `${bottle.label} is not a replenished bath. Change how it is used first.`)
  requireInUse(bottle)
  const { volumeMl, nominalMl, silverGPerL } = bottle.state
  const steps = replenishSteps({ volumeMl, nominalMl, dueMl: asked.ml, evaporatedMl: asked.evaporatedMl })
  const bottleId = bottle.id
  const lines: NewLine[] = []
  if (steps.waterMl > 0) {
    requireVolume(bottle, steps.waterMl)
    lines.push({ bottleId, kind: 'evaporate', ml: -steps.waterMl })
    lines.push({ bottleId, kind: 'water', ml: steps.waterMl, note: 'for what evaporated' })
  }
  const bleeds = steps.bleedMl > 0
  const waste = bleeds ? [{ line: lines.length, family: bottle.family, silverGPerL, note: 'bleed' }] : []
  if (bleeds) lines.push({ bottleId, kind: 'bleed', ml: -steps.bleedMl })
  requireRoom(bottle, asked.ml, volumeMl - steps.bleedMl)
  const joins = from ? decideJoining(bottle, from, { ml: asked.ml, overrule: asked.overrule, meets }) : null
  if (joins) lines.push(joins.line)
  const last: NewLine = { id: asked.entryId, bottleId, kind: 'replenish', ml: asked.ml, brings: joins?.brings ?? null }
  lines.push(from ? { ...last, otherBottleId: from.id } : last)
  return { lines, waste }
}
