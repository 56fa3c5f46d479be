import { requirePositive } from '../error'
import { forecastClearing } from './forecast'
import { studentT80 } from './leastSquares'

/** Bottles whose clearing tests say where they end, before a capacity of one's own is offered. */
export const enoughBottles = 4

export interface CapacityEstimate {
  rollsPerL: number
  low: number
  high: number
  bottles: number
}

/** One bottle's clearing tests over its life; `endedAt` rolls a litre where a test failed, if one did. */
export interface TestedLife {
  clearing: { rollsPerLitre: number; seconds: number }[]
  failedAtRollsPerL: number | null
}

/**
 * A formula's capacity from this darkroom's own record: for each tested bottle the rolls a litre at which a test failed or its clearing time is
 * forecast to double; their mean with the 80 % interval of the mean. Null below `enoughBottles`.
 * @example
 * capacityFromTests([]) // → null
 */
export function capacityFromTests(lives: TestedLife[]): CapacityEstimate | null {
  const ends = lives.flatMap((life) => {
    if (life.failedAtRollsPerL !== null) {
      requirePositive({ 'The rolls a litre at the failure': life.failedAtRollsPerL })
      return [life.failedAtRollsPerL]
    }
    const forecast = forecastClearing(life.clearing)
    if (!forecast) return []
    const last = Math.max(...life.clearing.map((one) => one.rollsPerLitre))
    // a forecast far beyond what was seen says little
    return forecast.rollsPerLitreLeft <= 2 * last ? [last + forecast.rollsPerLitreLeft] : []
  })
  const n = ends.length
  if (n < enoughBottles) return null
  const mean = ends.reduce((sum, end) => sum + end, 0) / n
  const deviation = Math.sqrt(ends.reduce((sum, end) => sum + (end - mean) ** 2, 0) / (n - 1))
  const half = (studentT80(n - 1) * deviation) / Math.sqrt(n)
  return { rollsPerL: mean, low: Math.max(0, mean - half), high: mean + half, bottles: n }
}
