import { isInspected, showTime, type PlanStep, type RunClock } from '@selvrin/core'

/** What a step is poured from, in a few words; what an earlier step saved comes back. */
export const describedStep = (step: PlanStep | undefined): string =>
  step?.bottle
    ? `${typeof step.liquid === 'object' && 'savedFrom' in step.liquid ? 'the saved ' : ''}${step.bottle.label}${step.bottle.parts.length > 1 ? `, ${step.bottle.parts.join('+')}` : ''}`
    : typeof step?.liquid === 'string'
      ? step.liquid
      : ''

/** Where what is poured out goes. */
function whereItGoes(step: PlanStep | undefined): string {
  if (!step || step.liquid === 'air' || step.liquid === 'light') return ''
  const { fate, bottle } = step
  if (typeof fate === 'object') return 'saveAs' in fate ? 'save it: it comes back as the second developer' : 'into its drum'
  if (fate === 'back' && bottle) return `back into ${bottle.label}`
  return fate === 'drain' ? 'into the sink' : 'away, not back'
}

/** The side under the lamp has a time of its own. */
const sideLeftS = (clock: RunClock): number => (clock.cue ? clock.cue.untilS - clock.elapsedS : clock.remainingS)

/** The time that stands largest: what is left of the step, how far it is over, or how long it is looked at already. */
export function bigTime(clock: RunClock, step: PlanStep | undefined): string {
  if (clock.phase === 'before') return showTime(step?.seconds ?? 0)
  if (step && isInspected(step)) return showTime(clock.elapsedS)
  if (step?.liquid === 'light' && clock.remainingS > 0) return showTime(Math.ceil(sideLeftS(clock)))
  return clock.remainingS > 0 ? showTime(Math.ceil(clock.remainingS)) : `+${showTime(-clock.remainingS)}`
}

/** What the hands do now. */
export function cueWords(clock: RunClock, step: PlanStep | undefined): string {
  if (clock.phase === 'before') return step?.liquid === 'air' ? `Begin: ${step.name}` : `Pour in: ${step?.name ?? ''}`
  if (clock.phase === 'over') return clock.holding ? 'Held' : 'Time is up'
  if (step && isInspected(step) && clock.cue?.kind !== 'pour-in') return 'Look at it'
  return clock.cue?.word ?? ''
}

/** What comes after it. */
export function afterWords(clock: RunClock, step: PlanStep | undefined, next: PlanStep | undefined): string {
  if (clock.phase === 'before') return 'Press Space as the pour begins; the clock runs from there.'
  if (clock.phase === 'over') return next ? `${readyFor(next)} when you are ready, and press Space.` : 'Press Space when it is out.'
  if (step && isInspected(step)) return `Space when it is done${next ? `, then ${next.name}` : ''}.`
  if (clock.cue?.kind === 'pour-out') return [whereItGoes(step), next ? `then ${next.name}` : ''].filter(Boolean).join(', ')
  if (clock.next) {
    const wholeS = clock.times.at(-1)?.plannedS ?? step?.seconds ?? 0
    const until = clock.cue ? showTime(Math.max(0, Math.ceil(wholeS - clock.cue.untilS))) : ''
    return `until ${until}, then ${clock.next.word.toLowerCase()}`
  }
  if (!next) return 'then out'
  return step?.waits ? `then ${next.name} is ready` : `then ${next.name} goes in at once`
}
const readyFor = (next: PlanStep): string =>
  next.liquid === 'light' ? `Open the tank, ${next.name}` : next.liquid === 'air' ? `${next.name}` : `Pour ${next.name}`
