import { byGravity, type Finding } from '../finding'
import { showTemperature, showVolume } from '../quantity/format'
import type { Plan, PlanStep, StepKind } from './process'

const fixing: StepKind[] = ['fix', 'bleach-fix', 'monobath']
const watery: StepKind[] = ['rinse', 'wash', 'pre-wet']

/** Neighbouring baths of black-and-white film may differ by this much before the gelatine cracks. °C, rounded literature value. */
const reticulationC = 5

type Check = (plan: Plan) => Finding[]

const noFix: Check = (plan) =>
  plan.steps.some((step) => fixing.includes(step.kind))
    ? []
    : [{ rule: 'plan-no-fix', severity: 'error', message: 'Nothing fixes the film: it goes dark in the light. Add a fixing step.' }]

const rinseAfterStabiliser: Check = (plan) =>
  plan.steps.flatMap((step, i) =>
    watery.includes(step.kind) && plan.steps.slice(0, i).some((earlier) => earlier.kind === 'stabilise' || earlier.kind === 'wetting-agent')
      ? [
          {
            rule: 'plan-rinse-after-last',
            severity: 'error' as const,
            step: i,
            message: `${step.name} comes after the last bath and rinses it off again: leave it out.`,
          },
        ]
      : [],
  )

const temperature: Check = (plan) =>
  plan.steps.flatMap((step, i): Finding[] => {
    const off = Math.abs(step.temperatureC - plan.temperatureC)
    const previous = plan.steps[i - 1]
    const jump = previous ? Math.abs(previous.temperatureC - step.temperatureC) : 0
    if (plan.material === 'bw-film' && jump > reticulationC)
      return [
        {
          rule: 'plan-reticulation',
          severity: 'error',
          step: i,
          message: `${step.name} at ${showTemperature(step.temperatureC)} is ${jump.toFixed(1)} °C from the step before: the gelatine cracks beyond ${reticulationC} °C. Bring them together.`,
        },
      ]
    if (off > step.toleranceC)
      return [
        {
          rule: 'plan-temperature',
          severity: 'warning',
          step: i,
          message: `${step.name} is at ${showTemperature(step.temperatureC)}, ${off.toFixed(1)} °C from the developer; ${step.toleranceC} °C is what it bears.`,
        },
      ]
    return []
  })

const shortDeveloping: Check = (plan) =>
  plan.steps.flatMap((step, i): Finding[] => {
    if (step.kind !== 'develop' || plan.vessel.kind !== 'hand' || plan.material !== 'bw-film') return []
    if (step.seconds < 240)
      return [
        {
          rule: 'plan-short',
          severity: 'warning',
          step: i,
          message: 'Under 4 minutes the film develops unevenly: dilute further or cool the developer.',
        },
      ]
    if (step.seconds < 300)
      return [
        {
          rule: 'plan-short',
          severity: 'advice',
          step: i,
          message: 'Under 5 minutes pouring in and out takes a large share: pour fast and evenly.',
        },
      ]
    return []
  })

const vessel: Check = (plan) => {
  const reels = plan.films.reduce((sum, film) => sum + film.count, 0)
  return reels > plan.vessel.reels
    ? [
        {
          rule: 'plan-vessel',
          severity: 'error',
          message: `${plan.vessel.name} takes ${plan.vessel.reels} ${plan.vessel.reels === 1 ? 'film' : 'films'}, not ${reels}: use a larger one or fewer films.`,
        },
      ]
    : []
}

const vesselTaken: Check = ({ vessel: { name, running = [], planned = [] } }) => [
  ...(running.length > 0
    ? [
        {
          rule: 'plan-vessel-running',
          severity: 'warning' as const,
          message: `${name} is in run ${running.join(', ')} now: this one waits until it is out.`,
        },
      ]
    : []),
  ...(planned.length > 0
    ? [
        {
          rule: 'plan-vessel-taken',
          severity: 'warning' as const,
          message: `${name} is reserved for run ${planned.join(', ')} too: only one of them can be in it at a time.`,
        },
      ]
    : []),
]

const bottles: Check = (plan) => plan.steps.flatMap((step, i) => bottleFindings(plan, step, i))

