import type { Plan, PlanStep } from '../process/load'
import type { RunEvent } from './runEvent'

/** A step of a run as it really goes: of its plan, or put in on the way. */
export interface CourseStep extends PlanStep {
  /** its number in the plan; what was put in counts on behind the plan's last */
  planned: number
  /** why it was put in, where it was */
  because?: string
}

/** What somebody wants otherwise in the middle of a run. */
export interface CourseChange {
  kind: 'repeat' | 'add' | 'skip'
  /** the step that is repeated or left out */
  key?: string
  /** s of the water that is added */
  seconds?: number
}

/**
 * Whether a step ends when somebody has looked: its time counts up, and it never ends by itself.
 * @example
 * isInspected({ time: { inspect: true } }) // → true
 */
export const isInspected = ({ time }: Pick<PlanStep, 'time'>): boolean => typeof time === 'object' && 'inspect' in time

/** s a step of water that is put in may take */
export const addedS = { least: 15, most: 3600 }

/**
 * The steps of a plan as a run begins them.
 * @example
 * courseOf(run).map((step) => step.planned).slice(0, 2) // → [0, 1]
 */
export const courseOf = (plan: Plan): CourseStep[] => plan.steps.map((step, planned) => ({ ...step, planned }))

const insert = (course: CourseStep[], after: number, step: CourseStep): CourseStep[] => [
  ...course.slice(0, after + 1),
  step,
  ...course.slice(after + 1),
]
/** The number of the next step that is put in: each has a line of its own in the ledger. */
const nextNumber = (plan: Plan, course: CourseStep[]): number => Math.max(plan.steps.length - 1, ...course.map((step) => step.planned)) + 1

function water(plan: Plan, at: CourseStep, seconds: number): PlanStep {
  return {
    key: 'added-water',
    kind: 'rinse',
    name: 'Water, added',
    liquid: 'water',
    time: { s: seconds },
    seconds,
    toleranceC: 5,
    temperatureC: at.temperatureC,
    light: at.light,
    fate: 'drain',
    agitation: { name: 'not at all', firstS: 0, forS: 0, everyS: 0 },
    drainS: at.drainS || 10,
    volumeMl: plan.vessel.coversMl,
    partsMl: [plan.vessel.coversMl],
    family: 'wash',
    bottle: null,
    waits: true,
  }
}

/** The course after somebody had it otherwise at step `at`; one that has no such step to repeat or to leave out stays as it was. */
export function changedCourse(plan: Plan, course: CourseStep[], at: number, change: CourseChange & { text?: string }): CourseStep[] {
  const here = course[at]
  if (!here) return course
  const because = change.text ?? ''
  if (change.kind === 'skip') {
    const gone = course.findIndex((step, i) => i > at && step.key === change.key)
    return gone < 0 ? course : course.filter((_, i) => i !== gone)
  }
  const planned = nextNumber(plan, course)
  if (change.kind === 'add') return insert(course, at, { ...water(plan, here, change.seconds ?? 60), planned, because })
  const again = course.slice(0, at + 1).findLast((step) => step.key === change.key)
  return again ? insert(course, at, { ...again, name: `${again.name.replace(/, again$/, '')}, again`, planned, because }) : course
}

/**
 * The plan with the steps of a course: what checks and ledgers read it by.
 * @example
 * planOfCourse(run, courseOf(run).slice(1)).steps.length // → run.steps.length - 1
 */
export const planOfCourse = (plan: Plan, course: CourseStep[]): Plan => ({ ...plan, steps: course })

/** The events that change what is to come. */
export const isCourseChange = (event: RunEvent): event is RunEvent & CourseChange =>
  event.kind === 'repeat' || event.kind === 'add' || event.kind === 'skip'
