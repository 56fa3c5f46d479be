import { requirePositive } from '../error'
import type { CoatAct } from './acts'
import type { CoatedBody } from './sheet'
import { coatedSteps } from './steps'

/** g of silver nitrate in 100 ml of iron–silver sensitizer, the proportions long published for this process */
const silverNitrateGPer100Ml = 3.8
/** molar masses, g/mol */
const [silver, silverNitrate] = [107.868, 169.87]

/**
 * g of silver nitrate, and of silver, in so many ml of iron–silver sensitizer: what goes into the drums with its first washes.
 * @throws DomainError 'out-of-range'
 * @example
 * silverCoated(1.4) // → { silverNitrateG: 0.0532, silverG: 0.033782 }
 */
export function silverCoated(ml: number): { silverNitrateG: number; silverG: number } {
  requirePositive({ 'The sensitizer': ml })
  const silverNitrateG = (ml * silverNitrateGPer100Ml) / 100
  return { silverNitrateG, silverG: (silverNitrateG * silver) / silverNitrate }
}

/**
 * The metal that a step of a print gives off, and how much silver it is (g): the first water of iron–silver, the first clearing bath of platinum and palladium, of which the
 * dearer counts; null for every other step. `coated` is the act it was coated by.
 * @example
 * metalGiven(cyanotypeSheet, null, 2) // → null
 */
export function metalGiven(body: CoatedBody, coated: CoatAct | null, step: number): { metal: string; silverG: number } | null {
  if (body.process === 'cyanotype') return null
  const isSilver = body.process === 'iron-silver'
  if (step !== coatedSteps(body.process).findIndex((one) => one.kind === (isSilver ? 'wash' : 'clear'))) return null
  if (!isSilver) return { metal: body.platinumDrops > 0 ? 'platinum' : body.process, silverG: 0 }
  const drops = coated?.kind === 'coat' ? coated.poured.reduce((sum, one) => sum + one.drops, 0) : 0
  return { metal: 'silver', silverG: drops > 0 ? silverCoated(drops * body.dropMl).silverG : 0 }
}
