import { developsFirst } from '../process/stepFacts'
import type { RunClock, StepTime } from './clock'
import { isInspected, type CourseStep } from './course'
import { cuesOf, getReadyS, type Cue } from './cues'

/** What is called at a moment, ms. */
export interface Call {
  at: number
  kind: Cue['kind'] | 'get-ready' | 'check' | 'open' | 'over'
  word: string
  /** its number in the course, and the step of it that is spoken of */
  step: number
}

/** s before a pour at which the temperature of the next bath is looked at once more, and the tolerance from which that is worth a word, °C */
const checkS = 60
const tightC = 0.6
/** s a developing step takes at the least for its temperature to be looked at in its middle */
const longS = 180

/** The bath to come is one whose temperature decides: it is looked at while there is time. */
const isTight = (step: CourseStep): boolean => step.bottle !== null && step.toleranceC <= tightC

function callsOf(step: CourseStep, at: { startedAt: number; i: number }, next: CourseStep | undefined): Call[] {
  const call = (s: number, kind: Call['kind'], word: string, i = at.i): Call => ({ at: at.startedAt + s * 1000, kind, word, step: i })
  const calls = cuesOf(step).map((cue) => call(cue.fromS, cue.kind, cue.word))
  if (developsFirst(step) && step.seconds >= longS) calls.push(call(step.seconds / 2, 'check', 'Check the temperature'))
  if (!next || isInspected(step)) return calls
  if (isTight(next) && step.seconds > checkS + getReadyS)
    calls.push(call(step.seconds - checkS, 'check', `Check the temperature: ${next.name}`, at.i + 1))
  calls.push(call(step.seconds - step.drainS - getReadyS, 'get-ready', `Get ready: ${next.name}`, at.i + 1))
  if (next.liquid === 'light' && !step.waits) calls.push(call(step.seconds, 'open', 'Open the tank', at.i + 1))
  return calls
}

/** A step that ran longer than it was planned to, by what was measured in it. */
const asItIs = (course: CourseStep[], i: number, time: StepTime): CourseStep => {
  const step = course[i] as CourseStep
  return i === time.step ? { ...step, seconds: time.plannedS } : step
}

/**
 * Every call of the running step and, where the clock goes on by itself, of the steps after it: what a device schedules ahead. Times in ms.
 * @example
 * cuesAhead(runClock(run, runEvents, 1000)).length > 0 // → true
 */
export function cuesAhead({ phase, times, course, holding }: RunClock): Call[] {
  const time = times.at(-1)
  if (!time || (phase !== 'running' && phase !== 'over')) return []
  const ahead: Call[] = []
  let startedAt = time.startedAt
  for (let i = time.step; i < course.length; i++) {
    const step = asItIs(course, i, time)
    const next = course[i + 1]
    ahead.push(...callsOf(step, { startedAt, i }, next))
    startedAt += step.seconds * 1000
    if (step.waits || !next || (i === time.step && holding)) {
      const lamp = next?.liquid === 'light'
      const word = lamp ? 'Open the tank' : next ? `Time is up: ${next.name} when you are ready` : 'Done'
      if (!isInspected(step)) ahead.push({ at: startedAt, kind: lamp ? 'open' : 'over', word, step: next ? i + 1 : i })
      break
    }
  }
  return ahead.sort((a, b) => a.at - b.at)
}
