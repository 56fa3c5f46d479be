import type { Held } from './gas'

const metals: [RegExp, string][] = [
  [/gold/, 'gold'],
  [/platin/, 'platinum'],
  [/palladium/, 'palladium'],
  [/silver/, 'silver'],
]

/**
 * The noble metal in a liquid, the dearest first; null where there is none, or nobody knows what is in it.
 * @example
 * metalOf([{ chemical: 'silver-nitrate', grams: 10 }]) // → 'silver'
 */
export const metalOf = (contents: Held[] | null): string | null =>
  metals.find(([named]) => (contents ?? []).some((one) => named.test(one.chemical)))?.[1] ?? null
