import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, Nature } from '../chemical/chemical'
import type { Formula } from '../formula/formula'
import type { Drum } from './drumIds'

/** What decides, the gravest first: a bath that holds two of them goes where the first belongs. */
const byNature: [Nature, Drum][] = [
  ['dichromate', 'chr'],
  ['permanganate', 'mno'],
  ['ferricyanide', 'fer'],
  ['sulfide', 'sul'],
  ['thiourea', 'sul'],
  ['formaldehyde', 'ald'],
  ['thiosulfate', 'sil'],
  ['silver', 'nob'],
  ['oxalate', 'oxa'],
  ['developing-agent', 'dev'],
]
/** Where nothing graver is in it. */
const mild: [Nature, Drum][] = [
  ['hydroxide', 'alk'],
  ['phosphate', 'alk'],
  ['mineral-acid', 'acid'],
  ['strong-acid', 'acid'],
  ['acid-sulfite', 'acid'],
  ['weak-acid', 'acid'],
]
const metals: [RegExp, Drum][] = [
  [/gold|platin|palladium/, 'nob'],
  [/selen/, 'sel'],
  [/copper/, 'cop'],
]
const first = (table: [Nature, Drum][], natures: Set<Nature>): Drum | undefined => table.find(([nature]) => natures.has(nature))?.[1]
/** What nobody wrote a recipe of goes by what its family usually is; a bath that took up silver by its silver. */
const byFamily: Record<string, Drum> = {
  'film-developer': 'dev',
  'print-developer': 'dev',
  'colour-developer': 'dev',
  'first-developer': 'dev',
  monobath: 'sil',
  fixer: 'sil',
  'bleach-fix': 'sil',
  stabiliser: 'ald',
  'wash-aid': 'sil',
  'stop-bath': 'acid',
}

/**
 * The drum a bath goes to, by what is in it; by its family where nobody knows its recipe. null where neither says so: the local rules decide.
 * @example
 * drumOf({ family: 'fixer', additions: [{ chemical: 'sodium-thiosulfate-pentahydrate', grams: 240 }] }) // → 'sil'
 * drumOf({ family: 'bleach', additions: [] }) // → null
 */
export function drumOf({ family, additions }: Pick<Formula, 'family' | 'additions'>, catalogue: Catalogue = builtIn): Drum | null {
  const natures = new Set(additions.flatMap((line) => catalogue[line.chemical]?.natures ?? []))
  const metal = metals.find(([named]) => additions.some((line) => named.test(line.chemical)))?.[1]
  const known = additions.length > 0 && family === 'stabiliser' ? undefined : byFamily[family]
  return metal ?? first(byNature, natures) ?? known ?? first(mild, natures) ?? null
}
