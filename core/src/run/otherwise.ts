import { conflict, impossible } from '../error'
import type { Finding } from '../finding'
import { checkPlan } from '../process/checkPlan'
import type { Plan } from '../process/load'
import { isSaved, savedFrom } from '../process/stepFacts'
import { addedS, changedCourse, planOfCourse, type CourseChange, type CourseStep } from './course'

/**
 * What having it otherwise comes to: what speaks against the course that did not speak against it before. What cannot be done at all is refused.
 * @throws Refused 'bath-gone' where the liquid was poured away, 'out-of-range', 'no-step'
 * @example
 * decideCourse(run, courseOf(run), 1, { kind: 'add', seconds: 60 }).course.length // → courseOf(run).length + 1
 */
export function decideCourse(
  plan: Plan,
  course: CourseStep[],
  at: number,
  change: CourseChange,
): { course: CourseStep[]; findings: Finding[] } {
  const { kind, key, seconds = 60 } = change
  if (kind === 'add' && (!(seconds >= addedS.least) || seconds > addedS.most))
    throw impossible('out-of-range', 'Water that is added takes 0:15 to 60:00.')
  const step =
    kind === 'repeat' ? course.slice(0, at + 1).findLast((one) => one.key === key) : course.slice(at + 1).find((one) => one.key === key)
  if (kind !== 'add' && !step)
    throw conflict('no-step', kind === 'skip' ? 'That step is not to come any more.' : 'That step was not reached yet.')
  if (kind === 'repeat' && step?.bottle && (step.bottle.oneShot || isSaved(step) || savedFrom(step) !== null))
    throw conflict('bath-gone', `${step.name} was made up once for this run, and what stood in the tank is not there any more.`)
  const after = changedCourse(plan, course, at, change)
  const [was, is] = [checkPlan(planOfCourse(plan, course)), checkPlan(planOfCourse(plan, after))]
  return { course: after, findings: is.filter((one) => !was.some((old) => old.rule === one.rule && old.message === one.message)) }
}
