import { isSaved, savedFrom } from '../stepFacts'
import { fixes, isWatery, ofSteps, type Check } from './check'

/* What has to come, what must not, and in which order. */

const complete = (plan: Parameters<Check>[0]) => plan.steps.some((step) => step.kind === 'second-develop')
const reverses = ({ kind, reverses: by }: Parameters<Check>[0]['steps'][number]) =>
  kind === 're-expose' || kind === 'reversal-bath' || by === true

export const noFix: Check = (plan) => {
  if (plan.steps.some(fixes)) return []
  return complete(plan) && plan.steps.some(reverses)
    ? [
        {
          rule: 'plan-no-fix',
          severity: 'advice',
          message: 'Nothing fixes the film: after a complete second development there is nothing left to fix. A fixing bath makes sure.',
        },
      ]
    : [{ rule: 'plan-no-fix', severity: 'error', message: 'Nothing fixes the film: it goes dark in the light. Add a fixing step.' }]
}

export const rinseAfterLast: Check = (plan) =>
  ofSteps(plan, 'plan-rinse-after-last', (step, i) =>
    isWatery(step) && plan.steps.slice(0, i).some(({ kind }) => kind === 'stabilise' || kind === 'wetting-agent')
      ? { severity: 'error', message: `${step.name} comes after the last bath and rinses it off again: leave it out.` }
      : null,
  )

/** What is developed a second time was re-exposed, by light, by a bath, or by an agent in the second developer. */
export const noReexposure: Check = (plan) =>
  ofSteps(plan, 'plan-no-reexposure', (step, i) =>
    step.kind === 'second-develop' && !plan.steps.slice(0, i + 1).some(reverses)
      ? {
          severity: 'error',
          message: `Nothing re-exposes the film before ${step.name}: it stays blank. Re-expose it, or take a bath that reverses.`,
        }
      : null,
  )

/** A liquid that an earlier step was to save, or has poured away since. */
export const bathGone: Check = (plan) =>
  ofSteps(plan, 'plan-bath-gone', (step, i) => {
    const key = savedFrom(step)
    if (key === null) return null
    const earlier = plan.steps.slice(0, i)
    const from = earlier.find((one) => one.key === key)
    const taken = earlier.some((one) => savedFrom(one) === key && one.fate !== 'back')
    return from && isSaved(from) && !taken
      ? null
      : {
          severity: 'error',
          message: `What ${step.name} takes is no longer there: an earlier step has to save it, and nothing may pour it away before.`,
        }
  })

const neverBetween = [
  ['reversal-bath', 'second-develop'],
  ['second-develop', 'conditioner'],
  ['conditioner', 'bleach'],
] as const
/** Slides in six baths: what the reversal and the conditioner leave in the film belongs into the next bath. */
export const washBetween: Check = (plan) =>
  neverBetween.flatMap(([first, then]) => {
    const from = plan.steps.findIndex((step) => step.kind === first)
    const to = plan.steps.findIndex((step, i) => i > from && step.kind === then)
    if (from < 0 || to < 0 || !plan.steps.some((step) => step.kind === 'reversal-bath')) return []
    return plan.steps.slice(from + 1, to).flatMap((step, i) =>
      isWatery(step)
        ? [
            {
              rule: 'plan-wash-between',
              severity: 'error' as const,
              step: from + 1 + i,
              message: `${step.name} stands between ${plan.steps[from]?.name ?? ''} and ${plan.steps[to]?.name ?? ''}: it takes out what the next bath needs. Leave it out.`,
            },
          ]
        : [],
    )
  })
