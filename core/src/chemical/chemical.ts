import type { AcidName } from '../ph/acids'

export type ChemicalId = string

export const hazardKinds = [
  'toxic-for-reproduction',
  'suspected-carcinogen',
  'carcinogen',
  'sensitiser',
  'eye-damage',
  'poison',
  'corrosive',
  'oxidiser',
  'gives-off-gas',
] as const
export type Hazard = (typeof hazardKinds)[number]

/** What a chemical does in the rules of mixing; a blank role takes part in none of them. */
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
  'ammonium',
  'sulfide',
  'ferricyanide',
  'thiocyanate',
  'permanganate',
  'dichromate',
  'chloride',
  'hypochlorite',
  'silver',
  'metal',
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
  hazards: Hazard[]
  /** what it brings to a solution; 'trace' is left out up to 2 g/L; absent where nothing is known of it */
  inWater?: Dissolved | 'trace'
  /** share of an ordinary jar that is the product, where that is not the content */
  usualAssay?: number
  /** codes of the harmonised hazard statements; absent where the project has none on record */
  statements?: readonly string[]
  note: string
  source: string
}

export type Catalogue = Readonly<Record<ChemicalId, Chemical>>
