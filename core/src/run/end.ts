import type { Acted, NewLine } from '../bottle/acts/act'
import { conflict } from '../error'
import { developsFirst } from '../process/stepFacts'
import { usesAtEnd } from '../process/uses'
import type { BottleUse, Plan } from '../process/load'
import { runClock, type RunClock } from './clock'
import { planOfCourse } from './course'
import { requireLead } from './late'
import type { RunEvent } from './runEvent'
import { linesOfUses } from './uses'

/** A run that is on: what was planned and what happened. */
export interface OpenRun {
  id: string
  state: string
  plan: Plan
  events: RunEvent[]
}

/** s the film was developed, and °C it was: the mean over the step where it was measured in it. */
function developedOf(plan: Plan, clock: RunClock): { developedS: number | null; temperatureC: number } {
  const first = clock.course.findIndex(developsFirst)
  const time = clock.times.find((one) => one.step === first)
  const developedS = time?.endedAt ? (time.endedAt - time.startedAt) / 1000 : null
  const readings = time?.moved?.readings
  if (!readings || developedS === null || developedS <= 0) return { developedS, temperatureC: plan.temperatureC }
  const until = [...readings, { s: Math.max(developedS, readings.at(-1)?.s ?? 0), c: readings.at(-1)?.c ?? plan.temperatureC }]
  const area = until.slice(1).reduce((sum, b, i) => {
    const a = until[i] as { s: number; c: number }
    return sum + ((a.c + b.c) / 2) * (b.s - a.s)
  }, 0)
  return { developedS, temperatureC: area / (until.at(-1)?.s ?? developedS) }
}

/** What the films really went through, each step by its number in the plan; what was put in has one of its own. */
function usesOf(plan: Plan, { course }: RunClock, reached?: Set<number>): BottleUse[] {
  return usesAtEnd(planOfCourse(plan, course)).flatMap((use) =>
    reached && !reached.has(use.step) ? [] : [{ ...use, step: course[use.step]?.planned ?? use.step }],
  )
}

interface Ending {
  /** what the device had not sent yet */
  events: RunEvent[]
  /** ms */
  at: number
  /** the device that says so: where one has taken the run over, only that one may */
  device?: string | undefined
}

/**
 * What is written when a run is over: what went through the bottles whose liquid was poured back, and how its films were developed.
 * @throws Refused 'not-over' while its clock has steps to go, 'taken-over' where another device leads it
 * @example
 * decideFinish({ id: 'r', state: 'running', plan: run, events: [] }, [acted], { events: [], at: 0 }) // throws 'not-over'
 */
export function decideFinish(run: OpenRun, bottles: Acted[], { events, at, device }: Ending) {
  requireLead([...run.events, ...events], device)
  const clock = runClock(run.plan, [...run.events, ...events], at)
  if (clock.phase !== 'done') throw conflict('not-over', 'The clock has steps to go. Finish them, or give the run up with a reason.')
  return { lines: linesOfUses(usesOf(run.plan, clock), bottles, { runId: run.id, strict: false }), ...developedOf(run.plan, clock) }
}

/**
 * What is written when a run is given up: what the films really were in by then; nothing where it had not begun.
 * @throws Refused 'taken-over' where another device leads it
 * @example
 * decideGivingUp({ id: 'r', state: 'planned', plan: run, events: [] }, [], { events: [], at: 0 }) // → []
 */
export function decideGivingUp(run: OpenRun, bottles: Acted[], { events, at, device }: Ending): NewLine[] {
  requireLead([...run.events, ...events], device)
  if (run.state !== 'running') return []
  const clock = runClock(run.plan, [...run.events, ...events], at)
  const reached = new Set(clock.times.map((time) => time.step))
  return linesOfUses(usesOf(run.plan, clock, reached), bottles, { runId: run.id, strict: false })
}
