import { catalogue as builtIn } from '../chemical/catalogue'
import { mixtureStatements } from '../chemical/concentration'
import type { Catalogue } from '../chemical/chemical'
import { hazardLabel, type Pictogram } from '../chemical/hazardStatements'
import { drumNames } from './drumNames'
import type { DrumFacts, DrumState } from './drum'
import type { Drum } from './drumIds'

/** Statements a family's label has at least; what is in it may add to them. Rounded literature values; the supplier's sheets and the contractor decide. */
const floor: Record<Drum, { codes: string[]; also?: string }> = {
  dev: { codes: ['H317', 'H319', 'H341', 'H351', 'H412'] },
  sil: { codes: ['H411'], also: 'Acid frees sulfur dioxide' },
  fer: { codes: ['H412'], also: 'Acid or heat frees hydrogen cyanide' },
  chr: { codes: ['H314', 'H317', 'H340', 'H350', 'H360', 'H411'] },
  mno: { codes: ['H314', 'H410'] },
  cop: { codes: ['H319', 'H410'] },
  sul: { codes: ['H314', 'H351', 'H361', 'H411'], also: 'Acid frees hydrogen sulfide' },
  sel: { codes: ['H302', 'H332', 'H373', 'H411'] },
  acid: { codes: ['H290', 'H314'] },
  alk: { codes: ['H290', 'H314'] },
  oxa: { codes: ['H302', 'H312'] },
  nob: { codes: ['H314', 'H317', 'H334', 'H410'] },
  ald: { codes: ['H317', 'H341', 'H350'] },
}
/** a worse statement makes a milder one of the same kind superfluous */
const outranked: [worse: string, milder: string[]][] = [
  ['H314', ['H315', 'H318', 'H319']],
  ['H318', ['H319']],
  ['H340', ['H341']],
  ['H350', ['H351']],
  ['H360', ['H361']],
  ['H372', ['H373']],
  ['H300', ['H301', 'H302']],
  ['H301', ['H302']],
  ['H410', ['H400', 'H411', 'H412']],
  ['H411', ['H412']],
]
/** % from which a sensitiser is named, though too little of it to class the whole */
const namedFrom = 0.1
/** pH at which liquid burns whatever is in it */
const [burnsBelow, burnsAbove] = [2, 11.5]
/** stop baths of acetic acid weaker than this need no signs, % */
const mildAceticPercent = 10

export interface DrumLabel {
  /** its product identifier */
  name: string
  signal: 'Danger' | 'Warning' | null
  pictograms: Pictogram[]
  /** in words */
  statements: string[]
  /** what gives the hazard, with about how much of it, % */
  parts: { name: string; percent: number }[]
  /** allergens too weak to class it, by name */
  allergens: string[]
  /** share of it of which nobody knows what is in it */
  unknownShare: number
}

/**
 * mg/kg at which a mixture is as poisonous to swallow as a single substance: 100 / Σ(% / its own); null where nothing in it has one.
 * @example
 * swallowedAte([{ percent: 0.5, ate: 50 }, { percent: 2, ate: 400 }]) // → 6666.7
 */
export function swallowedAte(parts: { percent: number; ate: number }[]): number | null {
  const sum = parts.reduce((all, { percent, ate }) => all + percent / ate, 0)
  return sum > 0 ? 100 / sum : null
}
/** up to which a mixture is toxic, and harmful */
const [toxicTo, harmfulTo] = [300, 2000]
/** of the classes of single substances. Converted values of the system, mg/kg. */
const ateOf: [code: string, ate: number][] = [
  ['H300', 5],
  ['H301', 100],
  ['H302', 500],
]

const unlessWorse = (codes: Set<string>): string[] =>
  [...codes].filter((code) => !outranked.some(([worse, milder]) => codes.has(worse) && milder.includes(code)))

/**
 * What the label of a drum says: at least what its family does, and what the parts that are in it add.
 * @example
 * drumLabel(aDrum, drumState(aDrum, [])).signal // → null
 */
export function drumLabel(drum: Pick<DrumFacts, 'family' | 'metal'>, state: DrumState, catalogue: Catalogue = builtIn): DrumLabel {
  const { family, metal } = drum
  const parts = state.contents.flatMap(({ chemical, grams }) => {
    const known = catalogue[chemical]
    return known && state.ml > 0 ? [{ chemical: known, gramsPerLitre: (1000 * grams) / state.ml }] : []
  })
  const percentOf = (gramsPerLitre: number): number => gramsPerLitre / 10
  const swallowed = swallowedAte(
    parts.flatMap(({ chemical, gramsPerLitre }) => {
      const ate = ateOf.find(([code]) => chemical.statements?.includes(code))?.[1]
      return ate === undefined ? [] : [{ percent: percentOf(gramsPerLitre), ate }]
    }),
  )
  const burns = (state.lowestPh !== null && state.lowestPh <= burnsBelow) || (state.highestPh !== null && state.highestPh >= burnsAbove)
  const acetic =
    parts.length > 0 &&
    parts.every(({ chemical, gramsPerLitre }) => chemical.group === 'acetic acid' && percentOf(gramsPerLitre) < mildAceticPercent)
  const least = family === 'acid' && acetic && state.unknownMl === 0 && !burns ? [] : floor[family].codes
  const codes = new Set([
    ...least,
    ...mixtureStatements(parts).statements.filter((code) => !['H300', 'H301', 'H302'].includes(code)),
    ...(burns ? ['H314'] : []),
    ...(swallowed === null || swallowed > harmfulTo ? [] : swallowed <= toxicTo ? ['H301'] : ['H302']),
  ])
  const shown = unlessWorse(codes)
  const label = hazardLabel({ statements: shown })
  const hazardous = parts.filter(({ chemical }) => (chemical.statements ?? []).some((code) => codes.has(code)))
  const also = floor[family].also
  return {
    name: `Waste: ${drumNames[family]}${metal === null ? '' : `, ${metal}`}`,
    ...{ signal: label.signal, pictograms: label.pictograms },
    statements: [...label.statements.map((one) => one.words), ...(also ? [also] : [])],
    parts: hazardous
      .map(({ chemical, gramsPerLitre }) => ({ name: chemical.name, percent: percentOf(gramsPerLitre) }))
      .sort((a, b) => b.percent - a.percent),
    allergens: parts
      .filter(
        ({ chemical, gramsPerLitre }) =>
          percentOf(gramsPerLitre) >= namedFrom && (chemical.statements ?? []).includes('H317') && !codes.has('H317'),
      )
      .map(({ chemical }) => chemical.name),
    unknownShare: state.ml > 0 ? state.unknownMl / state.ml : 0,
  }
}
