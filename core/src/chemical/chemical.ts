import type { AcidName } from './acids'

export type ChemicalId = string

/**
 * What a chemical is and does, as the rules of mixing and the table of what never meets ask it. `acid-salt` gives off protons without being an acid
 * (hydrogen phosphates, disodium EDTA, the salts of organic bases), `metal-salt` does by hydrolysis; `reducer` feeds an oxidiser; `ferricyanide` stands for
 * both hexacyanoferrates.
 */
export const natures = [
  'developing-agent',
  'sulfite',
  'acid-sulfite',
  'alkali',
  'bicarbonate',
  'hydroxide',
  'restrainer',
  'thiosulfate',
  'weak-acid',
  'strong-acid',
  'boric-acid',
  'alum',
  'ascorbate',
  'solvent',
  'sequestrant',
  'concentrated-acid',
  'mineral-acid',
  'acid-salt',
  'metal-salt',
  'carbonate',
  'phosphate',
  'ammonium',
  'ammonia',
  'sulfide',
  'ferricyanide',
  'thiocyanate',
  'permanganate',
  'dichromate',
  'persulfate',
  'chlorate',
  'peroxide',
  'chloride',
  'hypochlorite',
  'silver',
  'metal',
  'thiourea',
  'oxalate',
  'reducer',
  'dithionite',
  'formaldehyde',
  'azide',
  'bleach-fix-part',
] as const
export type Nature = (typeof natures)[number]

/** What one formula unit brings to a solution: charge of the ions that take no part in any equilibrium, and acids or their salts, counted. */
export interface Dissolved {
  /** summed charge of sodium, potassium, halides and the like */
  ions: number
  /** ionic strength of those ions: the sum of their squared charges */
  ionSquares: number
  acids: [acid: AcidName, count: number][]
}

export interface Chemical {
  id: ChemicalId
  name: string
  /** g/mol; null where the substance is no single compound and is handled by mass only */
  molarMass: number | null
  /** group in which equal strength can be computed, and the active ions per formula unit */
  group?: string
  units?: number
  /** share of the product's mass that is the substance itself; 1 where not given */
  content?: number
  /** g/ml; only liquids have one, and a chemical that has one is a liquid */
  densityGPerMl?: number
  natures: Nature[]
  /** g in 100 ml of water at °C; empty means unknown, not insoluble */
  solubility: { celsius: number; gPer100Ml: number }[]
  /** kJ/mol, positive cools; null means unknown, not zero */
  heatOfSolution: number | null
  /** what it brings to a solution; 'trace' is left out up to 2 g/L; absent where nothing is known of it */
  inWater?: Dissolved | 'trace'
  /** a developing agent whose stock solution in propylene glycol keeps, as none does in water */
  keepsInGlycol?: boolean
  /** share of an ordinary jar that is the product, where that is not the content */
  usualAssay?: number
  /** codes of the harmonised hazard statements as it is sold, from which signs and cautions follow; absent where the project has none on record */
  statements?: readonly string[]
  note: string
  source: string
}

export type Catalogue = Readonly<Record<ChemicalId, Chemical>>
