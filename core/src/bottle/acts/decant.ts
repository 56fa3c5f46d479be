import type { Acted, Decided } from './act'
import { broughtFrom } from './brought'
import { requireUsable, requireVolume } from './requiring'

export interface AskedDecanting {
  into: { id: string; sizeMl: number; ml: number }[]
  overrule?: string | undefined
}

/**
 * What is written when a bottle is decanted into others, unchanged: each takes its date, its use and its tests along.
 * @throws Refused 'not-enough', or the rule that speaks against the bottle
 * @example
 * decideDecanting(acted, { into: [{ id: 'n', sizeMl: 500, ml: 500 }] }).lines[0].ml // → -500
 */
export function decideDecanting(from: Acted, { into, overrule }: AskedDecanting): Decided {
  const note = requireUsable(from, overrule)
  requireVolume(
    from,
    into.reduce((sum, one) => sum + one.ml, 0),
  )
  const like = { parts: from.parts, madeAt: from.madeAt, brings: broughtFrom(from.state) }
  return {
    lines: into.map((one) => ({ bottleId: from.id, kind: 'decant', ml: -one.ml, otherBottleId: one.id, note })),
    made: into.map((one) => ({ ...one, ...like })),
  }
}
