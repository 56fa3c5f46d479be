import { timeAtAny } from '../development/developingTime'
import type { Plan, PlanStep } from '../process/load'
import { cuesOf, getReadyS, type Cue } from './cues'
import { driftEnd, type DriftReading } from './drift'
import type { RunEvent } from './runEvent'

export interface StepTime {
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
  let phase = 'before' as RunClock['phase']
  let holding = false
  const current = (): StepTime | undefined => times.at(-1)
  const begin = (step: number, at: number) => {
    times.push({ step, startedAt: at, endedAt: null, plannedS: plan.steps[step]?.seconds ?? 0, overS: 0, held: false })
    holding = false
  }
  const end = (at: number) => {
    const time = current()
    if (!time) return
    time.endedAt = at
    time.overS = Math.max(0, (at - time.startedAt) / 1000 - time.plannedS)
    if (time.step + 1 < plan.steps.length) begin(time.step + 1, at)
    else phase = 'done'
  }
  const advance = (until: number) => {
    for (let time = current(); phase === 'running' && time; time = current()) {
      const step = plan.steps[time.step] as PlanStep
      const endsAt = time.startedAt + time.plannedS * 1000
      if (endsAt > until || step.waits || holding || time.step === plan.steps.length - 1) return
      end(endsAt)
    }
  }
  for (const event of inOrder(events).filter((one) => one.at <= now)) {
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
      follow(plan, current(), event.celsius, event.at)
    else if (event.kind === 'abandon') phase = 'abandoned'
  }
  advance(now)
  return { ...reading(plan, current(), phase, now), holding, times, endsAt: endOfPlan(plan, current(), phase) }
}

/** What the time of a step follows when its bath drifts: the development chart of the load, or the step's own table. */
function courseOf({ drift, developing }: Plan, { time, factors = [] }: PlanStep) {
  if (time === 'chart') return drift && developing ? { ...drift, factors: developing.steps.slice(1) } : null
  if (!('table' in time)) return null
  return { chart: time.table.map(({ c, s }) => ({ temperatureC: c, seconds: s })), k: undefined, factors }
}

/** A measured temperature moves the end of a step whose time follows the chart; a step that is overdone already ends at once. */
function follow(plan: Plan, time: StepTime | undefined, celsius: number, at: number): void {
  const step = plan.steps[time?.step ?? -1]
  const course = step && courseOf(plan, step)
  if (!time || !step || !course) return
  const elapsedS = Math.max(0, (at - time.startedAt) / 1000)
  const factor = course.factors.reduce((product, one) => product * one.factor, 1)
  const charted = timeAtAny(course.chart, course.k)
  const readings = [...(time.moved?.readings ?? [{ s: 0, c: step.temperatureC }]), { s: elapsedS, c: celsius }]
  const endS = driftEnd({ readings, timeAt: (c) => charted(c) * factor })
  time.plannedS = Math.max(elapsedS, endS)
  time.moved = { byS: time.plannedS - step.seconds, celsius, readings }
}

function reading(plan: Plan, time: StepTime | undefined, phase: RunClock['phase'], now: number) {
  const step = plan.steps[time?.step ?? 0] as PlanStep
  const elapsedS = time && phase !== 'done' ? (now - time.startedAt) / 1000 : 0
  const plannedS = time?.plannedS ?? step.seconds
  const remainingS = plannedS - elapsedS
  const live = phase === 'running'
  const cues = live ? cuesOf({ ...step, seconds: plannedS }) : []
  const index = cues.findIndex((cue) => elapsedS < cue.untilS)
  return {
    phase: live && remainingS <= 0 ? ('over' as const) : phase,
    step: time?.step ?? 0,
    elapsedS,
    remainingS,
    cue: cues[index] ?? null,
    next: index >= 0 ? (cues[index + 1] ?? null) : null,
    getReady: live && remainingS > 0 && remainingS <= step.drainS + getReadyS,
  }
}

function endOfPlan(plan: Plan, time: StepTime | undefined, phase: RunClock['phase']): number | null {
  if (!time || phase !== 'running') return null
  return plan.steps.slice(time.step + 1).reduce((at, step) => at + step.seconds * 1000, time.startedAt + time.plannedS * 1000)
}

/**
 * Every cue of the running step and, where the clock goes on by itself, of the steps after it: what a device schedules ahead. Times in ms.
 * @example
 * cuesAhead(run, runClock(run, runEvents, 1000)).length > 0 // → true
 */
export function cuesAhead(plan: Plan, clock: RunClock): { at: number; kind: Cue['kind'] | 'get-ready' | 'over'; word: string }[] {
  const time = clock.times.at(-1)
  if (!time || (clock.phase !== 'running' && clock.phase !== 'over')) return []
  const ahead: ReturnType<typeof cuesAhead> = []
  let startedAt = time.startedAt
  for (let i = time.step; i < plan.steps.length; i++) {
    const planned = plan.steps[i] as PlanStep
    const step = i === time.step ? { ...planned, seconds: time.plannedS } : planned
    const next = plan.steps[i + 1]
    for (const cue of cuesOf(step)) ahead.push({ at: startedAt + cue.fromS * 1000, kind: cue.kind, word: cue.word })
    if (next)
      ahead.push({ at: startedAt + (step.seconds - step.drainS - getReadyS) * 1000, kind: 'get-ready', word: `Get ready: ${next.name}` })
    startedAt += step.seconds * 1000
    if (step.waits || !next || (i === time.step && clock.holding)) {
      ahead.push({ at: startedAt, kind: 'over', word: next ? `Time is up: ${next.name} when you are ready` : 'Done' })
      break
    }
  }
  return ahead.sort((a, b) => a.at - b.at)
}
