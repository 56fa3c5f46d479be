import { z } from 'zod'
import { grades } from '../grade'

const name = z.string().trim().min(1, 'Write a name.').max(120)

/** A paper as it is bought in boxes. */
export const paperBody = z.strictObject({
  name,
  base: z.enum(['rc', 'fibre']),
  /** it has developing agent in it, and comes up at once */
  holdsDeveloper: z.boolean(),
  /** of paper that has one; null where it is variable */
  grade: z.enum(grades).nullable(),
  /** standard speed number, inverse exposure for a density of 0.60 above fog; null where nobody measured it */
  speed: z.number().gt(0).max(10_000).nullable(),
  /** share of the exposure by which it darkens in drying */
  dryDown: z.number().min(0).max(0.3),
})
export type PaperBody = z.output<typeof paperBody>

/** A box of it: cm, sheets as bought, and its price; null where nobody wrote it down. */
export const paperBoxBody = z.strictObject({
  widthCm: z.number().gt(0).max(300),
  heightCm: z.number().gt(0).max(300),
  sheets: z.int().min(1).max(5000),
  price: z.number().min(0).max(100_000).nullable(),
  batch: z.string().trim().max(80),
})
export type PaperBoxBody = z.output<typeof paperBoxBody>

/** An enlarger: how its grades are set, its lamp’s lag in s, its lenses. */
export const enlargerBody = z.strictObject({
  name,
  filters: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('set') }),
    z.strictObject({ kind: z.literal('single'), max: z.number().gt(0).max(400) }),
    z.strictObject({ kind: z.literal('double'), max: z.number().gt(0).max(400) }),
  ]),
  lagS: z.number().min(0).max(2),
  lenses: z.array(z.strictObject({ name: z.string().trim().max(80), focalMm: z.number().gt(0).max(1000) })).max(12),
})
export type EnlargerBody = z.output<typeof enlargerBody>

/** What is printed: which film and frame, and the mm of it that are. */
export const negativeBody = z.strictObject({
  what: z.string().trim().min(1, 'Say which negative.').max(200),
  widthMm: z.number().gt(0).max(500),
  heightMm: z.number().gt(0).max(500),
})
export type NegativeBody = z.output<typeof negativeBody>

/** What a try is made with: paper out of a box, enlarger, enlargement, marked stop, developer. */
export const trySetup = z.strictObject({
  boxId: z.uuidv7(),
  enlargerId: z.uuidv7(),
  /** print side over negative side */
  m: z.number().gt(0.05).max(100),
  lensN: z.number().min(0.7).max(128),
  developer: z.string().trim().max(200),
})
export type TrySetup = z.output<typeof trySetup>

/**
 * How an enlarger changes grades before it has wedges of its own.
 * @example
 * filterWayOf({ kind: 'single', max: 170 }) // → { by: 'table', kind: 'single', max: 170 }
 */
export const filterWayOf = (filters: EnlargerBody['filters']): { by: 'set' } | { by: 'table'; kind: 'single' | 'double'; max: number } =>
  filters.kind === 'set' ? { by: 'set' } : { by: 'table', kind: filters.kind, max: filters.max }
