import type { Plan } from '../process/load'
import { changedCourse, courseOf, isCourseChange, isInspected, type CourseStep } from './course'
import { cuesOf, getReadyS, type Cue } from './cues'
import { driftEnd, type DriftReading } from './drift'
import type { RunEvent } from './runEvent'
import { timeAtOf } from './stepTime'

export interface StepTime {
  /** its number in the course */
  step: number
  startedAt: number
  endedAt: number | null
  plannedS: number
  /** s beyond its time, once it is over */
  overS: number
  /** a hold kept the film in this step */
  held: boolean
  /** a temperature measured in it moved its end: by so many s from the plan, because of °C; readings in s of the step */
  moved?: { byS: number; celsius: number; readings: DriftReading[] }
}

export interface RunClock {
  phase: 'before' | 'running' | 'over' | 'done' | 'abandoned'
  /** the steps as the run really goes, what was put in and left out on the way included */
  course: CourseStep[]
  /** the present one's number in the course */
  step: number
  elapsedS: number
  /** below 0 when the step is over and the plan waits */
  remainingS: number
  holding: boolean
  cue: Cue | null
  next: Cue | null
  /** s until the word to get ready for the next bath falls due; null when past or none */
  getReady: boolean
  times: StepTime[]
  /** ms at which the whole plan ends if nothing waits */
  endsAt: number | null
}

/**
 * Events in the order in which they happened; one that arrived twice counts once.
 * @example
 * inOrder([{ ...runEvents[0], id: 'r2', at: 5 }, ...runEvents]).map((event) => event.id) // → ['r1', 'r2']
 */
export const inOrder = (events: RunEvent[]): RunEvent[] =>
  [...new Map(events.map((event) => [event.id, event])).values()].sort(
    (a, b) => a.at - b.at || a.device.localeCompare(b.device) || a.seq - b.seq,
  )

/**
 * Where a run stands at `now` (ms), from its plan and everything that happened. Nothing is counted: a reload, sleep or a lost connection
 * changes nothing. Steps in a bath end by the clock and the next begins; in water and air the plan waits for "next", and a hold keeps any step from ending.
 * @example
 * runClock(run, runEvents, 60_000).remainingS // → 540
 */
export function runClock(plan: Plan, events: RunEvent[], now: number): RunClock {
  const times: StepTime[] = []
  let course = courseOf(plan)
  let phase = 'before' as RunClock['phase']
  let holding = false
  const current = (): StepTime | undefined => times.at(-1)
  const begin = (step: number, at: number) => {
    times.push({ step, startedAt: at, endedAt: null, plannedS: course[step]?.seconds ?? 0, overS: 0, held: false })
    holding = false
  }
  const end = (at: number) => {
    const time = current()
    if (!time) return
    time.endedAt = at
    time.overS = overOf(course[time.step], (at - time.startedAt) / 1000 - time.plannedS)
    if (time.step + 1 < course.length) begin(time.step + 1, at)
    else phase = 'done'
  }
  const advance = (until: number) => {
    for (let time = current(); phase === 'running' && time; time = current()) {
      const step = course[time.step] as CourseStep
      const endsAt = time.startedAt + time.plannedS * 1000
      if (endsAt > until || step.waits || holding || time.step === course.length - 1) return
      end(endsAt)
    }
  }
  for (const event of inOrder(events).filter((one) => one.at <= now && !one.late)) {
    if (phase === 'done' || phase === 'abandoned') break
    advance(event.at)
    const step = current()?.step ?? 0
    if (event.kind === 'start' && phase === 'before') {
      phase = 'running'
      begin(0, event.at)
    } else if (event.kind === 'next' && phase === 'running' && event.step === step) end(event.at)
    else if (event.kind === 'hold' && phase === 'running' && event.step === step) {
      holding = true
      const time = current()
      if (time) time.held = true
    } else if (event.kind === 'unhold' && event.step === step) {
      const time = current()
      holding = false
      if (time && event.at < time.startedAt + time.plannedS * 1000) time.held = false
    } else if (event.kind === 'temperature' && phase === 'running' && event.step === step && event.celsius !== undefined)
      follow(plan, course, current(), event.celsius, event.at)
    else if (isCourseChange(event) && phase === 'running' && event.step === step) course = changedCourse(plan, course, step, event)
    else if (event.kind === 'abandon') phase = 'abandoned'
  }
  advance(now)
  return { ...reading(course, current(), phase, now), course, holding, times, endsAt: endOfPlan(course, current(), phase) }
}

/** s beyond its time; what ends when somebody has looked has none but the most it may take. */
function overOf(step: CourseStep | undefined, overS: number): number {
  const time = step?.time
  return typeof time === 'object' && 'inspect' in time && time.atMostS === undefined ? 0 : Math.max(0, overS)
}

/** A measured temperature moves the end of a step whose time follows the chart; a step that is overdone already ends at once. */
function follow(plan: Plan, steps: CourseStep[], time: StepTime | undefined, celsius: number, at: number): void {
  const step = steps[time?.step ?? -1]
  const timeAt = step && timeAtOf(plan, step)
  if (!time || !step || !timeAt) return
  const elapsedS = Math.max(0, (at - time.startedAt) / 1000)
  const readings = [...(time.moved?.readings ?? [{ s: 0, c: step.temperatureC }]), { s: elapsedS, c: celsius }]
  const endS = driftEnd({ readings, timeAt })
  time.plannedS = Math.max(elapsedS, endS)
  time.moved = { byS: time.plannedS - step.seconds, celsius, readings }
}

function reading(course: CourseStep[], time: StepTime | undefined, phase: RunClock['phase'], now: number) {
  const step = course[time?.step ?? 0] as CourseStep
  const elapsedS = time && phase !== 'done' ? (now - time.startedAt) / 1000 : 0
  const plannedS = time?.plannedS ?? step.seconds
  const remainingS = plannedS - elapsedS
  const live = phase === 'running'
  const cues = live ? cuesOf({ ...step, seconds: plannedS }) : []
  const index = cues.findIndex((cue) => elapsedS < cue.untilS)
  return {
    phase: live && remainingS <= 0 && !endsByEye(step) ? ('over' as const) : phase,
    step: time?.step ?? 0,
    elapsedS,
    remainingS,
    cue: cues[index] ?? null,
    next: index >= 0 ? (cues[index + 1] ?? null) : null,
    getReady: live && !endsByEye(step) && remainingS > 0 && remainingS <= step.drainS + getReadyS,
  }
}

/** What ends when somebody has looked, and has no most it may take, is never over by itself. */
const endsByEye = (step: CourseStep): boolean =>
  isInspected(step) && !(typeof step.time === 'object' && 'inspect' in step.time && step.time.atMostS !== undefined)

function endOfPlan(course: CourseStep[], time: StepTime | undefined, phase: RunClock['phase']): number | null {
  if (!time || phase !== 'running') return null
  return course.slice(time.step + 1).reduce((at, step) => at + step.seconds * 1000, time.startedAt + time.plannedS * 1000)
}