function bottleFindings(plan: Plan, step: PlanStep, i: number): Finding[] {
  const { bottle } = step
  if (!bottle) return []
  const at = { step: i }
  // a bottle that stands in two steps is used twice: said once, at the first of them
  const same = plan.steps.filter((one) => one.bottle?.id === bottle.id)
  if (same[0] !== step) return []
  const needed = bottle.oneShot ? same.reduce((sum, one) => sum + (one.partsMl[0] ?? 0), 0) : (step.partsMl[0] ?? 0)
  const rolls = plan.rolls * same.length
  const promised = bottle.reservedFor?.length ? ` (the rest is reserved for run ${bottle.reservedFor.join(', ')})` : ''
  const findings: Finding[] = bottle.findings
    .filter((finding) => finding.severity === 'error')
    .map((finding) => ({ rule: 'plan-bottle', severity: 'error', ...at, message: `${bottle.label} cannot be used: ${finding.message}` }))
  for (const doubt of bottle.findings.filter((finding) => finding.rule === 'bottle-ph'))
    findings.push({
      rule: 'plan-bottle-ph',
      severity: 'warning',
      ...at,
      message: `${bottle.label}: ${doubt.message} Try it on a scrap first.`,
    })
  if (needed > bottle.volumeMl + 1e-6)
    findings.push({
      rule: 'plan-volume',
      severity: 'error',
      ...at,
      message: `${step.name} needs ${showVolume(needed)} from ${bottle.label}, which holds ${showVolume(Math.max(0, bottle.volumeMl))}${promised}: take another bottle or fewer films.`,
    })
  if (bottle.rollsLeft !== null && bottle.rollsLeft < rolls - 1e-9 && !bottle.oneShot)
    findings.push({
      rule: 'plan-capacity',
      severity: 'error',
      ...at,
      message: `${bottle.label} is good for ${Math.max(0, bottle.rollsLeft).toFixed(1)} more rolls${promised} and this load is ${rolls.toFixed(1)}: take another bottle or fewer films.`,
    })
  const holdsMl = plan.vessel.holdsMl ?? plan.vessel.coversMl
  if (bottle.oneShot && step.volumeMl > holdsMl * 1.001)
    findings.push({
      rule: 'plan-concentrate',
      severity: 'error',
      ...at,
      message: `At ${bottle.parts.join('+')} this load needs ${showVolume(step.volumeMl)} to hold enough developer, more than the ${showVolume(holdsMl)} ${plan.vessel.name} takes: fewer films, or a stronger dilution.`,
    })
  return findings
}

const twoBathFix: Check = (plan) => {
  const fixes = plan.steps.flatMap((step, i) => (step.kind === 'fix' && step.bottle ? [{ i, bottle: step.bottle }] : []))
  const [first, second] = fixes
  if (!first || (first.bottle.position == null && !second)) return []
  if (!second)
    return [
      {
        rule: 'plan-second-bath',
        severity: 'error',
        step: first.i,
        message: `${first.bottle.label} is one of a pair: choose the other bath too, half the time goes into each.`,
      },
    ]
  return first.bottle.position === 1 && second.bottle.position === 2
    ? []
    : [
        {
          rule: 'plan-bath-order',
          severity: 'error',
          step: second.i,
          message: `Two baths fix in order: the first bath of a pair, then its second. ${first.bottle.label} and ${second.bottle.label} are not that.`,
        },
      ]
}

const testsDue: Check = (plan) =>
  plan.steps.flatMap((step, i) =>
    plan.critical && step.bottle
      ? (step.bottle.due ?? []).map((test) => ({
          rule: 'plan-test-due',
          severity: 'error' as const,
          step: i,
          message: `${step.bottle?.label ?? ''} is to be tested before these films: ${test}.`,
        }))
      : [],
  )

/**
 * What is wrong with a plan before anyone loads film, worst first.
 * @example
 * checkPlan(run) // → []
 */
export const checkPlan = (plan: Plan): Finding[] =>
  [noFix, rinseAfterStabiliser, temperature, shortDeveloping, vessel, vesselTaken, bottles, twoBathFix, testsDue]
    .flatMap((check) => check(plan))
    .sort(byGravity)
