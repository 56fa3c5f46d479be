export type ChemicalId = string

export type Hazard =
  | 'toxic-for-reproduction'
  | 'suspected-carcinogen'
  | 'carcinogen'
  | 'sensitiser'
  | 'eye-damage'
  | 'poison'
  | 'corrosive'
  | 'oxidiser'
  | 'gives-off-gas'

/** What a chemical does in the rules of mixing; a blank role takes part in none of them. */
export type Nature =
  | 'developing-agent'
  | 'sulfite'
  | 'acid-sulfite'
  | 'alkali'
  | 'bicarbonate'
  | 'hydroxide'
  | 'restrainer'
  | 'thiosulfate'
  | 'weak-acid'
  | 'strong-acid'
  | 'boric-acid'
  | 'alum'
  | 'ascorbate'
  | 'solvent'
  | 'sequestrant'

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
  note: string
  source: string
}

export type Catalogue = Readonly<Record<ChemicalId, Chemical>>
