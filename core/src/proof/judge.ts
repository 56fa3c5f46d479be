import { DomainError, requireAmounts, requireTemperatures } from '../error'
import { guideOf } from './guide'
import type { TestKind } from './proof'
import { clearingTime } from './verdicts/clearingTime'
import { density } from './verdicts/density'
import { developerPh } from './verdicts/developerPh'
import { fixerPh, type FixerClass } from './verdicts/fixerPh'
import { judged, usualAgainDays, type Judgement, type Reading, type Reference } from './verdicts/judgement'
import { leader } from './verdicts/leader'
import { silver } from './verdicts/silver'
import { stopPh } from './verdicts/stopPh'

export { fixerClassOf, type FixerClass } from './verdicts/fixerPh'
export type { Judgement, Reading, Reference } from './verdicts/judgement'

/** What a method can show at all: [least, most], the least itself excluded where a reading of it is none. */
const possible: Partial<Record<TestKind, { least: number; most: number; what: string }>> = {
  'scrap-density': { least: 0, most: 4.5, what: 'A density lies between 0 and 4.5' },
  'leader-black': { least: 0.5, most: 3600, what: 'A leader takes some seconds to an hour' },
  'clearing-time': { least: 0.5, most: 3600, what: 'A clearing time is some seconds to an hour' },
  'developer-ph': { least: 0, most: 14, what: 'A pH meter shows 0 to 14' },
  'fixer-ph': { least: 0, most: 14, what: 'A pH meter shows 0 to 14' },
  'stop-indicator': { least: 0, most: 14, what: 'A pH meter shows 0 to 14' },
  'silver-paper': { least: 0, most: 60, what: 'A fixer holds 0 to 60 g/L of silver' },
}
/** °C a bath of a darkroom has when something is read in it. */
const bathC = { least: 5, most: 60 }

/**
 * The verdict of one test of a bath or film, with the rule that spoke and why. Density 90 and 75 %; leader 1.5 and 2 times; developer pH 0.1, 0.2
 * and 0.3; clearing 2 times; silver by limit; fixer pH 0.5 and class. A reading that is missing throws `no-reading`, a look unknown to it `unknown-look`,
 * one that cannot be `implausible`; one whose conditions are not known is at best marginal.
 * @example
 * judge('stop-indicator', { look: 'yellow' }, { reference: null }).verdict // → 'keep'
 * judge('clearing-time', { value: 60, celsius: 20, slowClearing: false }, { reference: { value: 30, celsius: 20, slowClearing: false, from: 'batch' } }).verdict // → 'failed'
 */
export function judge(
  kind: TestKind,
  reading: Reading,
  context: { reference: Reference | null; silverLimitGPerL?: number | null; hardening?: boolean; fixerClass?: FixerClass | null },
): Judgement {
  if (reading.look !== undefined) return byEye(kind, reading.look)
  const { value, celsius } = reading
  if (value === undefined) throw new DomainError('no-reading', 'Write down what was read first.')
  requireAmounts({ 'The reading': value })
  const range = possible[kind]
  if (range && (value < range.least || value > range.most))
    throw new DomainError('implausible', `${range.what}, not ${value}. Read it again.`)
  if (celsius !== undefined) {
    requireTemperatures({ 'The temperature': celsius })
    if (celsius < bathC.least || celsius > bathC.most)
      throw new DomainError('implausible', `No bath here is at ${celsius} °C. Look at the thermometer again.`)
  }
  switch (kind) {
    case 'scrap-density':
      return density(
        value,
        reading,
        reading.fresh === undefined ? context.reference : { value: reading.fresh, celsius: null, from: 'beside' },
      )
    case 'leader-black':
      return leader(value, reading, context.reference)
    case 'developer-ph':
      return developerPh(value, reading, context.reference)
    case 'clearing-time':
      return clearingTime(value, reading, context.reference)
    case 'silver-paper':
      return silver(value, context.silverLimitGPerL ?? null)
    case 'fixer-ph':
      return fixerPh(value, context.reference, context.fixerClass ?? null)
    case 'stop-indicator':
      return stopPh(value)
    default:
      throw new DomainError('no-reading', `${guideOf(kind).name} is judged by eye: choose what you see.`)
  }
}

function byEye(kind: TestKind, value: string): Judgement {
  const look = guideOf(kind).looks.find((one) => one.value === value)
  if (!look) throw new DomainError('unknown-look', 'Choose one of the things this test may show.')
  return judged({
    verdict: look.verdict,
    rule: look.rule,
    reason: look.reason,
    restsOn: 'what was seen',
    againDays: look.verdict === 'keep' ? usualAgainDays : look.verdict === 'marginal' ? 0 : null,
  })
}
