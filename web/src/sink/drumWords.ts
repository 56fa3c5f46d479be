import { drumNames, withSign, type Drum, type DrumStanding, type Manner } from '@selvrin/core'
import type { WasteDrum } from '@selvrin/core/contract'

/** The bath family whose letter and colour a drum has: the one that mostly fills it. */
export const drumMarks: Record<Drum, string> = {
  ...{ dev: 'film-developer', sil: 'fixer', fer: 'bleach', chr: 'bleach', mno: 'bleach', cop: 'bleach', sul: 'toner', sel: 'toner' },
  ...{ acid: 'stop-bath', alk: 'other', oxa: 'clearing', nob: 'sensitizer', ald: 'stabiliser' },
}
export const standingWords: Record<DrumStanding, string> = {
  empty: 'empty',
  open: 'open',
  sealed: 'sealed',
  collected: 'collected',
  quarantined: 'in quarantine',
}
export const drumName = ({ family, metal }: Pick<WasteDrum, 'family' | 'metal'>): string =>
  metal === null ? drumNames[family] : `${drumNames[family]}, ${metal}`
/** families in the order of their table, for choices */
export const familyChoices = (Object.entries(drumNames) as [Drum, string][]).map(([value, name]) => ({ value, name }))
export const metalChoices = ['silver', 'gold', 'platinum', 'palladium'].map((value) => ({ value, name: value }))

/** kg in a pound */
const pound = 0.45359237
/** A weight as it is read off a floor scale: '17.6 kg', '38.8 lb'. */
export const kilosIn = (kg: number, manner: Manner): string =>
  withSign(manner.units === 'us' ? `${(kg / pound).toFixed(1)} lb` : `${kg.toFixed(1)} kg`, manner)
