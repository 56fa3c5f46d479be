import { impossible } from '../../error'
import type { Acted, Decided } from './act'
import { broughtFrom } from './brought'
import type { Meets } from './join'
import { requireVolume } from './requiring'
import { asOne, decideRetiring } from './retire'

/**
 * What is written when some of a bottle (ml) was poured into the wrong one: both are retired, since nobody knows any more what is in them.
 * @throws Refused 'same-bottle', 'not-enough'
 * @example
 * decideWrongBottle({ from: acted, into: { ...acted, id: 'f2', label: 'F2' } }, { entryId: 'e', ml: 50, reason: 'dark' }).retired?.map((one) => one.bottleId) // → ['f1', 'f2']
 */
export function decideWrongBottle(
  { from, into, meets = null }: { from: Acted; into: Acted; meets?: Meets },
  { entryId, ml, reason }: { entryId: string; ml: number; reason: string },
): Decided {
  if (from.id === into.id) throw impossible('same-bottle', 'Say into which other bottle it was poured.', { field: 'intoId' })
  requireVolume(from, ml)
  const line = { kind: 'wrong-bottle' as const, note: reason }
  const poured: Decided = {
    lines: [
      { ...line, id: entryId, bottleId: from.id, ml: -ml, otherBottleId: into.id },
      { ...line, bottleId: into.id, ml, otherBottleId: from.id, brings: broughtFrom(from.state) },
    ],
  }
  const warns = meets ? ` Danger: ${meets.danger}` : ''
  const ends = [
    { bottle: from, why: `Some of it was poured into ${into.label}: ${reason}${warns}` },
    { bottle: into, why: `${from.label} ${from.name} was poured into it: ${reason}${warns}` },
  ]
  return asOne(poured, ...ends.filter(({ bottle }) => bottle.retiredAt === null).map(({ bottle, why }) => decideRetiring(bottle, { why })))
}
