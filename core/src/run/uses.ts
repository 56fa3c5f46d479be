import type { Acted, NewLine } from '../bottle/acts/act'
import { requireVolume } from '../bottle/acts/requiring'
import { throughputFrom } from '../bottle/throughput'
import type { BottleUse } from '../process/load'

/**
 * The lines a run's uses of its bottles come to, step by step. `strict`: what is not there is refused; else a bottle that holds less than the carry-out gives what it
 * has. A bottle that stands in two steps gives twice.
 * @throws Refused 'not-enough'
 * @example
 * linesOfUses(usesAtEnd(run), [acted], { runId: 'r', strict: false })[0].ml // → 0
 */
export function linesOfUses(uses: BottleUse[], bottles: Acted[], { runId, strict }: { runId: string; strict: boolean }): NewLine[] {
  const held = new Map(bottles.map((bottle) => [bottle.id, bottle.state.volumeMl]))
  return uses.flatMap(({ bottleId, kind, rolls, colourRolls = 0, waterInMl, step, ml: asked }) => {
    const bottle = bottles.find((one) => one.id === bottleId)
    if (!bottle) return []
    const left = held.get(bottleId) ?? 0
    if (strict) requireVolume({ ...bottle, state: { ...bottle.state, volumeMl: left } }, -asked)
    const ml = Math.max(asked, -left)
    held.set(bottleId, left + ml)
    return [{ bottleId, kind, ml, throughput: throughputFrom({ rolls, colourRolls }), waterInMl, runId, step }]
  })
}
