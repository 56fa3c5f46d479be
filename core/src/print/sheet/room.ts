import { z } from 'zod'
import { batchLabel } from '../colour/batch'
import { colourMaterials } from '../colour/casts'
import { grades } from '../grade'

const name = z.string().trim().min(1, 'Write a name.').max(120, 'A name is 120 characters at most.')
const within = (least: number, most: number, says: string) => z.number(says).min(least, says).max(most, says)
const dialsTo = within(1, 400, 'Dials count to 1 to 400.')

/** What a paper prints: grey, colours from negatives, colours from slides. */
export const paperMaterials = ['black-and-white', ...colourMaterials] as const

/** A paper as it is bought in boxes. */
export const paperBody = z.strictObject({
  name,
  material: z.enum(paperMaterials).default('black-and-white'),
  base: z.enum(['rc', 'fibre']),
  /** it has developing agent in it, and comes up at once */
  holdsDeveloper: z.boolean(),
  /** of paper that has one; null where it is variable, and of colour paper */
  grade: z.enum(grades).nullable(),
  /** standard speed number, inverse exposure for a density of 0.60 above fog; null where nobody measured it */
  speed: within(1, 10_000, 'A paper’s speed number is 1 to 10000.').nullable(),
  /** share of the exposure by which it darkens in drying */
  dryDown: within(0, 0.3, 'A print darkens by 0 to 30 % in drying.'),
})
export type PaperBody = z.output<typeof paperBody>

/** A box of it: cm, sheets as bought, and its price; null where nobody wrote it down. */
export const paperBoxBody = z.strictObject({
  widthCm: within(1, 300, 'A sheet is 1 to 300 cm wide.'),
  heightCm: within(1, 300, 'A sheet is 1 to 300 cm high.'),
  sheets: within(1, 5000, 'A box has 1 to 5000 sheets.').int('A box has whole sheets.'),
  price: within(0, 100_000, 'A box costs 0 to 100000.').nullable(),
  batch: z.string().trim().max(80, 'A batch is 80 characters at most.'),
  /** of colour paper: how its batch differs, as the box says; null where it says nothing */
  label: batchLabel.nullable().default(null),
})
export type PaperBoxBody = z.output<typeof paperBoxBody>

/** An enlarger: how its grades are set, its lamp’s lag in s, its lenses. */
export const enlargerBody = z.strictObject({
  name,
  filters: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('set') }),
    z.strictObject({ kind: z.literal('single'), max: dialsTo }),
    z.strictObject({ kind: z.literal('double'), max: dialsTo }),
  ]),
  lagS: within(0, 2, 'A lamp’s lag is 0 to 2 s.'),
  lenses: z
    .array(z.strictObject({ name: z.string().trim().max(80), focalMm: within(5, 1000, 'A lens is 5 to 1000 mm.') }))
    .max(12, 'Twelve lenses at most.'),
  /** the relay its lamp hangs on; not there where it is switched by hand */
  relayId: z.uuidv7().optional(),
})
export type EnlargerBody = z.output<typeof enlargerBody>

/** What is printed: which film and frame, and the mm of it that are. */
export const negativeBody = z.strictObject({
  what: z.string().trim().min(1, 'Say which negative.').max(200, 'The negative is 200 characters at most.'),
  widthMm: within(1, 500, 'A negative is 1 to 500 mm wide.'),
  heightMm: within(1, 500, 'A negative is 1 to 500 mm high.'),
  /** the film it is on, where that was developed here */
  rollId: z.uuidv7().optional(),
})
export type NegativeBody = z.output<typeof negativeBody>

/** What a try is made with: paper out of a box, enlarger, enlargement, marked stop, developer. */
export const trySetup = z.strictObject({
  boxId: z.uuidv7(),
  enlargerId: z.uuidv7(),
  /** print side over negative side */
  m: within(0.05, 100, 'A picture is 0.05 to 100 times as large as its negative.'),
  lensN: within(0.7, 128, 'A lens stop is f/0.7 to f/128.'),
  developer: z.string().trim().max(200, 'The developer is 200 characters at most.'),
  /** the lens, where somebody said which */
  focalMm: within(5, 1000, 'A lens is 5 to 1000 mm.').optional(),
})
export type TrySetup = z.output<typeof trySetup>

/**
 * How an enlarger changes grades before it has wedges of its own.
 * @example
 * filterWayOf({ kind: 'single', max: 170 }) // → { by: 'table', kind: 'single', max: 170 }
 */
export const filterWayOf = (filters: EnlargerBody['filters']): { by: 'set' } | { by: 'table'; kind: 'single' | 'double'; max: number } =>
  filters.kind === 'set' ? { by: 'set' } : { by: 'table', kind: filters.kind, max: filters.max }
