import { catalogue as builtIn } from '../chemical/catalogue'
import type { Catalogue, ChemicalId, Nature } from '../chemical/chemical'
import { chemicalOf, substitutesFor } from '../chemical/equivalentMass'
import { DomainError, requireAmounts } from '../error'
import { estimatePh, type PhOptions } from './estimatePh'

export type Slip = 'left-out' | 'half' | 'twice' | 'other-product'

/** One slip at the scale and the pH it would have given. */
export interface Cause {
  chemical: ChemicalId
  slip: Slip
  /** what was taken instead, gram for gram */
  instead?: ChemicalId
  ph: number
  /** how far that is from the reading */
  off: number
}

export interface Explanation {
  predicted: number
  uncertainty: number
  /** the reading is further off than the uncertainty */
  outside: boolean
  /** nearest to the reading first; only what really explains it: empty where no single slip does */
  causes: Cause[]
}

const moving: Nature[] = [
  'alkali',
  'bicarbonate',
  'weak-acid',
  'strong-acid',
  'concentrated-acid',
  'acid-salt',
  'phosphate',
  'ammonia',
  'boric-acid',
  'sulfite',
  'acid-sulfite',
  'alum',
]

/** A slip explains a reading only where it comes this much nearer to it than the prediction does. */
const muchNearer = 0.5

/**
 * Likely causes of a pH reading at `atC` °C, computed: for each alkali and acid the pH if it had been left out, halved, doubled or taken as another product
 * of its group without converting. A cause is named where it lies within its own uncertainty of the reading and at least half nearer than the
 * prediction. Amounts in g/L. Throws `no-data` as `estimatePh` does, and `out-of-range` for a reading no meter shows.
 * @example
 * explainReading({ 'sodium-carbonate': 20 }, 10.5).outside // → true
 */
export function explainReading(
  gramsPerLitre: Partial<Record<ChemicalId, number>>,
  readPh: number,
  options: PhOptions = {},
  catalogue: Catalogue = builtIn,
): Explanation {
  requireAmounts({ 'The reading': readPh })
  if (readPh > 14) throw new DomainError('out-of-range', `A pH meter shows 0 to 14, not ${readPh}.`)
  const { ph: predicted, uncertainty } = estimatePh(gramsPerLitre, options, catalogue)
  const miss = Math.abs(readPh - predicted)
  const amounts = Object.entries(gramsPerLitre).flatMap(([id, grams = 0]) => (grams > 0 ? [[id, grams] as const] : []))
  const causes = amounts
    .filter(([id]) => chemicalOf(id, catalogue).natures.some((nature) => moving.includes(nature)))
    .flatMap(([chemical, grams]) => {
      const tried = (slip: Slip, changed: Partial<Record<ChemicalId, number>>, instead?: ChemicalId): Cause[] => {
        try {
          const slipped = estimatePh({ ...gramsPerLitre, ...changed }, options, catalogue)
          const off = Math.abs(readPh - slipped.ph)
          if (off > slipped.uncertainty || off > muchNearer * miss) return []
          return [{ chemical, slip, ...(instead === undefined ? {} : { instead }), ph: slipped.ph, off }]
        } catch (error) {
          if (error instanceof DomainError && error.code === 'no-data') return []
          throw error
        }
      }
      return [
        ...tried('left-out', { [chemical]: 0 }),
        ...tried('half', { [chemical]: grams / 2 }),
        ...tried('twice', { [chemical]: grams * 2 }),
        ...substitutesFor(chemical, catalogue).flatMap((instead) =>
          tried('other-product', { [chemical]: 0, [instead]: (gramsPerLitre[instead] ?? 0) + grams }, instead),
        ),
      ]
    })
    .sort((a, b) => a.off - b.off)
  return { predicted, uncertainty, outside: miss > uncertainty, causes }
}
