import { DomainError, requirePositive } from '../error'
import type { Finding } from '../finding'

/** How a test strip steps: by equal stops, or by equal seconds. */
export type StripSteps = { by: 'stops'; firstS: number; stepStops: number } | { by: 'seconds'; firstS: number }
/** How its bands come by their exposures: covered one by one, bared one by one, or each on its own under a mask. */
export type StripWay = 'cover' | 'uncover' | 'mask'

const mostBands = 30

/**
 * s that each band of a strip has in all, the lightest first: T_i = t0·2^(i·step), or t0·(i + 1).
 * @throws DomainError 'out-of-range'
 * @example
 * stripTotals({ by: 'stops', firstS: 8, stepStops: 0.5 }, 5) // → [8, 11.314, 16, 22.627, 32]
 */
export function stripTotals(steps: StripSteps, bands: number): number[] {
  requirePositive({
    'The first band': steps.firstS,
    'The number of bands': bands,
    ...(steps.by === 'stops' ? { 'A step': steps.stepStops } : {}),
  })
  if (!Number.isInteger(bands) || bands > mostBands)
    throw new DomainError('out-of-range', `A strip has a whole number of bands, ${mostBands} at most, not ${bands}.`)
  return Array.from({ length: bands }, (_, i) =>
    steps.by === 'stops' ? steps.firstS * 2 ** (i * steps.stepStops) : steps.firstS * (i + 1),
  )
}

/**
 * s to expose one after another in equal stops while a band more is covered each time: t0, then Δ_i = T_(i−1)·(2^step − 1). The band that is covered first has t0.
 * @throws DomainError 'out-of-range'
 * @example
 * stripIncrements({ firstS: 8, stepStops: 0.5, bands: 5 }) // → [8, 3.3137, 4.6863, 6.6274, 9.3726]
 */
export const stripIncrements = ({ firstS, stepStops, bands }: { firstS: number; stepStops: number; bands: number }): number[] =>
  exposuresOf({ by: 'stops', firstS, stepStops }, bands, 'cover')

/**
 * s to expose one after another, whichever way the bands come by them: differences of the totals as bands are covered, the same backwards as they are bared, whole totals under
 * a mask.
 * @throws DomainError 'out-of-range'
 * @example
 * exposuresOf({ by: 'seconds', firstS: 4 }, 3, 'uncover') // → [4, 4, 4]
 */
export function exposuresOf(steps: StripSteps, bands: number, way: StripWay): number[] {
  const totals = stripTotals(steps, bands)
  if (way === 'mask') return totals
  const increments = totals.map((total, i) => total - (totals[i - 1] ?? 0))
  return way === 'cover' ? increments : increments.reverse()
}

/**
 * s that a band of a strip says, counted from 0 with the lightest; between two the geometric mean of equal stops, the arithmetic of equal seconds.
 * @throws DomainError 'no-band' where the strip has no such band, or two that do not touch
 * @example
 * stripReading({ by: 'stops', firstS: 8, stepStops: 0.5 }, 5, [2, 3]) // → 19.027
 */
export function stripReading(steps: StripSteps, bands: number, chosen: [number] | [number, number]): number {
  const totals = stripTotals(steps, bands)
  const [one, other] = [totals[chosen[0]], totals[chosen[1] ?? chosen[0]]]
  if (one === undefined || other === undefined || Math.abs((chosen[1] ?? chosen[0]) - chosen[0]) > 1)
    throw new DomainError('no-band', `Choose one of the ${bands} bands, or two that touch.`)
  return steps.by === 'stops' ? Math.sqrt(one * other) : (one + other) / 2
}

/** s under which the lamp's lag makes what is given unsure. House default. */
const leastS = 2

/**
 * s of a lamp's lag, by which each switching on gives less: 10 s in one go matched ten times 1 + x s, and L = 10x/9.
 * @throws DomainError 'out-of-range'
 * @example
 * lampLag(0.09) // → 0.1
 */
export function lampLag(x: number): number {
  if (!Number.isFinite(x) || x < 0 || x > 1) throw new DomainError('out-of-range', `What each second had more is 0 to 1 s, not ${x}.`)
  return (10 * x) / 9
}

/**
 * s to have the lamp on for, so that what reaches the paper is what was meant; what is too short for that lamp is said.
 * @throws DomainError 'out-of-range'
 * @example
 * lampTimes([8, 1.5], 0.1).onS // → [8.1, 1.6]
 */
export function lampTimes(exposures: number[], lagS: number): { onS: number[]; findings: Finding[] } {
  for (const seconds of exposures) requirePositive({ 'An exposure': seconds })
  if (!Number.isFinite(lagS) || lagS < 0) throw new DomainError('out-of-range', `A lamp’s lag is a number of at least 0, not ${lagS}.`)
  const short = exposures.filter((seconds) => seconds < leastS).length
  return {
    onS: exposures.map((seconds) => seconds + lagS),
    findings:
      short === 0
        ? []
        : [
            {
              ...{ rule: 'print-lag', severity: 'warning' },
              message: `${short === 1 ? 'One exposure is' : `${short} exposures are`} under ${leastS} s, where the lamp’s lag is unsure: begin the strip with more, or stop the lens down.`,
            },
          ],
  }
}
