import type { RunClock } from './clock'
import type { CourseStep } from './course'
import { cuesOf, type CueKind } from './cues'

/** A time in which a run wants somebody's hands; ms. */
export interface HandsOn {
  run: string
  /** what the hands do, and at which step of the run */
  kind: 'pour' | 'agitate'
  word: string
  step: string
  fromAt: number
  untilAt: number
}
/** A run as others see it: under way, or as it would be begun. */
export interface Beside {
  /** what it is called among the others, such as 'run 14' */
  name: string
  /** a drum turns by itself */
  rotary: boolean
  course: CourseStep[]
  /** the step it is in, or begins with, and when that began or would begin, ms */
  step: number
  startedAt: number
  /** s of the present step, where something measured moved its end */
  plannedS?: number
  /** s it has lasted, where it waits beyond its end: what follows comes no earlier */
  lastsS?: number
}
/** Two runs want the same hands. */
export interface Collision {
  at: number
  untilAt: number
  first: HandsOn
  second: HandsOn
}

const pours: CueKind[] = ['pour-in', 'pour-out', 'turn']
const shaken: CueKind[] = ['agitate', 'tap', 'vent']
/** s that turning a film under the lamp takes */
const turnS = 5

/**
 * A run that is under way, as the others see it; null before its start and after its end.
 * @example
 * besideOf('run 1', false, runClock(run, runEvents, 1000))?.step // → 0
 */
export function besideOf(name: string, rotary: boolean, { course, times, phase, elapsedS }: RunClock): Beside | null {
  const time = times.at(-1)
  if (!time || (phase !== 'running' && phase !== 'over')) return null
  const waits = phase === 'over' ? { lastsS: elapsedS } : {}
  return { name, rotary, course, step: time.step, startedAt: time.startedAt, plannedS: time.plannedS, ...waits }
}

/**
 * When a run wants hands, in order, if every step ends on its time; what follows without a gap is one. Agitation of a drum that turns by itself wants none.
 * @example
 * handsOnOf({ name: 'run 1', rotary: false, course: courseOf(run), step: 0, startedAt: 0 })[0].kind // → 'pour'
 */
export function handsOnOf({ name, rotary, course, step, startedAt, plannedS, lastsS = 0 }: Beside): HandsOn[] {
  const wanted: HandsOn[] = []
  let at = startedAt
  for (let i = step; i < course.length; i++) {
    const planned = course[i] as CourseStep
    const seconds = i === step ? (plannedS ?? planned.seconds) : planned.seconds
    for (const cue of cuesOf({ ...planned, seconds })) {
      const kind = pours.includes(cue.kind) ? 'pour' : shaken.includes(cue.kind) && !rotary ? 'agitate' : null
      if (!kind) continue
      const fromAt = at + cue.fromS * 1000
      const untilAt = cue.kind === 'turn' ? fromAt + turnS * 1000 : at + cue.untilS * 1000
      const last = wanted.at(-1)
      if (last?.kind === kind && last.step === planned.name && last.untilAt >= fromAt - 1) last.untilAt = untilAt
      else wanted.push({ run: name, kind, word: cue.word, step: planned.name, fromAt, untilAt })
    }
    at += (i === step ? Math.max(seconds, lastsS) : seconds) * 1000
  }
  return wanted
}

/**
 * Where two runs want the same hands, in order: a pour of one while the other is poured or agitated. Two tanks that are agitated at once are one for each hand.
 * @example
 * collisionsOf([]) // → []
 */
export function collisionsOf(runs: Beside[]): Collision[] {
  const wanted = runs.map(handsOnOf)
  const found = wanted.flatMap((mine, i) =>
    wanted.slice(i + 1).flatMap((theirs) =>
      mine.flatMap((first) =>
        theirs.flatMap((second): Collision[] => {
          const [at, untilAt] = [Math.max(first.fromAt, second.fromAt), Math.min(first.untilAt, second.untilAt)]
          if (untilAt - at < 1 || (first.kind === 'agitate' && second.kind === 'agitate')) return []
          return [{ at, untilAt, first, second }]
        }),
      ),
    ),
  )
  return found.sort((a, b) => a.at - b.at)
}

/** s by which a start is moved to see whether hands are free then, and how far */
const shiftS = 5
const mostShiftS = 1200

/**
 * s after which a run can be begun so that no pour of it falls on another's hands; null where the next 20 minutes have no such moment.
 * @example
 * freeStartS({ name: 'this', rotary: false, course: courseOf(run), step: 0, startedAt: 0 }, []) // → 0
 */
export function freeStartS(mine: Beside, others: Beside[]): number | null {
  for (let s = 0; s <= mostShiftS; s += shiftS) {
    const moved = { ...mine, startedAt: mine.startedAt + s * 1000 }
    if (others.every((other) => collisionsOf([moved, other]).length === 0)) return s
  }
  return null
}
