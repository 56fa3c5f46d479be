import { timeAtAny } from '../development/chartTime'
import type { Plan } from '../process/load'
import { developedTo, type FilmDensities } from './calibration'
import type { CameOut } from './cameOut'

/** Fewer films say nothing of a pair. */
const leastFilms = 3
/** How far a charted time is trusted before any film came out by it, and how far apart two looks at one film lie; standard deviations of ln t. Our own defaults. */
const chartSpread = 0.1
const eyeSpread = 0.12
/** Development, real ÷ right, in the middle of what is called too little, right and too much: rounded literature values. */
const progressOf = { under: 0.8, right: 1, over: 1.2 }
/** A change smaller than that is not worth a new row. */
const worth = 0.03

/** A film that came out: its development against what the chart of today asks for, 1 where it had exactly that. */
export interface OutcomeOfTime extends Pick<CameOut, 'result' | 'contrast' | 'faults'> {
  share: number
  densities?: FilmDensities | null
}

export interface TimeProposal {
  /** films that say something of the time */
  films: number
  /** what the charted time is to be multiplied by, and where it lies with 95 % */
  factor: number
  lowest: number
  highest: number
  /** far enough from 1 to be worth a change, and on one side of it */
  offered: boolean
}

/**
 * What the films of a pair say of its charted time. Each film says what would have been right for it; their mean is drawn towards the charted time as far
 * as they are few or differ (normal prior and likelihood in ln t). null below three films.
 * @example
 * proposeTime([1, 1, 1, 1].map((share) => ({ share, result: 'dense', contrast: 'hard', faults: [] })))?.factor // → 0.87454
 */
export function proposeTime(outcomes: OutcomeOfTime[]): TimeProposal | null {
  const logs = outcomes.flatMap((one) => {
    const to = developedTo(one)
    return to === null || !(one.share > 0) ? [] : [Math.log(one.share / progressOf[to])]
  })
  if (logs.length < leastFilms) return null
  const mean = logs.reduce((sum, one) => sum + one, 0) / logs.length
  const seen = Math.sqrt(logs.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (logs.length - 1))
  const spread = Math.max(eyeSpread, seen)
  const [prior, said] = [1 / chartSpread ** 2, logs.length / spread ** 2]
  const centre = (said * mean) / (prior + said)
  const half = 1.96 / Math.sqrt(prior + said)
  const [lowest, highest] = [Math.exp(centre - half), Math.exp(centre + half)]
  const factor = Math.exp(centre)
  return { films: logs.length, factor, lowest, highest, offered: Math.abs(factor - 1) >= worth && (lowest > 1 || highest < 1) }
}

/**
 * How far a film was developed by the chart of today: its time over what that asks for at the temperature it really had, with the factors its plan had
 * (push, use, rotation). null where its plan had no charted time, or nothing was measured.
 * @param chart times of today for its pair; empty takes those of its plan
 * @example
 * shareOfTime(run, { developedS: 660, temperatureC: 20 }, [{ temperatureC: 20, seconds: 600 }]) // → 1.1
 */
export function shareOfTime(
  { developing, drift }: Pick<Plan, 'developing' | 'drift'>,
  film: { developedS: number | null; temperatureC: number | null },
  chart: { temperatureC: number; seconds: number }[],
): number | null {
  if (!developing || !drift || film.developedS === null || film.temperatureC === null) return null
  const factors = developing.steps.slice(1).reduce((product, one) => product * one.factor, 1)
  return film.developedS / (timeAtAny(chart.length > 0 ? chart : drift.chart, drift.k)(film.temperatureC) * factors)
}
