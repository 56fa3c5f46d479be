import { DomainError, impossible, requireTemperatures } from '../error'

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

/** °C two readings of a comparison lie apart at the least. */
const apartC = 0.5

/** What a thermometer really read, before the offsets that are known already: one at the bench gives its readings corrected. °C */
function uncorrected(shownC: number, points: ThermometerPoint[]): number {
  let readC = shownC
  for (let i = 0; i < 8; i++) readC -= correctedTemperature(readC, points) - shownC
  return readC
}

/**
 * What a comparison of a thermometer comes to: its points by temperature, as it really read them, and in words. `corrected`: offsets its readings came with.
 * @throws DomainError 'implausible'; Refused 'same-point'
 * @example
 * decideComparison([{ readC: 38.4, trueC: 38 }, { readC: 0.2, trueC: 0 }], []).reason // → '0.2 °C is 0.0 °C, 38.4 °C is 38.0 °C'
 */
export function decideComparison(read: ThermometerPoint[], corrected: ThermometerPoint[]): { points: ThermometerPoint[]; reason: string } {
  const points = read.map((point) => ({ ...point, readC: uncorrected(point.readC, corrected) })).sort((a, b) => a.readC - b.readC)
  points.forEach(requirePoint)
  if (points.some((point, i) => i > 0 && point.readC - (points[i - 1]?.readC ?? 0) < apartC))
    throw impossible('same-point', 'Two of the readings are the same: compare at temperatures that lie apart.')
  return { points, reason: points.map(({ readC, trueC }) => `${readC.toFixed(1)} °C is ${trueC.toFixed(1)} °C`).join(', ') }
}
