import type { FormulaUse } from '../../formula/use'
import type { Decided } from './act'

/**
 * What is written when a bottle is used otherwise than its formula says from now on; `use` null goes back to it.
 * @example
 * decideUsingOtherwise('f1', { use: null, reason: 'the test roll was fine' }).lines[0].note // → 'used as its formula says: the test roll was fine'
 */
export function decideUsingOtherwise(
  bottleId: string,
  { use, reason }: { use: Pick<FormulaUse, 'school'> | null; reason: string },
): Decided {
  const note = `${use ? `used as ${use.school.replace('-', ' ')}` : 'used as its formula says'}: ${reason}`
  return { lines: [{ bottleId, kind: 'change', ml: 0, note }] }
}
