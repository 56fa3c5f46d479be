import { requireAmounts, requirePositive, requireTemperatures } from '../error'

export interface DriftReading {
  /** s from the beginning of the step */
  s: number
  c: number
}
interface Drift {
  readings: DriftReading[]
  /** s the step takes at °C */
  timeAt: (c: number) => number
}

/** s of the pieces an interval is cut into; between two readings the temperature is a straight line */
const pieceS = 2

function sorted({ readings }: Drift): DriftReading[] {
  for (const { s, c } of readings) {
    requireAmounts({ 'The moment of a reading': s })
    requireTemperatures({ 'A reading': c })
  }
  requirePositive({ 'The number of readings': readings.length })
  const inOrder = [...readings].sort((a, b) => a.s - b.s)
  const [first] = inOrder as [DriftReading]
  // the first holds from the beginning
  return first.s > 0 ? [{ s: 0, c: first.c }, ...inOrder] : inOrder
}

/** Share done between two moments along the line of two readings, by Simpson's rule. */
function between(a: DriftReading, b: DriftReading, until: number, timeAt: (c: number) => number): number {
  const length = until - a.s
  if (length <= 0) return 0
  const at = (s: number) => 1 / timeAt(a.c + ((b.c - a.c) * (s - a.s)) / (b.s - a.s))
  const pieces = 2 * Math.ceil(length / pieceS)
  const h = length / pieces
  let sum = at(a.s) + at(until)
  for (let i = 1; i < pieces; i++) sum += (i % 2 === 1 ? 4 : 2) * at(a.s + i * h)
  return (sum * h) / 3
}

/**
 * Share of a step done at the last reading, ∫ dt / t(T(t)): the first temperature holds from 0, between readings it is a straight line. May exceed 1.
 * Example: half the time a bath at 20 °C takes, spent at 20 °C, is 0.5.
 * @example
 * driftProgress({ readings: [{ s: 0, c: 20 }, { s: 300, c: 20 }], timeAt: () => 600 }) // → 0.5
 */
export function driftProgress(drift: Drift): number {
  const readings = sorted(drift)
  return readings.slice(1).reduce((done, b, i) => {
    const a = readings[i] as DriftReading
    return done + between(a, b, b.s, drift.timeAt)
  }, 0)
}

/**
 * s from its beginning at which a step is done if the last temperature holds; a moment already past where it was done before the last reading.
 * @example
 * driftEnd({ readings: [{ s: 0, c: 20 }], timeAt: () => 600 }) // → 600
 */
export function driftEnd(drift: Drift): number {
  const readings = sorted(drift)
  let done = 0
  for (let i = 1; i < readings.length; i++) {
    const [a, b] = [readings[i - 1], readings[i]] as [DriftReading, DriftReading]
    const share = between(a, b, b.s, drift.timeAt)
    if (done + share >= 1) {
      let [low, high] = [a.s, b.s]
      while (high - low > 1e-6) {
        const middle = (low + high) / 2
        if (done + between(a, b, middle, drift.timeAt) < 1) low = middle
        else high = middle
      }
      return high
    }
    done += share
  }
  const last = readings.at(-1) as DriftReading
  return last.s + (1 - done) * drift.timeAt(last.c)
}
