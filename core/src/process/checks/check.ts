import type { Finding, Severity } from '../../finding'
import type { Plan, PlanStep } from '../load'

/** What is wrong with a plan by one rule, before anyone loads film. */
export type Check = (plan: Plan) => Finding[]

/** A finding for each step that `says` something of. */
export const ofSteps = (
  plan: Plan,
  rule: string,
  says: (step: PlanStep, i: number) => { severity: Severity; message: string } | null,
): Finding[] =>
  plan.steps.flatMap((step, step_i) => {
    const said = says(step, step_i)
    return said ? [{ rule, ...said, step: step_i }] : []
  })

export const isColour = ({ material }: Plan): boolean => material === 'colour-negative' || material === 'slide'
export const isBw = ({ material }: Plan): boolean => material === 'bw-film' || material === 'bw-slide'
export const isDeveloping = ({ kind }: PlanStep): boolean => kind === 'develop' || kind === 'second-develop'
export const fixes = ({ kind }: PlanStep): boolean => kind === 'fix' || kind === 'bleach-fix' || kind === 'monobath'
export const isWatery = ({ kind }: PlanStep): boolean => kind === 'rinse' || kind === 'wash' || kind === 'pre-wet'
