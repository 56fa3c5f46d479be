import type { Chemical, Nature } from './chemical'

/** Two kinds of chemical that never meet, and what comes of it. */
export interface Meeting {
  rule: string
  /** error: a hard block; warning: in quantity, or slowly */
  severity: 'error' | 'warning'
  danger: string
}

interface Pair extends Meeting {
  one: Nature[]
  other: Nature[]
  /** narrows either side beyond its natures */
  only?: (one: Chemical, other: Chemical) => boolean
}

const anyAcid: Nature[] = ['weak-acid', 'strong-acid', 'concentrated-acid']
const hardAcid: Nature[] = ['strong-acid', 'concentrated-acid']
const isSulfuric = (chemical: Chemical): boolean => chemical.group === 'sulfuric acid'

/** Worst first: the first pair that holds is the answer. */
const pairs: Pair[] = [
  { rule: 'never-1', severity: 'error', one: ['sulfide'], other: [...anyAcid, 'acid-sulfite'], danger: 'hydrogen sulfide, a deadly gas' },
  { rule: 'never-2', severity: 'error', one: ['ferricyanide', 'thiocyanate'], other: hardAcid, danger: 'hydrogen cyanide and worse' },
  {
    rule: 'never-6',
    severity: 'error',
    one: ['permanganate'],
    other: hardAcid,
    only: (_one, acid) => isSulfuric(acid),
    danger: 'an explosion: concentrated acid on its crystals',
  },
  { rule: 'never-5', severity: 'error', one: ['permanganate'], other: ['chloride'], danger: 'chlorine gas' },
  {
    rule: 'never-7',
    severity: 'error',
    one: ['permanganate', 'dichromate'],
    other: ['solvent', 'developing-agent'],
    danger: 'fire: an oxidiser with glycol, glycerol or developer powder',
  },
  {
    rule: 'never-8',
    severity: 'error',
    one: ['hypochlorite'],
    other: [...anyAcid, 'acid-sulfite', 'ammonium', 'thiosulfate'],
    danger: 'chlorine and other poisonous gases, heat',
  },
  {
    rule: 'never-10',
    severity: 'error',
    one: ['silver'],
    other: ['ammonium'],
    danger: 'ammoniacal silver, which explodes on standing: made for the hour, never stored',
  },
  { rule: 'never-9', severity: 'error', one: ['metal'], other: ['hydroxide'], danger: 'hydrogen, which burns and bursts' },
  { rule: 'never-3', severity: 'error', one: ['ammonium'], other: ['hydroxide'], danger: 'ammonia gas' },
  {
    rule: 'never-4',
    severity: 'error',
    one: ['sulfite', 'acid-sulfite', 'thiosulfate'],
    other: hardAcid,
    danger: 'sulfur dioxide, dangerous to people with asthma',
  },
  {
    rule: 'never-2',
    severity: 'warning',
    one: ['ferricyanide', 'thiocyanate'],
    other: ['weak-acid'],
    danger: 'hydrogen cyanide where the acid is hot',
  },
  {
    rule: 'never-3',
    severity: 'warning',
    one: ['ammonium'],
    other: ['alkali'],
    only: (_one, alkali) => alkali.group === 'carbonate' || alkali.id === 'trisodium-phosphate-dodecahydrate',
    danger: 'ammonia gas, slowly',
  },
  {
    rule: 'never-4',
    severity: 'warning',
    one: ['sulfite', 'acid-sulfite', 'thiosulfate'],
    other: ['weak-acid'],
    danger: 'sulfur dioxide where there is much acid',
  },
]

/** What comes of two chemicals meeting as they stand in their jars; null where nothing is known against it. */
export function whatNeverMeets(a: Chemical, b: Chemical): Meeting | null {
  if (a.id === b.id) return null
  const has = (chemical: Chemical, natures: Nature[]) => natures.some((nature) => chemical.natures.includes(nature))
  for (const { one, other, only, ...meeting } of pairs)
    for (const [first, second] of [
      [a, b],
      [b, a],
    ] as const)
      if (has(first, one) && has(second, other) && (!only || only(first, second))) return meeting
  return null
}

const kinds: Partial<Record<Nature, string>> = {
  'weak-acid': 'acids',
  'strong-acid': 'strong or concentrated acids',
  'concentrated-acid': 'strong or concentrated acids',
  'acid-sulfite': 'metabisulfite',
  sulfide: 'sulfides',
  ferricyanide: 'ferricyanide',
  thiocyanate: 'thiocyanates',
  permanganate: 'permanganate',
  dichromate: 'dichromate',
  chloride: 'chlorides',
  solvent: 'glycol and glycerol',
  'developing-agent': 'developing agents',
  hypochlorite: 'hypochlorite',
  ammonium: 'ammonium salts',
  thiosulfate: 'thiosulfates',
  sulfite: 'sulfites',
  silver: 'silver nitrate',
  hydroxide: 'hydroxides',
  alkali: 'carbonates',
  metal: 'aluminium or zinc',
}

/** What a chemical never meets, in words, each with what would come of it: the hard blocks of the table. */
export function neverWith(chemical: Chemical): { what: string; danger: string }[] {
  const sides = pairs
    .filter(({ severity }) => severity === 'error')
    .flatMap(({ one, other, danger, rule }) => {
      // the acid on permanganate crystals is sulfuric acid alone
      if (rule === 'never-6' && !chemical.natures.includes('permanganate') && !isSulfuric(chemical)) return []
      const has = (natures: Nature[]) => natures.some((nature) => chemical.natures.includes(nature))
      return [...(has(one) ? [{ natures: other, danger }] : []), ...(has(other) ? [{ natures: one, danger }] : [])]
    })
  const words = (natures: Nature[]): string => {
    const anyAcid = natures.includes('weak-acid')
    const named = natures
      .filter((nature) => !(anyAcid && (nature === 'strong-acid' || nature === 'concentrated-acid')))
      .map((nature) => kinds[nature] ?? nature)
    return [...new Set(named)].join(', ')
  }
  return sides.map(({ natures, danger }) => ({ what: words(natures), danger }))
}
