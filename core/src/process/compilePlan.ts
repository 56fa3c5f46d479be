import { DomainError } from '../error'
import { developingTime } from '../development/developingTime'
import { loadFactors, pushFindings } from '../development/factors'
import { dilute } from '../dilution/dilute'
import { minimumWorkingVolume } from '../dilution/minimumWorkingVolume'
import { carryOutMl, rollEquivalents } from '../dilution/rollEquivalents'
import { byGravity } from '../finding'
import { checkPlan } from './checkPlan'
import { planFormat } from './plan'
import type { BottleUse, Load, Plan, PlanBottle, PlanStep, Process } from './process'

const noBottle = ['water', 'air']

/**
 * Roll equivalents of all films of a load.
 * @example
 * loadRolls([{ format: '135-36', count: 2 }, { format: '4x5in', count: 4 }]) // → 3
 */
export const loadRolls = (films: Load['films']): number => films.reduce((sum, film) => sum + rollEquivalents(film), 0)

/** s of water the film had before the developer. */
const preWetOf = (process: Process): number =>
  process.steps.reduce((sum, step) => sum + (step.kind === 'pre-wet' && typeof step.time === 'number' ? step.time : 0), 0)

/**
 * Works a process out for a load: the developing time with every factor, each bath's volume and parts in ml, temperatures in °C and times in s.
 * `bottles` are chosen per family of bath; a bath without one throws `no-bottle`. Findings of the plan are in it.
 * @example
 * run.steps[0].partsMl // → [150, 150]
 */
export function compilePlan(process: Process, load: Load, bottles: PlanBottle[]): Plan {
  const rolls = loadRolls(load.films)
  if (rolls <= 0) throw new DomainError('out-of-range', 'A run needs at least one film.')
  const developer = bottles.find((bottle) => bottle.family === 'film-developer')
  const fromBottle = developer && developer.timeFactor !== 1 ? [{ name: 'used bath', factor: developer.timeFactor }] : []
  const developing = process.steps.some((step) => step.time === 'chart')
    ? developingTime({
        chart: load.chart,
        temperatureC: load.temperatureC,
        factors: [
          ...loadFactors({ pushStops: load.pushStops, rotary: load.vessel.kind === 'rotary', preWetS: preWetOf(process) }),
          ...fromBottle,
          ...(load.factors ?? []),
        ],
        ...(load.k === undefined ? {} : { k: load.k }),
        ...(load.rangeC === undefined ? {} : { rangeC: load.rangeC }),
      })
    : null
  const steps = process.steps.map((step, i): PlanStep => {
    const bottle = noBottle.includes(step.bath) ? null : (bottles.find((one) => one.family === step.bath) ?? null)
    if (!bottle && !noBottle.includes(step.bath))
      throw new DomainError('no-bottle', `${step.name} has no bottle yet. Choose one from the shelf.`)
    const parts = bottle?.parts ?? [1]
    const volumeMl = bottle
      ? minimumWorkingVolume({
          vesselMl: load.vessel.coversMl,
          rolls: bottle.oneShot ? rolls : 0,
          minConcentrateMlPerRoll: bottle.minConcentrateMlPerRoll,
          parts,
        })
      : load.vessel.coversMl
    return {
      ...step,
      seconds: step.time === 'chart' ? (developing?.seconds ?? 0) : step.time,
      temperatureC: load.bathC?.[i] ?? load.temperatureC,
      volumeMl,
      partsMl: dilute({ parts, totalMl: volumeMl }),
      bottle,
      // a water stop ends the developing on time like any bath
      waits: !bottle && step.kind !== 'stop',
      fate: bottle && !bottle.oneShot ? 'back' : bottle ? 'discard' : step.fate,
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
  return { ...plan, findings: [...(developing?.findings ?? []), ...pushFindings(load.pushStops), ...checkPlan(plan)].sort(byGravity) }
}

/**
 * What leaves each bottle when the liquids are measured out, step by step: what is diluted or used once.
 * @example
 * usesAtStart(run).map((use) => [use.bottleId, use.kind, use.ml]) // → [['d1', 'dilute-out', -150]]
 */
export const usesAtStart = (plan: Plan): BottleUse[] =>
  plan.steps.flatMap((step, i) =>
    step.bottle?.oneShot
      ? [{ step: i, bottleId: step.bottle.id, kind: 'dilute-out' as const, ml: -(step.partsMl[0] ?? 0), waterInMl: 0, rolls: 0 }]
      : [],
  )

/**
 * What a finished run did to the bottles whose liquid was poured back, step by step: its rolls, and the carry-out. Film that goes in dry takes liquid
 * away; film that comes wet brings in as much as it carries out, so that the volume stays and the strength falls.
 * @example
 * usesAtEnd(run).map((use) => [use.bottleId, use.kind, use.rolls]) // → [['f1', 'use', 1]]
 */
export function usesAtEnd(plan: Plan): BottleUse[] {
  const carry = plan.films.reduce((sum, film) => sum + carryOutMl(film, plan.vessel.carryMl ?? undefined), 0)
  return plan.steps.flatMap((step, i) => {
    if (!step.bottle || step.bottle.oneShot) return []
    const wet = i > 0 && plan.steps.slice(0, i).some((earlier) => earlier.bath !== 'air')
    return [
      {
        step: i,
        bottleId: step.bottle.id,
        kind: 'use' as const,
        ml: wet ? 0 : -carry,
        waterInMl: wet ? carry : 0,
        rolls: plan.rolls,
      },
    ]
  })
}

/**
 * What a plan wants of each bottle, step by step: ml that leave it or stand in the tank, and roll equivalents that go through.
 * @example
 * wantsOf(run).map((want) => [want.bottleId, want.ml]) // → [['d1', 150], ['f1', 300]]
 */
export const wantsOf = (
  plan: Plan,
): { step: number; bottleId: string; parts: number[]; ml: number; equivalents: number; oneShot: boolean }[] =>
  plan.steps.flatMap((step, i) =>
    step.bottle
      ? [
          {
            step: i,
            bottleId: step.bottle.id,
            parts: step.bottle.parts,
            ml: step.partsMl[0] ?? 0,
            equivalents: plan.rolls,
            oneShot: step.bottle.oneShot,
          },
        ]
      : [],
  )
