import { requireAmounts } from '../error'

export interface ReplenishSteps {
  /** water first, for what evaporated */
  waterMl: number
  /** taken out, to the waste */
  bleedMl: number
  /** replenisher in */
  replenisherMl: number
  /** more replenisher than the rate, because the carry-out took more than the rate gives back */
  topUpMl: number
}

/**
 * What replenishing a bath means in ml: `dueMl` goes in, as much less the carry-out comes out, so that it ends at the volume it is kept at.
 * @example
 * replenishSteps({ volumeMl: 970, nominalMl: 1000, dueMl: 70, evaporatedMl: 10 }) // → { waterMl: 10, bleedMl: 40, replenisherMl: 70, topUpMl: 0 }
 */
export function replenishSteps(bath: { volumeMl: number; nominalMl: number; dueMl: number; evaporatedMl: number }): ReplenishSteps {
  const { volumeMl, nominalMl, dueMl, evaporatedMl } = bath
  requireAmounts({
    'Its volume': volumeMl,
    'The volume it is kept at': nominalMl,
    'The replenisher due': dueMl,
    'What evaporated': evaporatedMl,
  })
  const ends = volumeMl + dueMl
  return {
    waterMl: evaporatedMl,
    bleedMl: Math.min(volumeMl, Math.max(0, ends - nominalMl)),
    replenisherMl: dueMl,
    topUpMl: Math.max(0, nominalMl - ends),
  }
}
