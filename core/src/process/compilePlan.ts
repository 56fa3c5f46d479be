import { DomainError } from '../error'
import { developingTime, type DevelopingTime } from '../development/developingTime'
import { loadFactors, pushFindings } from '../development/factors'
import { dilute } from '../dilution/dilute'
import { minimumWorkingVolume } from '../dilution/minimumWorkingVolume'
import { byGravity, type Finding } from '../finding'
import { showTime } from '../quantity/format'
import { agitations } from './agitations'
import { checkPlan } from './checkPlan'
import type { Load, Plan, PlanBottle, PlanStep, RoleBottle } from './load'
import { loadCarryMl, loadRolls } from './loaded'
import { planFormat } from './plan'
import { stepsOf, type Process } from './process'
import { drainOf, pourOf, type ProcessStep } from './step'
import { timeOfStep } from './timeOfStep'

/** A step is no shorter than pouring, draining and so many s of the liquid at the film. */
const leastS = 5
/** Their time is their effect: a short one is refused, not lengthened. */
const neverLengthened: ProcessStep['kind'][] = ['develop', 'second-develop', 'bleach', 'monobath']

const roleOf = ({ liquid }: ProcessStep): string | null => (typeof liquid === 'object' && 'role' in liquid ? liquid.role : null)
const savedFrom = ({ liquid }: ProcessStep): string | null =>
  typeof liquid === 'object' && 'savedFrom' in liquid ? liquid.savedFrom : null
const isSaved = ({ fate }: ProcessStep): boolean => typeof fate === 'object' && 'saveAs' in fate

/** s of water the film had before the developer. */
const preWetOf = (steps: ProcessStep[]): number =>
  steps.reduce(
    (sum, { kind, time, liquid }) =>
      sum + (kind === 'pre-wet' && liquid === 'water' && typeof time === 'object' && 's' in time ? time.s : 0),
    0,
  )

function developingOf(steps: ProcessStep[], load: Load, developer: PlanBottle | undefined): DevelopingTime | null {
  if (!steps.some((step) => step.time === 'chart')) return null
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

/** What fills the beaker of a step: what covers the film, more where the dilution or what is saved of it asks for it. */
function volumeOf(step: ProcessStep, load: Load, bottle: PlanBottle | null, rolls: number): number {
  const { coversMl } = load.vessel
  if (!bottle) return coversMl
  const asked = minimumWorkingVolume({
    vesselMl: coversMl,
    rolls: bottle.oneShot ? rolls : 0,
    minConcentrateMlPerRoll: bottle.minConcentrateMlPerRoll,
    parts: bottle.parts,
  })
  // what is saved comes back short by what the films carried out of it
  return isSaved(step) ? Math.max(asked, coversMl + loadCarryMl(load)) : asked
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
  const inRole = (id: string | null) => bottles.find((one) => one.role === id)?.bottle
  const developer = inRole(chosen.map((step) => (step.time === 'chart' ? roleOf(step) : null)).find(Boolean) ?? null)
  const developing = developingOf(chosen, load, developer)
  if (load.pushStops !== 0 && !developing && !chosen.some((step) => step.push))
    throw new DomainError('push-unknown', `${process.name} has no factors for push or pull: develop these films at their own speed.`)
  const first = chosen.find((step) => step.kind === 'develop' || step.kind === 'monobath')
  const lengthened: Finding[] = []
  const steps = chosen.map((step, i): PlanStep => {
    const saved = savedFrom(step)
    const from = saved === null ? step : (process.steps.find((one) => one.key === saved) ?? step)
    const role = process.roles.find((one) => one.id === roleOf(from))
    const given = role ? inRole(role.id) : undefined
    if (role && !given) throw new DomainError('no-bottle', `${step.name} has no bottle yet. Choose one from the shelf.`)
    // what is saved and poured away at last leaves its bottle like what is used once
    const last = isSaved(step) ? chosen.find((one) => savedFrom(one) === step.key) : undefined
    const goes = (last && last.fate !== 'back') || (saved !== null && step.fate !== 'back')
    const bottle = given ? { ...given, oneShot: given.oneShot || goes } : null
    const temperatureC = load.bathC?.[step.key] ?? (step === first ? load.temperatureC : (step.atC ?? load.temperatureC))
    const volumeMl = saved === null ? volumeOf(step, load, bottle, rolls) : load.vessel.coversMl
    const { seconds, factors } = timeOfStep(step, {
      ...{ process, load, chartS: developing?.seconds ?? null, temperatureC, bottle },
      rollsPerL: bottle && volumeMl > 0 ? (rolls * 1000) / volumeMl : 0,
    })
    const drainS = step.drainS ?? drainOf(volumeMl)
    const poured = step.liquid !== 'air' && step.liquid !== 'light'
    const atLeastS = pourOf(volumeMl) + drainS + leastS
    const isShort = poured && seconds < atLeastS - 1e-9 && !neverLengthened.includes(step.kind)
    if (isShort)
      lengthened.push({
        ...{ rule: 'plan-step-short', severity: 'advice', step: i },
        message: `${step.name} takes ${showTime(atLeastS)} instead of ${showTime(seconds)}: pouring and draining ${Math.round(volumeMl)} ml alone take ${showTime(atLeastS - leastS)}.`,
      })
    return {
      ...step,
      agitation: step.agitation ?? load.agitation ?? agitations.none,
      drainS: poured ? drainS : 0,
      seconds: isShort ? atLeastS : seconds,
      ...(factors.length > 0 ? { factors } : {}),
      temperatureC,
      volumeMl: poured ? volumeMl : 0,
      partsMl: poured ? dilute({ parts: bottle?.parts ?? [1], totalMl: volumeMl }) : [],
      family: role?.family ?? (step.liquid === 'water' ? 'wash' : String(step.liquid)),
      bottle,
      // a water stop ends the developing on time like any bath
      waits: !bottle && step.kind !== 'stop',
      fate: isSaved(step) || !bottle ? step.fate : bottle.oneShot ? 'discard' : 'back',
    }
  })
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
    steps,
    ...(load.critical ? { critical: true } : {}),
    findings: [],
  }
  const pushing = developing ? pushFindings(load.pushStops) : []
  return { ...plan, findings: [...(developing?.findings ?? []), ...pushing, ...lengthened, ...checkPlan(plan)].sort(byGravity) }
}
