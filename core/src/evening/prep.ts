import { startOfDay } from '../calendar/days'
import { guideOf } from '../proof/guide'
import { wantsOf } from '../process/uses'
import type { Plan } from '../process/load'
import type { PlacedEvening } from '../rota/darkroom/asPlaced'
import { bathLine } from '../rota/bathLine'
import type { EveningBody } from './body'
import { runOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'
import { printsIn } from './printing'
import { printingLight } from './room'

/** Something that has to be done before a load can begin. */
export type PrepTask = {
  /** the same as long as it is the same thing */
  id: string
  /** by when, s of the evening */
  byS: number
  /** it stands in the record already, or somebody has ticked it off */
  done: boolean
} & (
  | { kind: 'mix'; formulaId: string; name: string; load: string; why: string }
  | { kind: 'test'; bottleId: string; label: string; test: string; name: string; says: string }
  | { kind: 'heat'; bath: string; c: number }
  | { kind: 'fill'; load: string; vessel: string; jugs: JugToFill[] }
  /** bottles that are poured from, each once */
  | { kind: 'set-out'; bottles: { label: string; name: string; family: string }[] }
  /** prints are made: the trays and their light are ready before the first */
  | { kind: 'trays'; light: string }
)
/** A beaker to be made ready: what of which bottle, ml, and at how many °C. */
export interface JugToFill {
  step: string
  family: string
  label: string
  name: string
  partsMl: number[]
  temperatureC: number
}

/** s before a load at which its baths have to be mixed, tested, measured out, and before opening or the first print at which things are set out. House defaults. */
const ahead = { mix: 3600, test: 1800, fill: 900, setOut: 1800 }
/** what speaks against a load that a fresh bottle would answer */
const wantsFresh = ['plan-capacity', 'plan-volume', 'plan-bottle']

const jugsOf = (plan: Plan): JugToFill[] =>
  plan.steps.flatMap((step) =>
    step.bottle
      ? [
          {
            step: step.name,
            family: step.bottle.family,
            label: step.bottle.label,
            name: step.bottle.name,
            partsMl: step.partsMl,
            temperatureC: step.temperatureC,
          },
        ]
      : [],
  )

interface Known {
  house: EveningHouse
  runs: LoadRun[]
  asIs: Pick<PlacedEvening, 'rota' | 'problem' | 'plans' | 'against' | 'tests'>
  /** ids of tasks somebody has ticked off */
  ticked: string[]
}

/**
 * What is to be done before each load of an evening, by when, in that order: what to mix, which tests to take, when to set a bath, what to measure out, which bottles and trays to set out. What stands in the record
 * is ticked off by itself: a bottle mixed that day, a test taken that day, a load that is a run.
 * @example
 * prepOf(eveningOfOne, { house: eveningHouse, runs: [], asIs: eveningAsIs(eveningOfOne, eveningHouse, [], 0), ticked: [] }).map((one) => one.kind) // → ['set-out', 'fill']
 */
export function prepOf(body: EveningBody, { house, runs, asIs, ticked }: Known): PrepTask[] {
  const { rota, problem, plans, against, tests } = asIs
  const dayBegins = startOfDay(body.opensAt, house.zone)
  const startOf = new Map(rota.placed.map((one) => [one.load, one.startS]))
  const opens = problem.opensS
  const tickedOff = (id: string): boolean => ticked.includes(id)
  const tasks: PrepTask[] = []

  for (const { load, bottleId, label, kind, name, says } of tests)
    tasks.push({
      ...{ id: `test ${bottleId} ${kind}`, kind: 'test' as const, bottleId, label, test: kind, name, says },
      ...{ byS: (startOf.get(load) ?? opens) - ahead.test, done: false },
    })
  // a test that was taken that day stands there as taken
  const used = new Set(Object.values(plans).flatMap((plan) => wantsOf(plan).map((want) => want.bottleId)))
  for (const { shelf } of house.bottles)
    if (used.has(shelf.id))
      for (const { kind, at } of shelf.state.tests)
        if (at >= dayBegins && !tasks.some((task) => task.id === `test ${shelf.id} ${kind}`))
          tasks.push({
            ...{
              id: `test ${shelf.id} ${kind}`,
              kind: 'test' as const,
              bottleId: shelf.id,
              label: shelf.label,
              test: kind,
              name: guideOf(kind).name,
            },
            ...{ says: '', byS: opens, done: true },
          })

  for (const load of body.loads)
    for (const { rule, step = -1, message } of against[load.id] ?? []) {
      const bottleId = plans[load.id]?.steps[step]?.bottle?.id
      const bottle = wantsFresh.includes(rule) ? house.bottles.find((one) => one.shelf.id === bottleId) : undefined
      if (!bottle) continue
      const { formulaId, name } = bottle.shelf
      const id = `mix ${formulaId}`
      if (tasks.some((task) => task.id === id)) continue
      const fresh = house.bottles.some((one) => one.shelf.formulaId === formulaId && one.facts.madeAt >= dayBegins)
      tasks.push({
        ...{ id, kind: 'mix' as const, formulaId, name, load: load.id, why: message },
        ...{ byS: (startOf.get(load.id) ?? opens) - ahead.mix, done: fresh || tickedOff(id) },
      })
    }

  for (const { id: bath } of problem.baths) {
    const { points } = bathLine(problem, rota.placed, bath)
    points.slice(0, -1).forEach((point, i) => {
      const next = points[i + 1]
      if (!next || Math.abs(next.c - point.c) < 0.1) return
      const id = `heat ${bath} ${Math.round(next.c * 10)} ${i}`
      tasks.push({ id, kind: 'heat', bath, c: next.c, byS: point.s, done: tickedOff(id) })
    })
  }

  for (const { load, startS, vessel } of rota.placed) {
    const kept = body.loads.find((one) => one.id === load)
    const plan = plans[load]
    if (!kept || !plan) continue
    const id = `fill ${load}`
    const run = runOf(kept, runs)
    const done = (run !== undefined && run.state !== 'planned') || tickedOff(id)
    tasks.push({ id, kind: 'fill', load, vessel, jugs: jugsOf(plan), byS: startS - ahead.fill, done })
  }

  const poured = new Map(
    Object.values(plans).flatMap((plan) => plan.steps.flatMap(({ bottle }) => (bottle ? [[bottle.label, bottle] as const] : []))),
  )
  const bottles = [...poured.values()]
    .map(({ label, name, family }) => ({ label, name, family }))
    .sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
  if (bottles.length > 0) tasks.push({ id: 'set-out', kind: 'set-out', bottles, byS: opens - ahead.setOut, done: tickedOff('set-out') })
  const prints = printsIn(body, house.prints)
  if (prints.length > 0) {
    const first = Math.max(body.opensAt, Math.min(...prints.map((one) => one.fromAt)))
    const byS = Math.round((first - dayBegins) / 1000) - ahead.setOut
    tasks.push({ id: 'trays', kind: 'trays', light: printingLight(house.room), byS, done: tickedOff('trays') })
  }
  return tasks.sort((a, b) => a.byS - b.byS || (a.id < b.id ? -1 : 1))
}
