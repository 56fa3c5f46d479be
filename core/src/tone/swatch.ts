import { z } from 'zod'
import { impossible } from '../error'
import { tonerKinds } from './order'
import { toneOf } from './ratio'
import { bleachings } from './steps'

const part = z.number('A part is a number.').gt(0, 'A part is more than 0.').max(1000, 'A part is 1000 at most.')
const seconds = z.number('Seconds are a number.').gt(0, 'Seconds are more than 0.').max(7200, 'Two hours at most.')

/** A strip in the darkroom's swatch book: what it was toned with and how long, on which paper. Times s; null where nobody timed it. */
export const swatchBody = z.strictObject({
  toner: z.enum(tonerKinds),
  /** thiourea and hydroxide stock, parts; of sulfide toners alone */
  ratio: z.strictObject({ thiourea: part, hydroxide: part }).nullable(),
  /** of what is bought as concentrate: water to one part of it */
  dilution: part.nullable(),
  bleaching: z.enum(bleachings).nullable(),
  bleachS: seconds.nullable(),
  toneS: seconds.nullable(),
  paper: z.string().trim().min(1, 'Say on which paper.').max(120, 'A paper is 120 characters at most.'),
  note: z.string().trim().max(500, 'Five hundred characters at most.'),
})
export type SwatchBody = z.output<typeof swatchBody>

const isSulfide = (toner: SwatchBody['toner']): boolean => toner === 'sulfide-pulled' || toner === 'sulfide-complete'

/**
 * Refuses a swatch that says nothing one could mix again: sulfide without its ratio and how it was bleached, another toner with them.
 * @throws Refused 'no-ratio', 'no-bleach'
 * @example
 * requireSwatch({ ...aSwatch, ratio: null }) // throws 'no-ratio'
 */
export function requireSwatch({ toner, ratio, bleaching }: SwatchBody): void {
  if (isSulfide(toner) && ratio === null)
    throw impossible('no-ratio', 'A strip toned by thiourea goes into the book with the ratio of its stocks.', { field: 'ratio' })
  if (isSulfide(toner) && bleaching !== (toner === 'sulfide-pulled' ? 'pulled' : 'complete'))
    throw impossible('no-bleach', 'Say how far the strip was bleached: pulled, or to completion.', { field: 'bleaching' })
  if (!isSulfide(toner) && (ratio !== null || bleaching !== null))
    throw impossible('no-ratio', 'Only sulfide toners have a bleach and a ratio of stocks.', { field: 'ratio' })
}

/**
 * The strips of a swatch book by how near their ratio is to a place of the dial (0 yellow tan to 1 cold dark brown), the nearest first; others have no place there.
 * @example
 * nearestSwatches([{ body: aSwatch }], 0.5).length // → 1
 */
export function nearestSwatches<T extends { body: SwatchBody }>(all: T[], tone: number): { swatch: T; apart: number }[] {
  return all
    .flatMap((swatch) => (swatch.body.ratio === null ? [] : [{ swatch, apart: Math.abs(toneOf(swatch.body.ratio) - tone) }]))
    .sort((a, b) => a.apart - b.apart)
}
