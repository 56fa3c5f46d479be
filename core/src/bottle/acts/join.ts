import { impossible } from '../../error'
import type { Brought } from '../bottle'
import { together, type Acted, type NewLine } from './act'
import { broughtFrom } from './brought'
import { requireUsable, requireVolume } from './requiring'

/** What comes of pouring the two together, by what is really in them; null where nothing does, or where only looking ahead nobody knows. */
export type Meets = { danger: string } | null

/** Liquid (ml) of another bottle, safe to join this one's: the line in the other's ledger, and what the liquid brings along. */
export function decideJoining(
  into: Acted,
  from: Acted,
  { ml, overrule, meets }: { ml: number; overrule: string | undefined; meets: Meets },
): { line: NewLine; brings: Brought } {
  const why = requireUsable(from, overrule)
  requireVolume(from, ml)
  if (meets) throw impossible('never-meets', `${from.label} and ${into.label} are not poured together: ${meets.danger}`)
  if (from.formulaId !== into.formulaId && from.family !== into.family)
    throw impossible(
      'other-family',
      `${from.label} ${from.name} does not belong into ${into.label} ${into.name}. If it was poured there, write that down as poured into the wrong bottle.`,
    )
  const note = together(`into ${into.label}`, why)
  return { line: { bottleId: from.id, kind: 'pour-out', ml: -ml, otherBottleId: into.id, note }, brings: broughtFrom(from.state) }
}
