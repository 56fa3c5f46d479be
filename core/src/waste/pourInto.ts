import type { Catalogue } from '../chemical/chemical'
import { conflict, impossible } from '../error'
import { drumNames } from './drumNames'
import type { Drum } from './drumIds'
import type { DrumFacts, DrumState } from './drum'
import { blockWords, neverMeets, type Liquid } from './never'

export interface DrumKnown {
  /** drums that stand in the same tray */
  neighbours: { code: string; liquid: Liquid }[]
  /** what went through the funnel last, and it was not rinsed since; null where it is clean, or the drum's own */
  funnel: { name: string; liquid: Liquid } | null
  /** m³; null where nobody measured the room */
  roomM3: number | null
  catalogue?: Catalogue
}

/** Liquid as it is poured into a drum; of noble metals with its metal. */
export interface PouredLiquid extends Liquid {
  metal: string | null
}

const litres = (ml: number): string => `${(ml / 1000).toFixed(2)} L`

function requireOpen({ code, labelledAt, quarantinedWhy }: DrumFacts, { standing }: DrumState): void {
  if (standing === 'quarantined')
    throw conflict(
      'drum-quarantined',
      `Drum ${code} is in quarantine (${quarantinedWhy ?? 'a wrong pour'}): do not open, move or fill it. Ventilate, and call the contractor.`,
    )
  if (standing === 'collected') throw conflict('drum-collected', `Drum ${code} was collected. Take another.`)
  if (standing === 'sealed') throw conflict('drum-sealed', `Drum ${code} is sealed: nothing more goes in. Take another.`)
  if (labelledAt === null) throw conflict('drum-label', `Drum ${code} has no label yet. Print it and put it on before the first pour.`)
}

/** Refuses what never meets, in the drum, in the funnel, beside it: there is no way past it. */
function requireMayMeet(
  drum: DrumFacts,
  state: DrumState,
  poured: PouredLiquid,
  { neighbours, funnel, roomM3, catalogue }: DrumKnown,
): void {
  const there: Liquid = { family: drum.family, ml: state.ml, contents: state.contents }
  const with_ = (where: string, other: Liquid): void => {
    const block = neverMeets(other, poured, { roomM3, ...(catalogue ? { catalogue } : {}) })
    if (block) throw conflict('never-meets', `${where}: ${blockWords(block)}`, { current: block })
  }
  with_(`In drum ${drum.code} (${drumNames[drum.family]})`, there)
  if (funnel) with_(`In the funnel “${funnel.name}”, which was not rinsed`, funnel.liquid)
  for (const { code, liquid } of neighbours) with_(`Drum ${code} stands in the same tray`, liquid)
}

/**
 * Refuses a pour a drum may not take: for the state it is in, for what never meets, for another family, for want of room. What is refused changes nothing.
 * @throws Refused 'drum-label', 'drum-sealed', 'drum-collected', 'drum-quarantined', 'never-meets', 'drum-family', 'drum-metal', 'drum-full'
 * @example
 * requirePour(aDrum, drumState(aDrum, []), { family: 'sil', ml: 500, contents: null, metal: null }, { neighbours: [], funnel: null, roomM3: null }) // → undefined
 */
export function requirePour(drum: DrumFacts, state: DrumState, poured: PouredLiquid, known: DrumKnown): void {
  if (!(poured.ml > 0)) throw impossible('nothing', 'Say how much.', { field: 'ml' })
  requireOpen(drum, state)
  requireMayMeet(drum, state, poured, known)
  if (poured.family !== drum.family)
    throw conflict(
      'drum-family',
      `Drum ${drum.code} is for ${drumNames[drum.family]}. ${poured.family === 'chl' ? 'Chlorine cleaner is never poured together with anything, and never kept here.' : `This goes into one for ${drumNames[poured.family as Drum]}.`}`,
    )
  if (drum.family === 'nob' && drum.metal !== poured.metal)
    throw conflict('drum-metal', `Drum ${drum.code} is for ${drum.metal ?? 'another metal'}: each metal has a drum of its own.`)
  if (poured.ml > state.roomMl)
    throw conflict(
      'drum-full',
      `Drum ${drum.code} takes ${litres(state.roomMl)} more, and this is ${litres(poured.ml)}. Take another drum.`,
    )
}
