import { requirePositive } from '../error'

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
