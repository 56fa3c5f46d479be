import type { Family } from '../mark/mark'
import type { Addition, Formula } from './formula'

const developer: Addition[] = [
  { chemical: 'sodium-sulfite', grams: 30 },
  { chemical: 'hydroquinone', grams: 5 },
  { chemical: 'potassium-carbonate', grams: 30 },
]
const fixer: Addition[] = [
  { chemical: 'ammonium-thiosulfate', grams: 150 },
  { chemical: 'sodium-sulfite', grams: 15 },
  { chemical: 'acetic-acid-28', millilitres: 20 },
]
/** g/L of what baths of a family usually hold, for bought liquids whose recipe nobody knows. Rounded literature values. */
const usual: Partial<Record<Family, Addition[]>> = {
  'film-developer': developer,
  'print-developer': developer,
  'first-developer': developer,
  'colour-developer': developer,
  'stop-bath': [{ chemical: 'acetic-acid-28', millilitres: 70 }],
  fixer,
  'bleach-fix': [{ chemical: 'ferric-ammonium-edta', millilitres: 150 }, ...fixer.slice(0, 2)],
  bleach: [{ chemical: 'potassium-ferricyanide', grams: 50 }],
}

/**
 * A formula with its recipe, or with what its family usually holds where it has none: the worst that is likely, for judging what it may meet.
 * @example
 * withContents({ ...fixer, additions: [] }).additions.length > 0 // → true
 */
export const withContents = <F extends Formula>(formula: F): F =>
  formula.additions.length > 0
    ? formula
    : {
        ...formula,
        additions: (usual[formula.family as Family] ?? []).map((addition) => ({
          ...addition,
          ...(addition.grams === undefined ? {} : { grams: (addition.grams * formula.finalMl) / 1000 }),
          ...(addition.millilitres === undefined ? {} : { millilitres: (addition.millilitres * formula.finalMl) / 1000 }),
        })),
      }
