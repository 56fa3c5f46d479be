import { showTime, type PlanStep, type RunClock } from '@selvrin/core'

/** What a step is poured from, in a few words. */
export const describedStep = (step: PlanStep | undefined): string =>
  step?.bottle
    ? `${step.bottle.label}${step.bottle.parts.length > 1 ? `, ${step.bottle.parts.join('+')}` : ''}`
    : typeof step?.liquid === 'string'
      ? step.liquid
      : ''

/** The time that stands largest: what is left of the step, or how far it is over. */
export function bigTime(clock: RunClock, step: PlanStep | undefined): string {
  if (clock.phase === 'before') return showTime(step?.seconds ?? 0)
  return clock.remainingS > 0 ? showTime(Math.ceil(clock.remainingS)) : `+${showTime(-clock.remainingS)}`
}

/** What the hands do now. */
export function cueWords(clock: RunClock, step: PlanStep | undefined): string {
  if (clock.phase === 'before') return `Pour in: ${step?.name ?? ''}`
  if (clock.phase === 'over') return clock.holding ? 'Held' : 'Time is up'
  return clock.cue?.word ?? ''
}

/** What comes after it. */
export function afterWords(clock: RunClock, step: PlanStep | undefined, next: PlanStep | undefined): string {
  if (clock.phase === 'before') return 'Press Space as the pour begins; the clock runs from there.'
  if (clock.phase === 'over') return next ? `Pour ${next.name} when you are ready, and press Space.` : 'Press Space when it is out.'
  if (clock.next) {
    const wholeS = clock.times.at(-1)?.plannedS ?? step?.seconds ?? 0
    const until = clock.cue ? showTime(Math.max(0, Math.ceil(wholeS - clock.cue.untilS))) : ''
    return `until ${until}, then ${clock.next.word.toLowerCase()}`
  }
  if (!next) return 'then out'
  return step?.waits ? `then ${next.name} is ready` : `then ${next.name} goes in at once`
}
