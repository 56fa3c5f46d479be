import type { BottleFacts, Keeping } from './bottle'

export const dayMs = 86_400_000

/** From this fill up a bottle counts as full: the little air in it does no more. */
const fullShare = 0.85

/** Days a solution keeps in this bottle at this fill; null where the formula does not say. */
export function keepingDays(keeping: Keeping, bottle: Pick<BottleFacts, 'sizeMl' | 'parts'>, volumeMl: number): number | null {
  if (bottle.parts !== null) return keeping.workingDays
  return volumeMl >= fullShare * bottle.sizeMl ? keeping.fullDays : (keeping.halfDays ?? keeping.fullDays)
}

/**
 * Share of its keeping life a bottle has lived through: the days in each state over the life in that state, added up (linear damage
 * rule), at room temperature. `volumes` are the fills in ml from each time (ms) on, in order. 0 where the formula gives no life.
 */
export function agedShare(keeping: Keeping, bottle: BottleFacts, volumes: { at: number; ml: number }[], at: number): number {
  return volumes.reduce((share, { at: from, ml }, i) => {
    const until = Math.min(volumes[i + 1]?.at ?? at, at)
    const life = keepingDays(keeping, bottle, ml)
    return life === null || until <= from ? share : share + (until - from) / dayMs / life
  }, 0)
}
