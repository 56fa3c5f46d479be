/** An acid of the pH model: charge of its fully protonated form and pKa of each proton at 25 °C and zero ionic strength. */
export interface Acid {
  charge: number
  pKa: readonly number[]
  /** what each pKa gains with a °C; null where nobody has measured it */
  perC: readonly (number | null)[]
  /** mol/L of ionic strength at which the pKa hold, where that is not zero */
  atStrength?: number
}

/** dpKa/dT of kinds of acid, per °C. Rounded literature values. */
const carboxylic = 0
const phenol = -0.015
const amine = -0.02

/** Rounded literature values; see docs/domain/mixing.md. */
export const acids = {
  phosphoric: { charge: 0, pKa: [2.148, 7.198, 12.35], perC: [null, -0.003, null] },
  carbonic: { charge: 0, pKa: [6.352, 10.329], perC: [-0.0055, -0.009] },
  boric: { charge: 0, pKa: [9.236], perC: [-0.008] },
  sulfurous: { charge: 0, pKa: [1.857, 7.172], perC: [null, -0.003] },
  'hydrogen sulfate': { charge: -1, pKa: [1.99], perC: [null] },
  acetic: { charge: 0, pKa: [4.756], perC: [carboxylic] },
  citric: { charge: 0, pKa: [3.128, 4.761, 6.396], perC: [carboxylic, carboxylic, carboxylic] },
  tartaric: { charge: 0, pKa: [3.036, 4.366], perC: [carboxylic, carboxylic] },
  oxalic: { charge: 0, pKa: [1.252, 4.266], perC: [carboxylic, carboxylic] },
  ascorbic: { charge: 0, pKa: [4.1, 11.6], perC: [null, null] },
  hydroquinone: { charge: 0, pKa: [9.91, 11.56], perC: [phenol, phenol] },
  /** what air makes of hydroquinone in sulfite: taken to be as acid as hydroquinone, one charge lower */
  'hydroquinone monosulfonate': { charge: -1, pKa: [9.91, 11.56], perC: [phenol, phenol] },
  metol: { charge: 1, pKa: [5.9, 10.3], perC: [amine, phenol] },
  'p-aminophenol': { charge: 1, pKa: [5.48, 10.3], perC: [amine, phenol] },
  phenidone: { charge: 0, pKa: [9.4], perC: [null] },
  ammonium: { charge: 1, pKa: [9.246], perC: [-0.031] },
  hydroxylammonium: { charge: 1, pKa: [5.96], perC: [null] },
  /** the pKa hold at ionic strength 0.1 already */
  edta: { charge: 0, pKa: [2.0, 2.69, 6.13, 10.37], perC: [null, null, null, null], atStrength: 0.1 },
  catechol: { charge: 0, pKa: [9.3, 13.0], perC: [phenol, phenol] },
  pyrogallol: { charge: 0, pKa: [9.0, 11.6], perC: [phenol, phenol] },
  'dimezone-s': { charge: 0, pKa: [9.8], perC: [null] },
  'hydrogen sulfide': { charge: 0, pKa: [7.0], perC: [null] },
  benzotriazole: { charge: 0, pKa: [8.3], perC: [null] },
  triethanolammonium: { charge: 1, pKa: [7.76], perC: [-0.02] },
  /** first hydrolysis */
  aluminium: { charge: 3, pKa: [5.0], perC: [null] },
  /** first hydrolysis of iron(III) */
  iron: { charge: 3, pKa: [2.19], perC: [null] },
} as const satisfies Record<string, Acid>

export type AcidName = keyof typeof acids

/** °C at which the table holds. */
export const tableC = 25
const pKwAt25 = 13.995
const pKwFormula = (kelvin: number): number => 4470.99 / kelvin - 6.0875 + 0.01706 * kelvin

/** pKa of water at °C and zero ionic strength: 4470.99/T − 6.0875 + 0.01706·T, T in K, laid through 13.995 at 25 °C. Rounded literature value. */
export const pKwAt = (celsius: number): number => pKwAt25 + pKwFormula(celsius + 273.15) - pKwFormula(tableC + 273.15)

/** pKa of one proton of an acid at °C; where nobody has measured how it moves, as at 25 °C. */
export const pKaAt = (acid: Acid, proton: number, celsius: number): number =>
  (acid.pKa[proton] as number) + (acid.perC[proton] ?? 0) * (celsius - tableC)
