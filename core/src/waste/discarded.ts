import { silverG, takesSilver } from '../bottle/silver'
import type { Plan } from '../process/load'
import { colourRollsOf } from '../process/loaded'
import { isSaved, savedFrom } from '../process/stepFacts'
import { drums, type Drum } from './drumIds'

/** What a run pours away of what it made up from a bottle. */
export interface Discarded {
  /** the step whose line in the ledger took it from its bottle */
  step: number
  bottleId: string
  family: string
  ml: number
  silverG: number
  /** of which step it comes */
  note: string
  /** where the process says so itself */
  drum?: Drum
}

/**
 * What a finished run pours away, step by step: liquid that was made up for it and is neither saved for a later step nor plain water. What goes back to its
 * bottle, and what may go down the drain, is not here.
 * @example
 * discardedOf(run).map((one) => [one.bottleId, one.ml]) // → [['d1', 300]]
 */
export function discardedOf(plan: Plan): Discarded[] {
  const colourRolls = colourRollsOf(plan)
  return plan.steps.flatMap((step, i) => {
    if (!step.bottle?.oneShot || isSaved(step) || step.fate === 'drain') return []
    const from = savedFrom(step)
    const drum =
      typeof step.fate === 'object' && 'drum' in step.fate ? drums.find((one) => one === (step.fate as { drum: string }).drum) : undefined
    return [
      {
        step: from === null ? i : plan.steps.findIndex((one) => one.key === from),
        bottleId: step.bottle.id,
        family: step.bottle.family,
        ml: step.volumeMl,
        silverG: takesSilver(step.bottle.family) ? silverG({ rolls: plan.rolls, colourRolls, paper: 0 }) : 0,
        note: step.name,
        ...(drum ? { drum } : {}),
      },
    ]
  })
}
