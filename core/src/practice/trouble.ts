import { seeded } from '../chance/seeded'
import type { Plan, PlanStep } from '../process/load'
import { developsFirst } from '../process/stepFacts'
import { timeAtOf } from '../run/stepTime'
import { troubleKinds, type TroubleKind } from './practised'

/** A trouble of one practice: at which step of the plan it comes, and how long after that was poured. */
export interface Trouble {
  kind: TroubleKind
  step: number
  atS: number
  /** °C by which a bath drifts within a minute */
  byC?: number
}

/** What can be answered to a trouble; the first is the right one. */
export const troubleAnswers = {
  doorbell: [
    { key: 'let', says: 'Let it ring' },
    { key: 'open', says: 'Go and open' },
  ],
  'fixer-failed': [
    { key: 'other', says: 'Take the fresh one' },
    { key: 'longer', says: 'Fix twice as long' },
    { key: 'pour', says: 'Pour it as planned' },
  ],
  light: [
    { key: 'closed', says: 'The lid stays on' },
    { key: 'look', says: 'Open the tank and look' },
  ],
} as const
/**
 * Whether a trouble waits for an answer.
 * @example
 * asksFor('drift') // → false
 */
export const asksFor = (kind: TroubleKind): kind is keyof typeof troubleAnswers => Object.hasOwn(troubleAnswers, kind)

/** s somebody who opens the door is away, and by how much longer a film clears in a fixer that failed its test */
export const awayS = 45
export const slowerBy = 2

const isPoured = ({ liquid }: PlanStep): boolean => liquid !== 'air' && liquid !== 'light' && liquid !== 'water'
const fixes = ({ kind }: PlanStep): boolean => kind === 'fix' || kind === 'bleach-fix'

/**
 * What goes wrong in a practice of a plan, of the kinds that were asked for; the same seed has the same troubles. A kind the plan has no place for does not come.
 * @example
 * troublesOf({ ...run, steps: [] }, { seed: 1, kinds: ['drift'] }) // → []
 */
export function troublesOf(
  plan: Pick<Plan, 'steps' | 'drift' | 'developing'>,
  { seed, kinds }: { seed: number; kinds: TroubleKind[] },
): Trouble[] {
  const random = seeded(seed)
  const between = (least: number, most: number) => least + (most - least) * random()
  const { steps } = plan
  const developer = steps.findIndex(developsFirst)
  // where nothing says what another temperature would take, nobody can put it right
  const followed = steps.findIndex((step) => developsFirst(step) && timeAtOf(plan, step) !== null)
  const find = (is: (step: PlanStep, i: number) => boolean) => steps.findIndex(is)
  return troubleKinds.flatMap((kind): Trouble[] => {
    // each takes its share of chance, whether it is wanted or not, so that a kind more does not change the others
    const [share, side, byC] = [between(0.2, 0.6), random() < 0.5 ? -1 : 1, Math.round(between(1.2, 2.2) * 10) / 10]
    const at = (step: number): Trouble[] => {
      const seconds = steps[step]?.seconds
      return seconds === undefined ? [] : [{ kind, step, atS: Math.round(seconds * share) }]
    }
    if (!kinds.includes(kind)) return []
    if (kind === 'drift') return at(followed).map((one) => ({ ...one, byC: side * byC }))
    if (kind === 'doorbell')
      return at(developer).map((one) => ({ ...one, atS: Math.max(5, Math.round((steps[developer]?.seconds ?? 0) - 40 - 20 * share)) }))
    if (kind === 'light') return at(find((step) => step.light === 'tank' && isPoured(step)))
    if (kind === 'fixer-failed') return at(find(fixes)).map((one) => ({ ...one, atS: 0 }))
    // two beakers that are poured one after the other stand the other way round
    const first = find((step, i) => isPoured(step) && steps[i + 1] !== undefined && isPoured(steps[i + 1] as PlanStep))
    return at(first).map((one) => ({ ...one, atS: 0 }))
  })
}

/**
 * The order in which the beakers stand: as they are poured, unless two of them were put the other way round.
 * @example
 * standingOrder(3, []) // → [0, 1, 2]
 */
export function standingOrder(count: number, troubles: Trouble[]): number[] {
  const order = Array.from({ length: count }, (_, i) => i)
  const swapped = troubles.find((one) => one.kind === 'wrong-beaker')?.step
  if (swapped !== undefined && swapped + 1 < count) [order[swapped], order[swapped + 1]] = [swapped + 1, swapped]
  return order
}
