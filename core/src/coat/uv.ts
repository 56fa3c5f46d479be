import { DomainError, requireAmounts, requirePositive } from '../error'

/** Output a lamp loses in 1,000 h; a UV meter replaces it. Rounded literature values. */
export const uvAgeing = { tubes: 0.2, leds: 0.03 } as const

/**
 * Share of its first output a lamp still gives: 1 − a·h/1000.
 * @throws DomainError 'out-of-range', 'worn-out'
 * @example
 * lampOutput({ hours: 500, ageing: 0.2 }) // → 0.9
 */
export function lampOutput({ hours, ageing }: { hours: number; ageing: number }): number {
  requireAmounts({ 'The hours of a lamp': hours, 'Its ageing': ageing })
  const output = 1 - (ageing * hours) / 1000
  if (output <= 0) throw new DomainError('worn-out', 'By its hours that lamp gives nothing any more: measure it, or change its tubes.')
  return output
}

/**
 * s under other lamps of the same kind at the same distance: the time goes by the power (W), powers of several add; worn lamps take longer.
 * @throws DomainError 'out-of-range', 'worn-out'
 * @example
 * uvTime({ seconds: 720, fromW: 300, toW: 750 }) // → 288
 */
export function uvTime({
  seconds,
  fromW,
  toW,
  hours = 0,
  ageing = 0,
}: {
  seconds: number
  fromW: number
  toW: number
  hours?: number
  ageing?: number
}): number {
  requirePositive({ 'The time': seconds, 'The power before': fromW, 'The power now': toW })
  return (seconds * fromW) / (toW * lampOutput({ hours, ageing }))
}

/** A lamp that shines from a point, or a bank of tubes whose width is in cm. */
export type UvShape = { point: true } | { bankCm: number }

/**
 * s at another distance (cm): by its square for a point, no change while tubes are nearer than their bank is wide.
 * @throws DomainError 'out-of-range', 'too-far' for tubes farther away than their bank is wide
 * @example
 * uvAtDistance({ seconds: 720, fromCm: 40, toCm: 60, lamp: { point: true } }) // → 1620
 */
export function uvAtDistance({ seconds, fromCm, toCm, lamp }: { seconds: number; fromCm: number; toCm: number; lamp: UvShape }): number {
  requirePositive({ 'The time': seconds, 'The distance before': fromCm, 'The distance now': toCm })
  if ('point' in lamp) return seconds * (toCm / fromCm) ** 2
  requirePositive({ 'The width of the bank': lamp.bankCm })
  if (Math.max(fromCm, toCm) > lamp.bankCm)
    throw new DomainError('too-far', 'Farther away than its bank is wide a lamp of tubes is neither bank nor point: expose a strip.')
  return seconds
}

/**
 * s through a negative with so much base and fog (UV density) more than the one before: ×10^b.
 * @throws DomainError 'out-of-range'
 * @example
 * throughFog(120, 0.3) // → 239.43
 */
export function throughFog(seconds: number, moreDensity: number): number {
  requirePositive({ 'The time': seconds })
  if (!Number.isFinite(moreDensity)) throw new DomainError('out-of-range', 'A density is a number.')
  return seconds * 10 ** moreDensity
}
