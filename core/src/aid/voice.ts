import type { WasteFamily } from '../waste/drumIds'
import type { AidSubstance } from './substance'

/** What is said of help in the dark, by the names of the sounds. */
export const saidForAid = [
  { key: 'aid-burns', text: 'It burns.' },
  { key: 'aid-rinse', text: 'Eyes and skin: rinse with water, now, for twenty minutes. Then call.' },
  { key: 'aid-swallowed', text: 'Swallowed: rinse the mouth, no vomiting. Call.' },
  { key: 'aid-gas', text: 'A smell of eggs or almonds: everybody out.' },
  { key: 'aid-light', text: 'For the card: hold L and Enter, or two fingers.' },
] as const
export type AidWord = (typeof saidForAid)[number]['key']

/** families that free poison with acid or heat */
const gassing: (WasteFamily | null)[] = ['fer', 'sul', 'sel', 'chl', null]

/**
 * What is said at once in the dark: first what the hands do, then how to come to the card.
 * @example
 * aidWords({ family: 'dev', corrosive: false, throughSkin: [] }) // → ['aid-rinse', 'aid-swallowed', 'aid-light']
 */
export const aidWords = ({ family, corrosive }: AidSubstance): AidWord[] => [
  ...(corrosive && family !== null ? (['aid-burns'] as const) : []),
  'aid-rinse',
  'aid-swallowed',
  ...(gassing.includes(family) ? (['aid-gas'] as const) : []),
  'aid-light',
]
