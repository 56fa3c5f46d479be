import { requirePositive } from '../error'

/** ml of the two stocks together, a litre of indirect toner takes; rounded literature value */
const usualMlPerLitre = 120
/** g of thiourea and of sodium hydroxide in a litre of their stocks */
const stockGPerL = 100

/** What a thiourea toner is mixed from: ml of the thiourea stock, of the hydroxide stock, of water, and the g that are in it. */
export interface TonerMix {
  thioureaMl: number
  hydroxideMl: number
  waterMl: number
  thioureaG: number
  hydroxideG: number
}

/**
 * A volume of indirect toner by the ratio of its stocks, thiourea : hydroxide (both 100 g/L).
 * @throws DomainError 'out-of-range'
 * @example
 * tonerMix({ ml: 500, thiourea: 2, hydroxide: 1 }) // → { thioureaMl: 40, hydroxideMl: 20, waterMl: 440, thioureaG: 4, hydroxideG: 2 }
 */
export function tonerMix({
  ml,
  thiourea,
  hydroxide,
  mlPerLitre = usualMlPerLitre,
}: {
  ml: number
  thiourea: number
  hydroxide: number
  mlPerLitre?: number
}): TonerMix {
  requirePositive({ 'The volume of toner': ml, 'The part of thiourea': thiourea, 'The part of hydroxide': hydroxide })
  requirePositive({ 'The stocks in a litre': mlPerLitre, 'What is left for water': 1000 - mlPerLitre })
  const stocks = (ml * mlPerLitre) / 1000
  const thioureaMl = (stocks * thiourea) / (thiourea + hydroxide)
  const hydroxideMl = stocks - thioureaMl
  return {
    ...{ thioureaMl, hydroxideMl, waterMl: ml - stocks },
    ...{ thioureaG: (thioureaMl * stockGPerL) / 1000, hydroxideG: (hydroxideMl * stockGPerL) / 1000 },
  }
}

/** What a ratio tones to: the share of hydroxide in the stocks, as colours are known by it. Rounded literature values. */
export const tonerColours = [
  { thiourea: 100, hydroxide: 20, name: 'yellow tan' },
  { thiourea: 80, hydroxide: 40, name: 'light sepia' },
  { thiourea: 60, hydroxide: 60, name: 'sepia' },
  { thiourea: 40, hydroxide: 80, name: 'brown' },
  { thiourea: 20, hydroxide: 100, name: 'cold dark brown' },
] as const

/**
 * Where a ratio stands on the way from yellow tan (0) to cold dark brown (1): by its share of hydroxide, at most what the table knows.
 * @throws DomainError 'out-of-range'
 * @example
 * toneOf({ thiourea: 1, hydroxide: 1 }) // → 0.5
 */
export function toneOf({ thiourea, hydroxide }: { thiourea: number; hydroxide: number }): number {
  requirePositive({ 'The part of thiourea': thiourea, 'The part of hydroxide': hydroxide })
  const share = hydroxide / (thiourea + hydroxide)
  const [warm, cold] = [20 / 120, 100 / 120]
  return Math.min(1, Math.max(0, (share - warm) / (cold - warm)))
}

/**
 * The ratio at a place of the dial, 0 yellow tan to 1 cold dark brown, as parts of 120.
 * @throws DomainError 'out-of-range'
 * @example
 * ratioAt(0.25) // → { thiourea: 80, hydroxide: 40 }
 */
export function ratioAt(tone: number): { thiourea: number; hydroxide: number } {
  requirePositive({ 'A place of the dial': tone + 1, 'The rest of the dial': 2 - tone })
  const hydroxide = 20 + 80 * Math.min(1, Math.max(0, tone))
  return { thiourea: 120 - hydroxide, hydroxide }
}

/**
 * The name of the colour nearest to a ratio.
 * @throws DomainError 'out-of-range'
 * @example
 * toneName({ thiourea: 2, hydroxide: 1 }) // → 'light sepia'
 */
export function toneName(ratio: { thiourea: number; hydroxide: number }): string {
  const at = toneOf(ratio)
  return tonerColours.reduce((best, one) => (Math.abs(toneOf(one) - at) < Math.abs(toneOf(best) - at) ? one : best)).name
}
