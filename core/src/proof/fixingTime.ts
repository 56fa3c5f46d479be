import { requirePositive, requireTemperatures } from '../error'
import type { ClearingRead } from './proof'
import { clearingAt, slowFilmFactor } from './clearing'

/** Fix so many times the clearing time: tabular grain, or film rich in iodide, gives up its salts more slowly. */
export const fixTimes = (slow: boolean): number => (slow ? 3 : 2)

/** s below which no fixing goes, whatever a test says. Rounded practice. */
const leastS: Record<FixerSalt, number> = { ammonium: 60, plain: 180 }
export const fixerSalts = ['ammonium', 'plain'] as const
export type FixerSalt = (typeof fixerSalts)[number]

/**
 * s to fix a load at `runC` °C whose slowest film is slow or not: twice the clearing time, three times for slow film, moved by 5 % per °C from where it was
 * read, times 1.6 for the other kind of film unless that was read too. Never under 60 s in ammonium thiosulfate, 180 s in plain. The newest of each
 * kind counts; null without a reading. Example: 30 s at 24 °C, ordinary film at 18 °C: 2·30·1.05⁶ = 80 s.
 * @example
 * fixingTime([{ seconds: 40, celsius: 20, slow: false }], { runC: 20, slow: true, salt: 'ammonium' }) // → 192
 */
export function fixingTime(readings: ClearingRead[], run: { runC: number; slow: boolean; salt: FixerSalt }): number | null {
  requireTemperatures({ 'The temperature of the run': run.runC })
  const read = readings.findLast((one) => one.slow === run.slow) ?? readings.at(-1)
  if (!read) return null
  requirePositive({ 'The clearing time': read.seconds })
  const there = clearingAt(read.seconds, read.celsius ?? run.runC, run.runC)
  const ofFilm = read.slow === run.slow ? there : run.slow ? there * slowFilmFactor : there / slowFilmFactor
  return Math.max(leastS[run.salt], fixTimes(run.slow) * ofFilm)
}
