import { usesAtEnd, usesAtStart } from '../process/uses'
import type { EveningBody } from './body'
import { runOf } from './darkroomOf'
import type { EveningHouse, LoadRun } from './house'

/** What an evening took of a bottle, and what is left in it. */
export interface ClosingLine {
  bottleId: string
  label: string
  name: string
  formulaId: string
  /** ml that were taken for good, roll equivalents that went through */
  usedMl: number
  usedRolls: number
  /** null where it is not in use any more */
  leftMl: number | null
  /** null where it has no count */
  leftRolls: number | null
  /** it will not bear another roll: mix before the next evening */
  mix: boolean
}

/**
 * What is written down when the doors are closed: of every bottle the runs of an evening went through what they used and what is left; and films that are not developed yet.
 * @example
 * closingOf(eveningOfOne, { house: eveningHouse, runs: [] }) // → { lines: [], developed: 0, undeveloped: 1 }
 */
export function closingOf(
  body: EveningBody,
  { house, runs }: { house: EveningHouse; runs: LoadRun[] },
): { lines: ClosingLine[]; developed: number; undeveloped: number } {
  const done = body.loads.flatMap((load) => {
    const run = runOf(load, runs)
    return run?.state === 'done' ? [{ load, run }] : []
  })
  const used = new Map<string, { ml: number; rolls: number; label: string; name: string }>()
  for (const { run } of done)
    for (const { step, bottleId, ml, rolls } of [...usesAtStart(run.plan), ...usesAtEnd(run.plan)]) {
      const { label = '', name = '' } = run.plan.steps[step]?.bottle ?? {}
      const sum = used.get(bottleId) ?? { ml: 0, rolls: 0, label, name }
      used.set(bottleId, { ...sum, ml: sum.ml - ml, rolls: sum.rolls + rolls })
    }
  const lines = [...used].map(([bottleId, { ml, rolls, label, name }]): ClosingLine => {
    const bottle = house.bottles.find((one) => one.shelf.id === bottleId)?.shelf
    const [leftMl, leftRolls] = [bottle?.state.volumeMl ?? null, bottle?.state.rollsLeft ?? null]
    const mix = leftMl === null || leftMl < 1 || (leftRolls !== null && leftRolls < 1)
    return { bottleId, label, name, formulaId: bottle?.formulaId ?? '', usedMl: ml, usedRolls: rolls, leftMl, leftRolls, mix }
  })
  const developed = done.reduce((sum, { load }) => sum + load.orders.length, 0)
  const films = body.loads.reduce((sum, load) => sum + load.orders.length, 0)
  return { lines: lines.sort((a, b) => (a.label < b.label ? -1 : 1)), developed, undeveloped: films - developed }
}
