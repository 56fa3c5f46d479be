import { requireTemperatures } from '../error'

/** s between two readings that are kept at the most, and at the least where the bath drifts; °C that count as a drift */
const steadyS = 30
const quickS = 10
const driftC = 0.1
/** °C from the plan beyond which a probe does not stand in this bath */
const elsewhereC = 4

/** A reading as it was kept, ms and °C. */
export interface KeptReading {
  at: number
  c: number
}

/**
 * What becomes of a reading that comes by itself in the middle of a step: kept every half minute, sooner where it drifts; one far from the plan is no reading of this bath and
 * is not taken.
 * @throws DomainError 'out-of-range'
 * @example
 * readingOfProbe({ at: 40_000, c: 20.3 }, { last: { at: 20_000, c: 20.1 }, plannedC: 20 }) // → 'keep'
 */
export function readingOfProbe(
  read: KeptReading,
  { last, plannedC }: { last: KeptReading | null; plannedC: number },
): 'keep' | 'wait' | 'elsewhere' {
  requireTemperatures({ 'A reading': read.c, 'The temperature planned': plannedC })
  if (Math.abs(read.c - plannedC) > elsewhereC) return 'elsewhere'
  if (!last) return 'keep'
  const sinceS = (read.at - last.at) / 1000
  return sinceS >= steadyS || (sinceS >= quickS && Math.abs(read.c - last.c) >= driftC - 1e-9) ? 'keep' : 'wait'
}
