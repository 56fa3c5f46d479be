import { DomainError } from '../error'
import { dilute } from '../dilution/dilute'
import { minimumWorkingVolume } from '../dilution/minimumWorkingVolume'
import type { Finding } from '../finding'
import { showTime } from '../quantity/format'
import { agitations } from './agitations'
import type { Load, PlanBottle, PlanStep, RoleBottle } from './load'
import { loadCarryMl } from './loaded'
import type { Process } from './process'
import type { Agitation, ProcessStep } from './step'
import { developsFirst, drainOf, isLengthened, isSaved, leastOf, roleOf, savedFrom } from './stepFacts'
import { timeOfStep } from './timeOfStep'

/** What a step is worked out from. */
export interface Worked {
  process: Process
  load: Load
  /** the steps that count */
  chosen: ProcessStep[]
  bottles: RoleBottle[]
  rolls: number
  /** s by the development chart; null where nothing is charted */
  chartS: number | null
}

export const bottleIn = (bottles: RoleBottle[], role: string | null): PlanBottle | undefined =>
  bottles.find((one) => one.role === role)?.bottle

/** The bath of a step, its own or the one an earlier step saved. What is saved and poured away at last leaves its bottle like what is used once. */
function bathOf(step: ProcessStep, { process, chosen, bottles }: Worked): { family: string; bottle: PlanBottle | null } {
  const saved = savedFrom(step)
  const from = saved === null ? step : (process.steps.find((one) => one.key === saved) ?? step)
  const role = process.roles.find((one) => one.id === roleOf(from))
  if (!role) return { family: step.liquid === 'water' ? 'wash' : String(step.liquid), bottle: null }
  const given = bottleIn(bottles, role.id)
  if (!given) throw new DomainError('no-bottle', `${step.name} has no bottle yet. Choose one from the shelf.`)
  const last = isSaved(step) ? chosen.find((one) => savedFrom(one) === step.key) : saved === null ? undefined : step
  return { family: role.family, bottle: { ...given, oneShot: given.oneShot || (last !== undefined && last.fate !== 'back') } }
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

const isLookedAt = ({ time }: ProcessStep): boolean => typeof time === 'object' && 'inspect' in time

/** Its own agitation, else the run's. A drum turns all the time; what is not agitated at all is not turned either. */
function agitationOf(step: ProcessStep, { vessel, agitation }: Load): Agitation {
  const said = step.agitation ?? agitation ?? agitations.none
  return vessel.kind === 'rotary' && said.everyS > 0 ? agitations.continuous : said
}

/** A step worked out for a load, and what is said of it where it had to be lengthened. `i` counts among the steps that count. */
export function planStepOf(step: ProcessStep, i: number, worked: Worked): { step: PlanStep; said: Finding[] } {
  const { process, load, chosen, rolls, chartS } = worked
  const { family, bottle } = bathOf(step, worked)
  const isFirst = step === chosen.find(developsFirst)
  const temperatureC = load.bathC?.[step.key] ?? (isFirst ? load.temperatureC : (step.atC ?? load.temperatureC))
  const poured = step.liquid !== 'air' && step.liquid !== 'light'
  const volumeMl = !poured ? 0 : savedFrom(step) === null ? volumeOf(step, load, bottle, rolls) : load.vessel.coversMl
  const rollsPerL = bottle && volumeMl > 0 ? (rolls * 1000) / volumeMl : 0
  const { seconds, factors } = timeOfStep(step, { process, load, chartS, temperatureC, bottle, rollsPerL })
  const drainS = poured ? (step.drainS ?? drainOf(volumeMl)) : 0
  const { handsS, leastS } = leastOf(volumeMl, drainS)
  const isShort = poured && seconds < leastS - 1e-9 && isLengthened(step.kind)
  const message = `${step.name} takes ${showTime(leastS)} instead of ${showTime(seconds)}: pouring and draining ${Math.round(volumeMl)} ml alone take ${showTime(handsS)}.`
  return {
    said: isShort ? [{ rule: 'plan-step-short', severity: 'advice', step: i, message }] : [],
    step: {
      ...step,
      agitation: agitationOf(step, load),
      drainS,
      seconds: isShort ? leastS : seconds,
      ...(factors.length > 0 ? { factors } : {}),
      temperatureC,
      volumeMl,
      partsMl: poured ? dilute({ parts: bottle?.parts ?? [1], totalMl: volumeMl }) : [],
      family,
      bottle,
      // what is looked at ends by somebody's word; a water stop ends the developing on time like any bath
      waits: isLookedAt(step) || (!bottle && step.kind !== 'stop'),
      fate: isSaved(step) || !bottle ? step.fate : bottle.oneShot ? 'discard' : 'back',
    },
  }
}
