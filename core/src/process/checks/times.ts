import { showTime } from '../../quantity/format'
import { isLengthened, leastOf } from '../stepFacts'
import { ofSteps, type Check } from './check'

/** Pouring takes too large a share of less. s, rounded literature values. */
const unevenS = 240
const hastyS = 300
export const shortDeveloping: Check = (plan) =>
  ofSteps(plan, 'plan-short', (step) => {
    if (step.kind !== 'develop' || plan.vessel.kind !== 'hand' || (plan.material !== 'bw-film' && plan.material !== 'bw-slide')) return null
    if (step.seconds < unevenS)
      return { severity: 'warning', message: 'Under 4 minutes the film develops unevenly: dilute further or cool the developer.' }
    if (step.seconds < hastyS)
      return { severity: 'advice', message: 'Under 5 minutes pouring in and out takes a large share: pour fast and evenly.' }
    return null
  })

/** Other steps are lengthened where the plan is made; the time of these is what they do. */
export const stepShort: Check = (plan) =>
  ofSteps(plan, 'plan-step-short', ({ kind, name, seconds, volumeMl, drainS }) => {
    const { handsS, leastS } = leastOf(volumeMl, drainS)
    return !isLengthened(kind) && seconds < leastS - 1e-9
      ? {
          severity: 'error',
          message: `${name} takes ${showTime(seconds)}, and pouring and draining ${Math.round(volumeMl)} ml alone ${showTime(handsS)}: use a weaker or cooler bath, or a smaller vessel.`,
        }
      : null
  })
