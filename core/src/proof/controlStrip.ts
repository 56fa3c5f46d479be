import { impossible, DomainError } from '../error'
import { controlChart, type ControlFlag } from './controlChart'
import { toThousandth } from './verdicts/judgement'

/** What is read from a developed control strip, in density. */
export interface StripReading {
  fog: number
  low: number
  high: number
  max: number
}
export const stripMeasures = ['fog', 'low', 'contrast', 'max'] as const
export type StripMeasure = (typeof stripMeasures)[number]
export type StripLimits = Record<StripMeasure, { action: number; control: number }>

export const stripMeasureNames: Record<StripMeasure, string> = {
  fog: 'Base + fog',
  low: 'Low density',
  contrast: 'Contrast (high − low)',
  max: 'Maximum density',
}

/** Density units. Rounded literature values; a house may set its own. */
export const usualStripLimits: StripLimits = {
  fog: { action: 0.02, control: 0.03 },
  low: { action: 0.06, control: 0.08 },
  contrast: { action: 0.06, control: 0.08 },
  max: { action: 0.1, control: 0.15 },
}

/**
 * Throws `implausible` for a strip no process could give: densities rise from base + fog over low and high to the maximum.
 * @example
 * requireStrip({ fog: 0.2, low: 0.1, high: 1.2, max: 2 }) // throws 'implausible'
 */
export function requireStrip({ fog, low, high, max }: StripReading): void {
  const steps: [string, number, string, number][] = [
    ['The low density', low, 'base + fog', fog],
    ['The high density', high, 'the low one', low],
    ['The maximum', max, 'the high one', high],
  ]
  for (const [what, value, than, least] of steps)
    if (toThousandth(value - least) < 0)
      throw new DomainError('implausible', `${what} (${value}) is under ${than} (${least}), which cannot be: look at the figures again.`)
}

/**
 * What one measure of a control strip comes to, as a density or a difference of densities.
 * @example
 * measureOf({ fog: 0.2, low: 0.4, high: 1.2, max: 2 }, 'contrast') // → 0.8
 */
export const measureOf = (strip: StripReading, measure: StripMeasure): number =>
  measure === 'contrast' ? strip.high - strip.low : strip[measure]

/** Strips from good batches it takes for a mean of one's own. */
const stripsForMean = 5

/**
 * The mean each measure is held against: a reference strip's own figures, or the mean of at least five strips over at least two good batches,
 * never of the batch that is judged. Throws `no-reference` where there is neither.
 * @example
 * stripMeans({ fog: 0.2, low: 0.4, high: 1.2, max: 2 }, [], null).fog // → 0.2
 */
export function stripMeans(
  reference: StripReading | null,
  good: { strip: StripReading; batchId: string | null }[],
  judgedBatchId: string | null,
): Record<StripMeasure, number> {
  const usable = good.filter((one) => judgedBatchId === null || one.batchId !== judgedBatchId)
  const enough = usable.length >= stripsForMean && new Set(usable.map((one) => one.batchId)).size >= 2
  const from = reference ? [reference] : enough ? usable.map((one) => one.strip) : null
  if (!from)
    throw new DomainError(
      'no-reference',
      `A control chart needs a reference strip, or ${stripsForMean} strips over at least two good batches other than this one; there are ${usable.length}.`,
    )
  const mean = (measure: StripMeasure) => from.reduce((sum, strip) => sum + measureOf(strip, measure), 0) / from.length
  return { fog: mean('fog'), low: mean('low'), contrast: mean('contrast'), max: mean('max') }
}

export interface StripJudgement {
  flags: Record<StripMeasure, ControlFlag[]>
  /** of the newest strip: stop, run a second strip, watch, or in control */
  newest: 'stop' | 'second-strip' | 'watch' | 'in-control'
  /** which rule, and the usual causes, in sentences */
  says: string[]
}

const ruleWords: Record<ControlFlag['rule'], string> = {
  control: 'is past the control limit: stop, nothing more goes through',
  action: 'is past the action limit: run a second strip',
  'two-of-three': 'is past the action limit for the second time in three strips, on the same side',
  trend: 'has risen or fallen six strips in a row',
  side: 'has lain on one side of the mean for nine strips',
}

/**
 * All measures of a row of strips, oldest first, against their means: the flags, and what the newest strip calls for.
 * @example
 * judgeStrips([{ fog: 0.2, low: 0.4, high: 1.2, max: 2 }], stripMeans({ fog: 0.2, low: 0.4, high: 1.2, max: 2 }, [], null)) // → { flags: { fog: [], low: [], contrast: [], max: [] }, newest: 'in-control', says: [] }
 */
export function judgeStrips(
  strips: StripReading[],
  means: Record<StripMeasure, number>,
  limits: StripLimits = usualStripLimits,
): StripJudgement {
  const flags = Object.fromEntries(
    stripMeasures.map((measure) => [
      measure,
      controlChart(
        strips.map((strip) => measureOf(strip, measure)),
        { mean: means[measure], ...limits[measure] },
      ),
    ]),
  ) as StripJudgement['flags']
  const last = strips.length - 1
  const now = stripMeasures.flatMap((measure) =>
    flags[measure].filter((flag) => flag.index === last).map((flag) => ({ measure, rule: flag.rule })),
  )
  const has = (...rules: ControlFlag['rule'][]) => now.some((one) => rules.includes(one.rule))
  return {
    flags,
    newest: has('control') ? 'stop' : has('action') ? 'second-strip' : has('two-of-three', 'trend', 'side') ? 'watch' : 'in-control',
    says: [
      ...now.map((one) => `${stripMeasureNames[one.measure]} ${ruleWords[one.rule]}.`),
      ...causes(strips.at(-1), means, limits, flags, last),
    ],
  }
}

/** The usual causes of what the newest strip shows, in words. Rounded practice, not proof. */
function causes(
  newest: StripReading | undefined,
  means: Record<StripMeasure, number>,
  limits: StripLimits,
  flags: StripJudgement['flags'],
  last: number,
): string[] {
  if (!newest) return []
  const off = (measure: StripMeasure) => {
    const d = toThousandth(measureOf(newest, measure) - means[measure])
    return Math.abs(d) > limits[measure].action ? Math.sign(d) : 0
  }
  const falling =
    flags.contrast.some((flag) => flag.index === last && flag.rule === 'trend') && measureOf(newest, 'contrast') < means.contrast
  const says: string[] = []
  if (off('low') > 0 && off('contrast') > 0)
    says.push('Low and contrast are both high: the developer was too warm, too strong, or the time too long.')
  if (off('low') < 0 && off('fog') > 0) says.push('Low speed with high fog: contamination. Look for fixer or bleach in the developer.')
  if (off('contrast') < 0 || falling) says.push('Contrast is falling: the developer is exhausted or too cold.')
  if (off('fog') > 0 && off('low') >= 0) says.push('High base + fog: light leaks, old film, or a developer that is too warm.')
  return says
}

/**
 * Refuses limits of a control chart of which one lies wrong.
 * @throws Refused 'limits'
 * @example
 * requireLimits({ ...usualStripLimits, fog: { action: 0.05, control: 0.03 } }) // throws 'limits'
 */
export function requireLimits(limits: StripLimits): void {
  if (Object.values(limits).some((limit) => limit.control <= limit.action))
    throw impossible('limits', 'The control limit of a measure lies outside its action limit.')
}
