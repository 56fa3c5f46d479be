import { z } from 'zod'
import { filterWeight, usualWeights, type FilterWeights } from './colour/pack'
import { contactTime } from './contact'
import { grades } from './grade'
import type { PrintFactor } from './sheet/moved'
import { stripTotals } from './strip'
import { matchedFactor } from './swapped'
import { wedgeReading } from './wedge'

const id = z.uuidv7()
const seconds = z.number('Seconds are a number.').gt(0, 'Seconds are more than 0.').max(3600, 'An hour at most.')
const tone = z.strictObject({ beforeS: seconds, afterS: seconds })
const note = z.string().trim().max(500, 'Five hundred characters at most.')

/** What was changed: every time that was noted before takes its factor from then on. */
export const swaps = ['developer', 'box', 'lamp'] as const
export type Swap = (typeof swaps)[number]

/** Two strips matched for a light and a dark tone, before and after a change; of one enlarger's lamp, of one paper, or (null) of all. */
const swapBody = z.strictObject({
  kind: z.literal('swap'),
  of: z.enum(swaps),
  enlargerId: id.nullable(),
  paperId: id.nullable(),
  /** of the strips they were matched on */
  stepStops: z.number().gt(0).max(2),
  ...{ light: tone, dark: tone, note },
})

/** The least time that prints clear film full black, with everything it holds for. */
const contactBody = z.strictObject({
  kind: z.literal('contact'),
  ...{ enlargerId: id, paperId: id },
  m: z.number().min(0.05).max(100),
  lensN: z.number().min(0.7).max(128),
  grade: z.enum(grades).nullable(),
  developer: z.string().trim().max(200, 'The developer is 200 characters at most.'),
  /** which film the clear piece was of */
  film: z.string().trim().min(1, 'Say of which film the clear piece is.').max(120),
  firstS: seconds,
  stepStops: z.number().gt(0).max(2),
  bands: z.int().min(2, 'A strip has two bands at least.').max(30),
  /** the first step that cannot be told from the next, by eye; or the densities of all */
  chosen: z.int().min(0).max(29).nullable(),
  densities: z.array(z.number().min(0).max(4)).max(30),
})
/** Wedges printed at settings of one head on one paper: its dials go by them from then on. */
const wedgesBody = z.strictObject({
  kind: z.literal('wedges'),
  ...{ enlargerId: id, paperId: id },
  /** density by which a step of the wedge is denser than the one before it */
  stepD: z.number('A step’s density is a number.').gt(0, 'A step is denser by more than 0.').max(1, 'A step is denser by 1 at most.'),
  /** what stays as dark as it was when the grade changes */
  key: z.enum(['middle', 'light']),
  readings: z.array(wedgeReading).min(2, 'A head is calibrated by two wedges at least.').max(20, 'Twenty wedges at most.'),
  developer: z.string().trim().max(200, 'The developer is 200 characters at most.'),
  note,
})
export type WedgesBody = z.output<typeof wedgesBody>
export type SwapBody = z.output<typeof swapBody>
export type ContactBody = z.output<typeof contactBody>

/** A grey patch matched in tone before and after so many units more on one dial: what that dial costs from then on. */
const filtersBody = z.strictObject({
  kind: z.literal('filters'),
  ...{ enlargerId: id, paperId: id.nullable() },
  dial: z.enum(['y', 'm', 'c']),
  units: z
    .number('Units are a number.')
    .min(5, 'Turn a dial by 5 units at least: less cannot be matched.')
    .max(200, 'Two hundred units at most.'),
  ...{ beforeS: seconds, afterS: seconds, note },
})
export type FiltersBody = z.output<typeof filtersBody>

/** What was matched or measured in the print room, and holds from its date on. */
export const calibrationBody = z.discriminatedUnion('kind', [swapBody, contactBody, wedgesBody, filtersBody])
export type CalibrationBody = z.output<typeof calibrationBody>

/**
 * s of the standard contact exposure a strip says; null where its last step is still darker than the one before it.
 * @throws DomainError 'out-of-range', 'no-strip'
 * @example
 * contactSeconds({ firstS: 4, stepStops: 0.5, bands: 6, chosen: 3, densities: [] }) // → 11.314
 * contactSeconds({ firstS: 4, stepStops: 0.5, bands: 6, chosen: null, densities: [1.4, 1.75, 1.95, 2.05, 2.07, 2.08] }) // → 11.314
 */
export function contactSeconds(of: Pick<ContactBody, 'firstS' | 'stepStops' | 'bands' | 'chosen' | 'densities'>): number | null {
  const totals = stripTotals({ by: 'stops', firstS: of.firstS, stepStops: of.stepStops }, of.bands)
  if (of.densities.length > 0) return contactTime(totals.map((s, i) => ({ s, density: of.densities[i] ?? 0 })))
  // the last one has no next to be told from
  return of.chosen === null || of.chosen >= of.bands - 1 ? null : (totals[of.chosen] ?? null)
}

const changed: Record<Swap, string> = { developer: 'another developer', box: 'another box', lamp: 'another lamp' }

/**
 * Factors for a time that was noted at a moment (ms): of each change that was matched since, and that concerns this enlarger and paper.
 * @example
 * matchedSince([{ at: 5, body: aSwap }], { noted: 1, enlargerId: 'e', paperId: 'p' }) // → [{ name: 'another developer', factor: 1.25 }]
 * matchedSince([{ at: 5, body: aSwap }], { noted: 9, enlargerId: 'e', paperId: 'p' }) // → []
 */
export function matchedSince(
  all: { at: number; body: CalibrationBody }[],
  { noted, enlargerId, paperId }: { noted: number; enlargerId: string; paperId: string },
): PrintFactor[] {
  return all.flatMap(({ at, body }) => {
    if (body.kind !== 'swap' || at <= noted) return []
    const concerns = (body.enlargerId ?? enlargerId) === enlargerId && (body.paperId ?? paperId) === paperId
    return concerns ? [{ name: changed[body.of], factor: matchedFactor(body).factor }] : []
  })
}

/**
 * What the dials of an enlarger cost on a paper: by the newest patch that was matched of each, as usual where none was.
 * @example
 * weightsFor('e', 'p', []) // → { y: 0.1, m: 0.6, c: 0.3 }
 */
export function weightsFor(enlargerId: string, paperId: string | undefined, all: { at: number; body: CalibrationBody }[]): FilterWeights {
  const own = all.flatMap(({ at, body }) =>
    body.kind === 'filters' && body.enlargerId === enlargerId && (body.paperId ?? paperId) === paperId ? [{ at, body }] : [],
  )
  const weights = { ...usualWeights }
  for (const { body } of own.sort((a, b) => a.at - b.at)) weights[body.dial] = filterWeight(body)
  return weights
}
