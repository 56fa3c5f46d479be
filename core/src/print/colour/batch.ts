import { z } from 'zod'
import { DomainError, requirePositive } from '../../error'
import { turned } from './casts'
import { usualWeights, type FilterPack, type FilterWeights } from './pack'

const shift = z.number('A filter is a number.').min(-200, 'A label says −200 to +200.').max(200, 'A label says −200 to +200.')
/** What is printed on a box of colour paper of how its batch differs: units of yellow and magenta, and a factor of the exposure. */
export const batchLabel = z.strictObject({
  ...{ y: shift, m: shift },
  factor: z.number('A factor is a number.').min(0.1, 'A factor is 0.1 to 10.').max(10, 'A factor is 0.1 to 10.'),
})
export type BatchLabel = z.output<typeof batchLabel>

/** A label that says nothing. */
export const noLabel: BatchLabel = { y: 0, m: 0, factor: 1 }

/**
 * A pack on another batch of the same paper: less the old label, more the new one; the exposure by both factors and by what the filters cost.
 * @throws DomainError 'out-of-range'
 * @example
 * onBatch({ y: 60, m: 50, c: 0 }, { y: 5, m: -10, factor: 1.1 }, { y: -5, m: 5, factor: 0.95 }) // → { y: 50, m: 65, c: 0, factor: 1.0383 }
 */
export function onBatch(
  pack: FilterPack,
  from: BatchLabel,
  to: BatchLabel,
  weights: FilterWeights = usualWeights,
): FilterPack & { factor: number } {
  requirePositive({ 'The factor of the old label': from.factor, 'The factor of the new label': to.factor })
  if (![from.y, from.m, to.y, to.m].every(Number.isFinite)) throw new DomainError('out-of-range', 'A label names units that are numbers.')
  const next = turned(pack, { y: to.y - from.y, m: to.m - from.m, c: 0 }, weights)
  return { ...next, factor: (next.factor * to.factor) / from.factor }
}
