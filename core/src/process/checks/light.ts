import { fixes, ofSteps, type Check } from './check'

/** Index of the step at whose end the material bears white light: its first fixing; in a reversal the clearing bath, or the wash after the first developer. */
function bearsFrom(plan: Parameters<Check>[0]): number {
  const fixed = plan.steps.findIndex(fixes)
  const never = plan.steps.length
  if (!plan.steps.some((step) => step.kind === 'second-develop')) return fixed < 0 ? never : fixed
  const cleared = plan.steps.findIndex((step) => step.kind === 'clear')
  const developed = plan.steps.findIndex((step) => step.kind === 'develop')
  const washed = plan.steps.findIndex((step, i) => developed >= 0 && i > developed && step.kind === 'wash')
  const reversal = plan.material === 'bw-slide' ? cleared : washed
  return Math.min(reversal < 0 ? never : reversal, fixed < 0 ? never : fixed)
}

export const lightTooSoon: Check = (plan) => {
  const from = bearsFrom(plan)
  return ofSteps(plan, 'plan-light', (step, i) =>
    step.light === 'white' && i <= from
      ? {
          severity: 'error',
          message: `${step.name} is to be done in white light, which the film does not bear before the end of ${plan.steps[from]?.name ?? 'its fixing'}.`,
        }
      : null,
  )
}
