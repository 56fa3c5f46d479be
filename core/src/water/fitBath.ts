import { requireAmounts, requirePositive, requireTemperatures } from '../error'
import { bathJPerK, usualPowerW, usualUaWPerK } from './waterBath'

/** A line of a bath's log: °C at s, and the share of its heater that was on from then to the next. */
export interface BathReading {
  s: number
  c: number
  on: number
}
export interface FittedBath {
  powerW: number
  uaWPerK: number
  /** spread of what was read around the model, °C; what an unfitted one may be off */
  errorC: number
  /** false: too few readings, and the figures are the usual ones */
  fitted: boolean
}

const leastReadings = 5
/** °C an unfitted bath may be off: more than a colour developer bears. Own default. */
const unfittedC = 0.3
/** a share of the usual figure that a fit may move it by, each way: beyond it the log is of something else */
const widest = 20
const rounds = 40

type Params = [powerW: number, uaWPerK: number, firstC: number]

/** °C at each reading by the model: between two of them the heater stands still, and the course is an exponential. */
function modelled(readings: BathReading[], [powerW, uaWPerK, firstC]: Params, jPerK: number, roomC: number): number[] {
  let c = firstC
  return readings.map((reading, i) => {
    const before = readings[i - 1]
    if (before) {
      const h = reading.s - before.s
      const rate = uaWPerK / jPerK
      // without loss it is a straight line
      const fade = Math.exp(-rate * h)
      const grown = rate < 1e-12 ? (before.on * powerW * h) / jPerK : ((before.on * powerW) / uaWPerK) * (1 - fade)
      c = roomC + (c - roomC) * fade + grown
    }
    return c
  })
}

/** Solves a small symmetric system by elimination; null where it has no one answer. */
function solve(matrix: number[][], right: number[]): number[] | null {
  const rows = matrix.map((row, i) => [...row, right[i] as number])
  for (let i = 0; i < rows.length; i++) {
    const pivot = rows
      .slice(i)
      .reduce((best, row, k) => (Math.abs(row[i] as number) > Math.abs(rows[best]?.[i] as number) ? i + k : best), i)
    ;[rows[i], rows[pivot]] = [rows[pivot] as number[], rows[i] as number[]]
    const top = rows[i] as number[]
    if (Math.abs(top[i] as number) < 1e-18) return null
    for (let k = i + 1; k < rows.length; k++) {
      const row = rows[k] as number[]
      const share = (row[i] as number) / (top[i] as number)
      for (let j = i; j < row.length; j++) row[j] = (row[j] as number) - share * (top[j] as number)
    }
  }
  const answer = new Array<number>(rows.length).fill(0)
  for (let i = rows.length - 1; i >= 0; i--) {
    const row = rows[i] as number[]
    const known = answer.reduce((sum, value, j) => (j > i ? sum + value * (row[j] as number) : sum), 0)
    answer[i] = ((row[rows.length] as number) - known) / (row[i] as number)
  }
  return answer
}

/**
 * A bath's heater and loss from at least five readings, by least squares on the model's own course. What the readings say nothing of (the heater never on, the bath at the
 * room's temperature) keeps the usual figure. Times need not be even; the first temperature is fitted too.
 * @throws DomainError 'out-of-range'
 * @example
 * fitBath({ readings: [], litres: 20, roomC: 20 }) // → { powerW: 1000, uaWPerK: 7, errorC: 0.3, fitted: false }
 */
export function fitBath({ readings, litres, roomC }: { readings: BathReading[]; litres: number; roomC: number }): FittedBath {
  requirePositive({ 'The litres of the bath': litres })
  requireTemperatures({ 'The room': roomC })
  for (const { s, c, on } of readings) {
    requireAmounts({ 'The moment of a reading': s, 'The share of the heater': on })
    requireTemperatures({ 'A reading': c })
  }
  const usual = { powerW: usualPowerW, uaWPerK: usualUaWPerK(litres) }
  const inOrder = [...new Map(readings.map((one) => [one.s, one])).values()].sort((a, b) => a.s - b.s)
  if (inOrder.length < leastReadings) return { ...usual, errorC: unfittedC, fitted: false }

  const jPerK = bathJPerK(litres)
  const start: Params = [usual.powerW, usual.uaWPerK, (inOrder[0] as BathReading).c]
  const scale = [usual.powerW, usual.uaWPerK, 1]
  const within = (p: Params): Params => [
    Math.min(Math.max(p[0], usual.powerW / widest), usual.powerW * widest),
    Math.min(Math.max(p[1], usual.uaWPerK / widest), usual.uaWPerK * widest),
    p[2],
  ]
  const residuals = (p: Params) => modelled(inOrder, p, jPerK, roomC).map((c, i) => c - (inOrder[i] as BathReading).c)
  const squares = (list: number[]) => list.reduce((sum, one) => sum + one * one, 0)

  let params = start
  let off = residuals(params)
  let damping = 1e-3
  for (let round = 0; round < rounds; round++) {
    // what a hundredth of the usual figure changes at each reading
    const slopes = scale.map((unit, k) => {
      const moved = residuals(params.map((one, i) => (i === k ? one + unit * 1e-4 : one)) as Params)
      return moved.map((one, i) => (one - (off[i] as number)) / 1e-4)
    })
    const free = slopes.map((slope) => squares(slope) > 1e-9)
    const normal = slopes.map((a, i) =>
      slopes.map((b, j) =>
        !free[i] || !free[j] ? Number(i === j) : a.reduce((sum, one, n) => sum + one * (b[n] as number), 0) * (i === j ? 1 + damping : 1),
      ),
    )
    const right = slopes.map((slope, i) => (free[i] ? -slope.reduce((sum, one, n) => sum + one * (off[n] as number), 0) : 0))
    const step = solve(normal, right)
    if (!step) break
    const next = within(params.map((one, i) => one + (step[i] as number) * (scale[i] as number)) as Params)
    const nextOff = residuals(next)
    if (squares(nextOff) < squares(off)) {
      const done = squares(off) - squares(nextOff) < 1e-14 * (1 + squares(off))
      ;[params, off, damping] = [next, nextOff, damping / 10]
      if (done) break
    } else damping *= 10
  }
  const [powerW, uaWPerK] = params
  return { powerW, uaWPerK, errorC: Math.sqrt(squares(off) / Math.max(1, inOrder.length - 3)), fitted: true }
}
