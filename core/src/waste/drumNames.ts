import type { Drum } from './drumIds'

/** What the drum of each family is called. */
export const drumNames: Record<Drum, string> = {
  dev: 'developers',
  sil: 'fixers and bleach-fixes',
  fer: 'ferricyanide bleach',
  chr: 'dichromate bleach',
  mno: 'permanganate bleach',
  cop: 'copper bleach',
  sul: 'sulfide and thiourea toners',
  sel: 'selenium toner',
  acid: 'stop baths and acids',
  alk: 'hydroxide and phosphate',
  oxa: 'oxalate, citrate, iron and EDTA',
  nob: 'silver nitrate and noble metals',
  ald: 'stabilisers with formaldehyde',
}
