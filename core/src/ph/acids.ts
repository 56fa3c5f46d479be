/** An acid of the pH model: charge of its fully protonated form and pKa of each proton at 25 °C and zero ionic strength. */
export interface Acid {
  charge: number
  pKa: readonly number[]
}

/** Rounded literature values; see docs/domain/mixing.md. */
export const acids = {
  phosphoric: { charge: 0, pKa: [2.148, 7.198, 12.35] },
  carbonic: { charge: 0, pKa: [6.352, 10.329] },
  boric: { charge: 0, pKa: [9.236] },
  sulfurous: { charge: 0, pKa: [1.857, 7.172] },
  'hydrogen sulfate': { charge: -1, pKa: [1.99] },
  acetic: { charge: 0, pKa: [4.756] },
  citric: { charge: 0, pKa: [3.128, 4.761, 6.396] },
  tartaric: { charge: 0, pKa: [3.036, 4.366] },
  oxalic: { charge: 0, pKa: [1.252, 4.266] },
  ascorbic: { charge: 0, pKa: [4.1, 11.6] },
  hydroquinone: { charge: 0, pKa: [9.91, 11.56] },
  /** what air makes of hydroquinone in sulfite: taken to be as acid as hydroquinone, one charge lower */
  'hydroquinone monosulfonate': { charge: -1, pKa: [9.91, 11.56] },
  metol: { charge: 1, pKa: [5.9, 10.3] },
  'p-aminophenol': { charge: 1, pKa: [5.48, 10.3] },
  phenidone: { charge: 0, pKa: [9.4] },
  ammonium: { charge: 1, pKa: [9.246] },
  edta: { charge: 0, pKa: [2.0, 2.69, 6.13, 10.37] },
  catechol: { charge: 0, pKa: [9.3] },
  pyrogallol: { charge: 0, pKa: [9.0] },
  'dimezone-s': { charge: 0, pKa: [9.8] },
  'hydrogen sulfide': { charge: 0, pKa: [7.0] },
  benzotriazole: { charge: 0, pKa: [8.3] },
  triethanolammonium: { charge: 1, pKa: [7.76] },
  aluminium: { charge: 3, pKa: [5.0] },
} as const satisfies Record<string, Acid>

export type AcidName = keyof typeof acids

/** pKa of water at 25 °C and zero ionic strength. Rounded literature value. */
export const pKw = 13.995
