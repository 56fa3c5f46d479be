/** The drums of the waste, one a family of what may stand together, with what each is called. */
export const drumNames = {
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
} as const
export type Drum = keyof typeof drumNames
export const drums = Object.keys(drumNames) as Drum[]
