import { wantsOf, usesAtEnd, usesAtStart } from '../../process/uses'
import type { BottleUse, Plan } from '../../process/load'
import { planFor } from '../../process/planFor'
import type { ShelfBottle } from '../../process/shelf'
import { DomainError } from '../../error'
import { guideOf } from '../../proof/guide'
import { afterUses, dueOf } from './bottle'
import type { DarkroomEvening, DecidedLoad, EveningBottle, TestBefore } from './evening'

/** A load with what it is and the starts of its steps, s. */
export interface Timed {
  load: DecidedLoad
  plan: Plan
  /** of the steps of its plan */
  starts: number[]
}

interface Turn {
  load: string
  /** s at which it pours of the bottle first */
  at: number
  uses: BottleUse[]
}

/** What a load does to one of its bottles. */
export const usesOfBottle = (plan: Plan, bottleId: string): BottleUse[] =>
  [...usesAtStart(plan), ...usesAtEnd(plan)].filter((use) => use.bottleId === bottleId)

/** The loads of each bottle in the order in which they pour of it; what is diluted is measured out when its load begins. */
export function turnsOf(timed: Timed[]): Map<string, Turn[]> {
  const turns = new Map<string, Turn[]>()
  for (const { load, plan, starts } of timed)
    for (const bottleId of new Set(wantsOf(plan).map((want) => want.bottleId))) {
      const step = plan.steps.findIndex((one) => one.bottle?.id === bottleId)
      const at = (plan.steps[step]?.bottle?.oneShot ? starts[0] : starts[step]) ?? 0
      turns.set(bottleId, [...(turns.get(bottleId) ?? []), { load: load.id, at, uses: usesOfBottle(plan, bottleId) }])
    }
  for (const list of turns.values()) list.sort((a, b) => a.at - b.at || (a.load < b.load ? -1 : 1))
  return turns
}

/** Each load's bottles as they are when its turn comes, and the tests that are due by then: those that were due before the evening are its first load's. */
export function inTurn(evening: DarkroomEvening, timed: Timed[]): { bottles: Map<string, ShelfBottle[]>; tests: TestBefore[] } {
  const bottles = new Map<string, ShelfBottle[]>(timed.map(({ load }) => [load.id, []]))
  const tests: TestBefore[] = []
  const critical = new Set(timed.filter(({ load }) => load.request.critical).map(({ load }) => load.id))
  for (const [id, turns] of turnsOf(timed)) {
    let held = evening.bottles.find((one) => one.shelf.id === id) as EveningBottle
    const asked = new Set<string>()
    for (const { load, at, uses } of turns) {
      const ms = evening.midnight + at * 1000
      for (const { kind, says } of dueOf(held, evening, ms, critical.has(load)))
        if (!asked.has(kind)) {
          asked.add(kind)
          tests.push({ load, bottleId: id, label: held.shelf.label, kind, name: guideOf(kind).name, says })
        }
      bottles.get(load)?.push(held.shelf)
      held = afterUses(held, uses, load, evening, ms)
    }
  }
  return { bottles, tests }
}

/** What a load is with those bottles, in that vessel. */
export function planWith(evening: DarkroomEvening, load: DecidedLoad, bottles: ShelfBottle[], vesselId = load.request.vesselId): Plan {
  const process = evening.processes[load.request.processVersionId]
  if (!process) throw new DomainError('no-process', 'The process of this load is not there any more.')
  // what is in a vessel, and when, is said by the evening itself
  const vessels = evening.vessels.map((vessel) => ({ ...vessel, running: [], planned: [] }))
  const mine = new Map([...evening.bottles.map((one) => one.shelf), ...bottles].map((bottle) => [bottle.id, bottle]))
  const { chart, partOf } = evening
  return planFor({ ...load.request, vesselId }, { process, vessels, chart, ...(partOf ? { partOf } : {}), bottles: [...mine.values()] })
}
