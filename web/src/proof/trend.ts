import {
  comparedReading,
  forecastClearing,
  forecastReading,
  isTrend,
  leastSquares,
  limitOf,
  type Forecast,
  type TestKind,
} from '@selvrin/core'
import type { Bottle, Proof, ProofContext } from '@selvrin/core/contract'
import { readingForm } from './readings'

export interface Trend {
  unit: string
  points: [rollsPerL: number, value: number][]
  fit: [rollsPerL: number, value: number][]
  limit: { at: number; name: string } | null
  /** rolls a litre at which the fit meets the limit, with its interval */
  crossing: { at: number; low: number | null; high: number | null } | null
  says: string
}

interface Reading {
  x: number
  y: number
}
const fitSteps = 24

const readingsOf = (proofs: Proof[], kind: TestKind): Reading[] =>
  proofs
    .flatMap((proof) => {
      const y = comparedReading(proof.reading.value, proof.judgement)
      return proof.kind === kind && !proof.takenBack && proof.rollsPerL !== null && y !== null ? [{ x: proof.rollsPerL, y }] : []
    })
    .sort((a, b) => a.x - b.x)

/** A bottle's readings of one kind against its use, the fit through them, and in words how many rolls it leaves. Null without two readings. */
export function trendOf(
  kind: TestKind,
  proofs: Proof[],
  context: Pick<ProofContext, 'references' | 'silverLimitGPerL'>,
  bottle: Pick<Bottle, 'state'>,
): Trend | null {
  const own = readingsOf(proofs, kind)
  // a trend begins with the fresh reading of the batch, wherever that was read
  const fresh = context.references[kind]
  const begins = fresh?.from === 'batch' && !own.some((one) => one.x === 0)
  const readings = begins ? [{ x: 0, y: fresh.value }, ...own] : own
  const [first, last] = [readings[0], readings.at(-1)]
  if (!first || !last || readings.length < 2) return null
  const exponential = kind === 'clearing-time'
  const limit = limitOf(
    kind,
    readings.map((one) => one.y),
    { fresh: context.references[kind]?.value ?? null, silverLimitGPerL: context.silverLimitGPerL },
  )
  const forecast: Forecast | null = exponential
    ? rising(readings)
    : limit &&
      forecastReading(
        readings.map(({ x, y }) => ({ rollsPerLitre: x, value: y })),
        limit.at,
        limit.towards,
      )
  const litres = bottle.state.volumeMl / 1000
  const crossing = forecast && {
    at: last.x + forecast.rollsPerLitreLeft,
    low: forecast.low === null ? null : last.x + forecast.low,
    high: forecast.high === null ? null : last.x + forecast.high,
  }
  const line = fitOf(readings, exponential)
  const until = crossing ? Math.min(crossing.at * 1.05, last.x * 4 + 4) : last.x * 1.2 + 1
  return {
    unit: readingForm(kind)?.unit ?? '',
    points: readings.map(({ x, y }) => [x, y]),
    fit:
      line && crossing
        ? Array.from({ length: fitSteps + 1 }, (_, i) => [(until * i) / fitSteps, line((until * i) / fitSteps)] as [number, number])
        : [],
    limit: limit && { at: limit.at, name: limit.name },
    crossing,
    says: words(forecast, litres),
  }
}

/** A rise within the readings' own scatter leads nowhere. */
function rising(readings: Reading[]): Forecast | null {
  const times = readings.map(({ x, y }) => ({ rollsPerLitre: x, seconds: y }))
  return isTrend(times) ? forecastClearing(times) : null
}

/** The line core's forecast runs along, for drawing it. */
function fitOf(readings: Reading[], exponential: boolean): ((x: number) => number) | null {
  const fit = leastSquares(readings.map(({ x, y }) => ({ x, y: exponential ? Math.log(y) : y })))
  if (!fit) return null
  const line = (x: number) => fit.intercept + fit.slope * x
  return (x) => (exponential ? Math.exp(line(x)) : line(x))
}

function words(forecast: Forecast | null, litres: number): string {
  if (!forecast) return 'No trend yet that leads to its limit: the counted capacity stands.'
  const rolls = (perLitre: number) => Math.floor(perLitre * litres + 1e-9)
  if (forecast.rollsPerLitreLeft === 0) return 'By this trend it is past its limit.'
  const about = `About ${rolls(forecast.rollsPerLitreLeft)} rolls left by this trend`
  if (forecast.low === null) return `${about}; two readings give no interval.`
  return `${about} (${rolls(forecast.low)} to ${forecast.high === null ? 'many' : rolls(forecast.high)}).`
}
