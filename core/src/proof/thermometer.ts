import { DomainError, requireTemperatures } from '../error'

/** A comparison of one thermometer with the truth: stirred ice water (0 °C) or the reference thermometer. */
export interface ThermometerPoint {
  readC: number
  trueC: number
}

const nearProcessC = 5

/**
 * The temperature behind a reading: the offsets found are joined by a straight line and held constant beyond the outermost points. Without
 * any point the reading is taken as it is. °C.
 * @example
 * correctedTemperature(20.5, [{ readC: 20.5, trueC: 20 }]) // → 20
 */
export function correctedTemperature(readC: number, points: ThermometerPoint[]): number {
  requireTemperatures({ 'The reading': readC })
  const sorted = [...points].sort((a, b) => a.readC - b.readC)
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (!first || !last) return readC
  if (readC <= first.readC) return readC + first.trueC - first.readC
  if (readC >= last.readC) return readC + last.trueC - last.readC
  const i = sorted.findIndex((point) => point.readC > readC)
  const [a, b] = [sorted[i - 1] as ThermometerPoint, sorted[i] as ThermometerPoint]
  return readC + (a.trueC - a.readC) + ((readC - a.readC) / (b.readC - a.readC)) * (b.trueC - b.readC - (a.trueC - a.readC))
}

/**
 * Whether it was compared near enough to 38 °C to vouch for ±0.2 °C there, as colour work wants.
 * @example
 * vouchesFor(20, [{ readC: 20.5, trueC: 20 }]) // → true
 */
export const vouchesFor = (celsius: number, points: ThermometerPoint[]): boolean =>
  points.some((point) => Math.abs(point.trueC - celsius) <= nearProcessC)

/**
 * Throws `implausible` for a point no thermometer of use would give.
 * @example
 * requirePoint({ readC: 30, trueC: 20 }) // throws 'implausible'
 */
export function requirePoint({ readC, trueC }: ThermometerPoint): void {
  requireTemperatures({ 'The reading': readC, 'The true temperature': trueC })
  if (Math.abs(readC - trueC) > 5)
    throw new DomainError(
      'implausible',
      `It reads ${readC} °C at ${trueC} °C: more than 5 °C off. Stir the ice, wait, and read again, or retire the thermometer.`,
    )
}
