import { DomainError } from '../error'
import type { Finding } from '../finding'
import type { PlatinumContrast } from './coating'

/** Processes on paper that is coated by hand, and enlarging paper beside them. */
export const coatedProcesses = ['cyanotype', 'iron-silver', 'platinum', 'palladium'] as const
export type CoatedProcess = (typeof coatedProcesses)[number]

/** Density range (UV, shadow to highlight) of the negative each prints in full. Rounded literature values. */
export const exposureScale: Record<CoatedProcess | 'enlarging', number> = {
  enlarging: 1.05,
  cyanotype: 1.3,
  platinum: 1.5,
  'iron-silver': 1.8,
  palladium: 1.85,
}
/** The same for palladium at each contrast. Rounded literature values. */
export const palladiumScale: Record<PlatinumContrast, number> = { 'very soft': 1.85, soft: 1.7, normal: 1.55, hard: 1.4, hardest: 1.1 }
/** by how much a negative may differ from it */
const allowed = 0.15

/**
 * Whether a negative's density range fits what it is printed with, and what helps where it does not.
 * @throws DomainError 'out-of-range'
 * @example
 * negativeFits(1.2, 1.3) // → []
 * negativeFits(1.1, 1.8).map((one) => one.rule) // → ['coat-negative-soft']
 */
export function negativeFits(range: number, scale: number): Finding[] {
  if (!(range >= 0 && range <= 4)) throw new DomainError('out-of-range', `A density range is 0 to 4, not ${range}.`)
  if (!(scale > 0)) throw new DomainError('out-of-range', 'An exposure scale is above 0.')
  const [has, wants] = [range.toFixed(2), scale.toFixed(2)]
  if (range < scale - allowed - 1e-9)
    return [
      {
        ...{ rule: 'coat-negative-soft', severity: 'warning' },
        message: `The negative has a range of ${has}, this prints ${wants}: the print comes out soft. Develop the negative longer, or raise the contrast.`,
      },
    ]
  if (range > scale + allowed + 1e-9)
    return [
      {
        ...{ rule: 'coat-negative-hard', severity: 'warning' },
        message: `The negative has a range of ${has}, this prints ${wants}: lights or shadows are lost. Develop the negative shorter, or lower the contrast.`,
      },
    ]
  return []
}

/**
 * The contrast of palladium a negative's range wants.
 * @example
 * contrastFor(1.5) // → 'normal'
 */
export function contrastFor(range: number): PlatinumContrast {
  const entries = Object.entries(palladiumScale) as [PlatinumContrast, number][]
  return entries.reduce((best, one) => (Math.abs(one[1] - range) < Math.abs(best[1] - range) ? one : best))[0]
}
