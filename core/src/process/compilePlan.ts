import { DomainError } from '../error'
import { developingTime, type DevelopingTime } from '../development/developingTime'
import { loadFactors, pushFindings } from '../development/factors'
import { byGravity, type Finding } from '../finding'
import { showTime } from '../quantity/format'
import { checkPlan } from './checkPlan'
import type { Load, Plan, PlanBottle, RoleBottle } from './load'
import { loadRolls } from './loaded'
import { planFormat } from './plan'
import { stepsOf, type Process } from './process'
import { bottleIn, planStepOf } from './planStep'
import type { ProcessStep } from './step'
import { roleOf } from './stepFacts'

/** s of water the film had before the developer. */
const preWetOf = (steps: ProcessStep[]): number =>
  steps.reduce(
    (sum, { kind, time, liquid }) =>
      sum + (kind === 'pre-wet' && liquid === 'water' && typeof time === 'object' && 's' in time ? time.s : 0),
    0,
  )

function developingOf(steps: ProcessStep[], load: Load, developer: PlanBottle | undefined): DevelopingTime {
  const fromBottle = developer && developer.timeFactor !== 1 ? [{ name: 'used bath', factor: developer.timeFactor }] : []
  const { pushStops, vessel, temperatureC, chart, k, rangeC } = load
  return developingTime({
    chart,
    temperatureC,
    factors: [
      ...loadFactors({ pushStops, rotary: vessel.kind === 'rotary', preWetS: preWetOf(steps) }),
      ...fromBottle,
      ...(load.factors ?? []),
    ],
    ...(k === undefined ? {} : { k }),
    ...(rangeC === undefined ? {} : { rangeC }),
  })
}

/** Films in one tank whose charted times are further apart than this get a time that is right for neither. */
const togetherThousandths = 1030

/** What is to be said of a time that is not one row's. */
function chartSays({ between, mixed }: Load): Finding[] {
  const said = (each: { name: string; seconds: number }[], of: 'of' | 'for') =>
    each.map(({ name, seconds }) => `${showTime(seconds)} ${of} ${name || 'no source'}`).join(' and ')
  const findings: Finding[] = []
  if (between) findings.push({ rule: 'plan-between', severity: 'advice', message: `The time lies between ${said(between, 'of')}.` })
  if (!mixed) return findings
  const times = mixed.map((one) => one.seconds)
  const apart = 1000 * Math.max(...times) > togetherThousandths * Math.min(...times)
  return [
    ...findings,
    {
      rule: apart ? 'plan-films-apart' : 'plan-films-mixed',
      severity: apart ? 'warning' : 'advice',
      message: `The films get one time: the chart has ${said(mixed, 'for')}.${apart ? ' They are more than 3 % apart: develop them one after the other.' : ''}`,
    },
  ]
}

/**
 * Works a process out for a load: the developing time with every factor, each bath's volume and parts in ml, temperatures in °C and times in s. Each role that is
 * needed has its bottle, and one bottle may serve two; a role without one throws `no-bottle`. Findings of the plan are in it.
 * @example
 * run.steps[0].partsMl // → [150, 150]
 */
export function compilePlan(process: Process, load: Load, bottles: RoleBottle[]): Plan {
  const rolls = loadRolls(load.films)
  if (rolls <= 0) throw new DomainError('out-of-range', 'A run needs at least one film.')
  const chosen = stepsOf(process, load.options)
  const charting = chosen.find((step) => step.time === 'chart')
  const developing = charting ? developingOf(chosen, load, bottleIn(bottles, roleOf(charting))) : null
  if (load.pushStops !== 0 && !developing && !chosen.some((step) => step.push))
    throw new DomainError('push-unknown', `${process.name} has no factors for push or pull: develop these films at their own speed.`)
  const worked = { process, load, chosen, bottles, rolls, chartS: developing?.seconds ?? null }
  const planned = chosen.map((step, i) => planStepOf(step, i, worked))
  const plan: Plan = {
    format: planFormat,
    processId: process.id,
    processName: process.name,
    material: process.material,
    vessel: load.vessel,
    films: load.films,
    rolls,
    temperatureC: load.temperatureC,
    developing,
    ...(developing ? { drift: { chart: load.chart, ...(load.k === undefined ? {} : { k: load.k }) } } : {}),
    steps: planned.map((one) => one.step),
    ...(load.critical ? { critical: true } : {}),
    findings: [],
  }
  const pushing = developing ? pushFindings(load.pushStops) : []
  return {
    ...plan,
    findings: [
      ...(developing?.findings ?? []),
      ...pushing,
      ...chartSays(load),
      ...planned.flatMap((one) => one.said),
      ...checkPlan(plan),
    ].sort(byGravity),
  }
}
