import type { Plan } from '../process/load'
import { inOrder, runClock } from './clock'
import { courseOf } from './course'
import type { RunEvent } from './runEvent'

/** What became of a step, against its plan. Times in s, temperatures in °C. */
export interface StepRecord {
  step: number
  key: string
  name: string
  /** what its bottle has on the tape, and its name; null in water, air and light */
  bottle: { id: string; label: string; name: string } | null
  plannedS: number
  /** null where it was not reached, or given up in it */
  tookS: number | null
  /** beyond its time, where a measured temperature had moved that */
  overS: number
  held: boolean
  movedByS: number
  plannedC: number
  measured: { afterS: number; celsius: number }[]
  reason: string
  /** why it was put in, where it was not planned */
  because: string | null
  /** why it was left out, where it was */
  leftOut: string | null
}

/**
 * A run step by step against its plan, as its clock has it.
 * @example
 * recordOf(run, runEvents).map((step) => [step.key, step.plannedS, step.tookS])[0] // → ['develop', 600, 600]
 */
export function recordOf(plan: Plan, events: RunEvent[]): StepRecord[] {
  const happened = inOrder(events).filter((event) => !event.late)
  const clock = happened.length === 0 ? null : runClock(plan, happened, Number.MAX_SAFE_INTEGER)
  const course = clock?.course ?? courseOf(plan)
  const rows = course.map((step, i): StepRecord => {
    const time = clock?.times.find((one) => one.step === i)
    const of = happened.filter((event) => event.step === i)
    return {
      step: step.planned,
      key: step.key,
      name: step.name,
      bottle: step.bottle && { id: step.bottle.id, label: step.bottle.label, name: step.bottle.name },
      plannedS: step.seconds,
      tookS: time?.endedAt ? (time.endedAt - time.startedAt) / 1000 : null,
      overS: time?.overS ?? 0,
      held: time?.held ?? false,
      movedByS: time?.moved?.byS ?? 0,
      plannedC: step.temperatureC,
      measured: of.flatMap((event) =>
        event.kind === 'temperature' && event.celsius !== undefined && time
          ? [{ afterS: Math.max(0, (event.at - time.startedAt) / 1000), celsius: event.celsius }]
          : [],
      ),
      reason: of.findLast((event) => event.kind === 'reason')?.text ?? '',
      because: step.because ?? null,
      leftOut: null,
    }
  })
  const skips = happened.filter((event) => event.kind === 'skip')
  const gone = courseOf(plan).filter((step) => !course.some((one) => one.planned === step.planned))
  for (const step of gone) {
    const before = rows.findLastIndex((row) => row.because === null && row.step < step.planned)
    rows.splice(before + 1, 0, {
      ...{ step: step.planned, key: step.key, name: step.name, plannedS: step.seconds, plannedC: step.temperatureC },
      bottle: step.bottle && { id: step.bottle.id, label: step.bottle.label, name: step.bottle.name },
      ...{ tookS: null, overS: 0, held: false, movedByS: 0, measured: [], reason: '', because: null },
      leftOut: skips.find((event) => event.key === step.key)?.text ?? '',
    })
  }
  return rows
}
