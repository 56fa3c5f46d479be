import { drumNames } from '../waste/drumNames'
import type { WasteFamily } from '../waste/drumIds'
import type { AidSubstance } from './substance'

/** What is done when something was spilled, in order. The supplier's sheet and local rules decide. */
export interface SpillCard {
  /** when to leave instead of cleaning up */
  leave: string
  /** for everything */
  first: string[]
  /** for what this is */
  then: string[]
  /** what must not come near it */
  never: string[]
  /** where everything goes that was used */
  bin: string
}

const leave = 'Over 1 L, a cloud of powder, a smell of eggs or almonds: everybody out, shut the door, call.'
const first = ['People away. Call out what it is.', 'Gloves and goggles on.', 'Ventilate.', 'Stop it reaching the drain.']

const oxidiser = {
  then: [
    'Cover it with an inert absorbent: no sawdust, no paper.',
    'A technician wipes what is left with 5 % ascorbic acid, into the same bin.',
  ],
  never: ['No sawdust, no paper, no other acid, no developer.'],
}
const noAcid = 'No acid.'
const byFamily: Record<WasteFamily, Pick<SpillCard, 'then' | 'never'>> = {
  dev: { then: ['Absorb it.', 'Wash with water.', 'Where it dries brown: 2 % citric acid.'], never: [] },
  sil: { then: ['Absorb it.', 'Rinse what is left into its drum.'], never: [noAcid] },
  fer: { then: ['Absorb it.', 'Then plain water.'], never: [noAcid] },
  chr: oxidiser,
  mno: oxidiser,
  cop: { then: ['Absorb it.', 'Then plain water, into its drum.'], never: ['No chlorine cleaner, no sulfide, no acid.'] },
  sul: { then: ['Hood on.', 'Absorb it.'], never: [noAcid] },
  sel: { then: ['Hood on.', 'Absorb it.'], never: [noAcid] },
  acid: { then: ['Bicarbonate, from the rim inwards, until it stops foaming.'], never: ['No chlorine cleaner, no sulfide, no fixer.'] },
  alk: { then: ['Much absorbent.', 'What is left: 2 % citric acid.'], never: ['Nothing with ammonium, no strong acid.'] },
  oxa: { then: ['Absorb it.', 'A calcium salt or chalk on the film that is left.'], never: ['No strong acid.'] },
  nob: { then: ['Salt water: it turns to white curd.', 'Wipe it up.'], never: ['No ammonia.'] },
  ald: { then: ['Leave, and let the air change.', 'Then absorb it.'], never: [] },
  chl: { then: ['Leave, and let the air change.', 'Then absorb it, and plain water.'], never: ['No acid, no ammonia, no developer.'] },
}
/** nobody knows what it is: nothing is poured onto it */
const unknown = {
  then: ['Cover it with an inert absorbent: no sawdust, no paper.'],
  never: ['Nothing poured onto it: nobody knows what is in it.'],
}

/**
 * The card for something that was spilled, by what it is.
 * @example
 * spillCard(aidOf({ family: 'stop-bath', additions: [] })).then // → ['Bicarbonate, from the rim inwards, until it stops foaming.']
 */
export function spillCard({ family }: Pick<AidSubstance, 'family'>): SpillCard {
  const name = family === null ? 'for what nobody knows' : family === 'chl' ? 'of its own, in the open air' : `for ${drumNames[family]}`
  return {
    leave,
    first,
    ...(family === null ? unknown : byFamily[family]),
    bin: `Everything that was used goes into the lidded bin ${name}.`,
  }
}
