import { dilute } from '../../dilution/dilute'
import { impossible } from '../../error'
import type { Acted, Decided } from './act'
import type { Meets } from './join'
import { requireUsable, requireVolume } from './requiring'

export interface AskedCombining {
  newId: string
  parts: number[]
  totalMl: number
  sizeMl: number
}
/** What is poured together: its name, its parts in their order, and a bottle of each. */
export interface Combining {
  name: string
  wanted: { part: string; formulaId: string }[]
  from: Acted[]
}

/**
 * ml of each part, and of the water at the end.
 * @throws Refused 'not-combined', 'wrong-part', 'not-enough', or the rule that speaks against a bottle
 * @example
 * volumesOfParts({ name: 'Toner', wanted: [{ part: 'A', formulaId: 'fixer' }], from: [acted] }, { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500 }) // → { ml: [100], waterMl: 400 }
 */
export function volumesOfParts({ name, wanted, from }: Combining, { parts, totalMl }: AskedCombining): { ml: number[]; waterMl: number } {
  if (wanted.length === 0 || wanted.length !== from.length || parts.length < from.length)
    throw impossible('not-combined', `${name} is not poured together from that many parts.`)
  const volumes = dilute({ parts, totalMl })
  for (const [i, bottle] of from.entries()) {
    const part = wanted[i]
    if (bottle.formulaId !== part?.formulaId)
      throw impossible('wrong-part', `${bottle.label} ${bottle.name} is not part ${part?.part ?? i + 1} of ${name}.`)
    requireUsable(bottle, undefined)
    requireVolume(bottle, volumes[i] ?? 0)
  }
  const ml = volumes.slice(0, from.length)
  return { ml, waterMl: Math.max(0, totalMl - ml.reduce((sum, one) => sum + one, 0)) }
}

/**
 * What is written when the parts of a formula are poured together, in their order, with water. `meets` is asked of what is really in them, with `volumesOfParts`.
 * @throws Refused 'never-meets', and what `volumesOfParts` refuses
 * @example
 * decideCombining({ name: 'Toner', wanted: [{ part: 'A', formulaId: 'fixer' }], from: [acted] }, { newId: 'n', parts: [1, 4], totalMl: 500, sizeMl: 500 }).lines[0].ml // → -100
 */
export function decideCombining(combining: Combining, asked: AskedCombining, meets: Meets = null): Decided {
  const { ml } = volumesOfParts(combining, asked)
  if (meets) throw impossible('never-meets', `These are not poured together: ${meets.danger}`)
  const { newId: id, sizeMl, totalMl, parts } = asked
  return {
    lines: combining.from.map((bottle, i) => ({
      bottleId: bottle.id,
      kind: 'dilute-out',
      ml: -(ml[i] ?? 0),
      otherBottleId: id,
      note: `part ${combining.wanted[i]?.part ?? i + 1} of ${totalMl} ml ${combining.name}`,
    })),
    made: [{ id, sizeMl, ml: totalMl, parts }],
  }
}
