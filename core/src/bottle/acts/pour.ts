import { conflict, impossible } from '../../error'
import type { Fixable } from '../../formula/use'
import { throughputFrom } from '../throughput'
import { together, type Acted, type Decided, type NewLine } from './act'
import { decideJoining, type Meets } from './join'
import { requireInUse, requireRoom, requireUsable, requireVolume } from './requiring'

export const pourings = ['pour-out', 'pour-back', 'top-up', 'water', 'evaporate', 'discard', 'use'] as const
type Pouring = (typeof pourings)[number]

export interface AskedPour {
  entryId: string
  kind: Pouring
  ml: number
  /** roll equivalents of film that went through, and how many of them were colour or slide film; prints of 8×10 in */
  rolls: number
  colourRolls: number
  paper: number
  paperKind?: 'rc-paper' | 'fibre-paper' | undefined
  /** ml of water a wet load carried in */
  waterInMl: number
  note: string
  overrule?: string | undefined
}

const materialWords = { film: 'film', 'rc-paper': 'RC paper', 'fibre-paper': 'fibre paper' }
const taking: Pouring[] = ['pour-out', 'discard', 'use', 'evaporate']

/** More rolls, or prints of their area, than this in one line cannot have been in that much liquid; rolls/L. House default. */
const mostLoadsPerL = 100

/** Refuses paper that the silver in a fixer has closed it for, whatever the silver came from. */
function requireOpenFor(bottle: Acted, material: Fixable): void {
  if (bottle.state.closedFor.includes(material))
    throw conflict(
      'closed-for',
      `${bottle.label} holds about ${(bottle.state.silverGPerL ?? 0).toFixed(1)} g/L of silver, too much for ${materialWords[material]}: it would not keep. Take another bottle, or give the reason why this one all the same.`,
      { field: 'overrule' },
    )
}

/** Refuses what cannot have been: nothing at all, more loads than liquid, more colour than rolls. */
function requireLikely(bottle: Acted, { ml, rolls, paper, colourRolls }: AskedPour): void {
  if (ml === 0 && rolls === 0 && paper === 0) throw impossible('nothing', 'Say how much, or how many rolls.', { field: 'ml' })
  const mostLoads = Math.max(1, (bottle.sizeMl / 1000) * mostLoadsPerL)
  if (rolls + paper > mostLoads)
    throw impossible(
      'too-many',
      `${bottle.label} holds ${Math.round(bottle.sizeMl)} ml: more than ${Math.floor(mostLoads)} rolls at once cannot be. Write what went through it.`,
      { field: 'rolls' },
    )
  if (colourRolls > rolls) throw impossible('invalid', 'Of the rolls, no more can be colour than there are.', { field: 'colourRolls' })
}

/**
 * What is written when liquid is poured out of a bottle, back, away, onto it, or films or prints went through it. `from`: the bottle it is topped up from.
 * @throws Refused 'not-enough', 'too-full', 'retired', 'closed-for', 'too-many', 'never-meets', or the rule that speaks against the bottle
 * @example
 * decidePour({ bottle: acted }, { entryId: 'e', kind: 'use', ml: 30, rolls: 2, colourRolls: 0, paper: 0, waterInMl: 0, note: '' }).lines[0].ml // → -30
 */
export function decidePour(
  { bottle, from, meets = null }: { bottle: Acted; from?: Acted | undefined; meets?: Meets },
  asked: AskedPour,
): Decided {
  const { entryId, kind, rolls, paper, colourRolls, overrule } = asked
  const takes = taking.includes(kind)
  const why = kind === 'pour-out' || kind === 'use' ? requireUsable(bottle, overrule) : ''
  if (kind === 'use' && paper > 0 && overrule === undefined) requireOpenFor(bottle, asked.paperKind ?? 'rc-paper')
  if (!takes) requireInUse(bottle)
  requireLikely(bottle, asked)
  const waterInMl = kind === 'water' ? asked.ml : kind === 'use' ? asked.waterInMl : 0
  const ml = takes ? -asked.ml + (kind === 'use' ? waterInMl : 0) : asked.ml
  if (ml < 0) requireVolume(bottle, -ml)
  else requireRoom(bottle, ml)
  const joins = kind === 'top-up' && from ? decideJoining(bottle, from, { ml: asked.ml, overrule, meets }) : null
  const throughput = throughputFrom({ rolls, paper, colourRolls })
  const note = together(asked.note, why)
  const line: NewLine = { id: entryId, bottleId: bottle.id, kind, ml, note, throughput, waterInMl, brings: joins?.brings ?? null }
  const lines = [...(joins ? [joins.line] : []), from ? { ...line, otherBottleId: from.id } : line]
  if (kind !== 'discard') return { lines }
  return { lines, waste: [{ line: 0, family: bottle.family, silverGPerL: bottle.state.silverGPerL, note: asked.note }] }
}
