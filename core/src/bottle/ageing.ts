import { dayMs } from '../calendar/span'
import type { Keeping } from '../formula/use'
import type { BottleFacts, Container } from './bottle'

/** From this fill up a bottle counts as full: the little air in it does no more. */
export const fullShare = 0.85
/**
 * So full that the air over it does no more. ml
 * @example
 * standsFull(850, 1000) // → true
 */
export const standsFull = (volumeMl: number, sizeMl: number): boolean => volumeMl >= fullShare * sizeMl
/** What a shelf counts with while nobody measured how warm it is there. °C, default */
export const assumedShelfC = 20
/** Above this keeping lives halve for every 10 °C. Rounded literature value. */
const warmC = 25
const halvesPerC = 10

export interface Standing {
  volumeMl: number
  container: Container
  celsius: number
}

/**
 * Days a solution keeps in this bottle as it stands; null where the formula does not say.
 * @example
 * keepingDays(fixer.use.keeping, bottle, { volumeMl: 950, container: 'bottle', celsius: 20 }) // → 180
 * keepingDays(fixer.use.keeping, bottle, { volumeMl: 500, container: 'bottle', celsius: 35 }) // → 45
 */
export function keepingDays(keeping: Keeping, bottle: Pick<BottleFacts, 'sizeMl' | 'parts'>, standing: Standing): number | null {
  const days = roomDays(keeping, bottle, standing)
  return days === null ? null : days * 2 ** (-Math.max(0, standing.celsius - warmC) / halvesPerC)
}

function roomDays(keeping: Keeping, bottle: Pick<BottleFacts, 'sizeMl' | 'parts'>, { volumeMl, container }: Standing): number | null {
  if (container === 'tray') return keeping.trayDays ?? keeping.workingDays
  if (bottle.parts !== null) return keeping.workingDays
  const full = container === 'airless' || standsFull(volumeMl, bottle.sizeMl)
  return full ? keeping.fullDays : (keeping.halfDays ?? keeping.fullDays)
}

/** Share of its keeping life a bottle lives through in a span of ms, standing like that (linear damage rule). 0 where the formula gives no life. */
export function agedIn(keeping: Keeping, bottle: Pick<BottleFacts, 'sizeMl' | 'parts'>, standing: Standing, ms: number): number {
  const life = keepingDays(keeping, bottle, standing)
  return life === null || ms <= 0 ? 0 : ms / dayMs / life
}
