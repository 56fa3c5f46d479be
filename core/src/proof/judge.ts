import { DomainError, requireAmounts, requirePositive, requireTemperatures } from '../error'
import { clearingAt } from './clearing'
import { guideOf } from './guide'
import type { TestKind, Verdict } from './proof'

/** What was read, by kind; a look where the kind is judged by eye. */
export interface Reading {
  look?: string | undefined
  /** density, pH, s or g/L, as the kind reads */
  value?: number | undefined
  /** density of the fresh scrap read beside it, in the same picture or at the same densitometer */
  fresh?: number | undefined
  celsius?: number | undefined
  /** film with tabular grain or rich in iodide: fix three times the clearing time */
  slowClearing?: boolean | undefined
  /** from a photograph without a wedge, or otherwise approximate */
  approximate?: boolean | undefined
}

/** What it is held against. */
export interface Reference {
  value: number
  celsius: number | null
  /** 'batch': read when it was mixed; 'beside': the fresh scrap read along with it; 'formula': the mean of the formula's other fresh batches; 'class': the usual range of its kind */
  from: 'batch' | 'formula' | 'class' | 'beside'
}

export interface Judgement {
  verdict: Verdict
  rule: string
  reason: string
  ratio: number | null
  reference: number | null
  /** what the verdict rests on, in a sentence */
  restsOn: string
  /** the reading was brought to the reference's temperature */
  corrected: boolean
  /** s to fix from now on */
  fixS: number | null
  /** what to do: retire it, fix longer, test again in so many days */
  retire: boolean
  againDays: number | null
}

const usualAgainDays = 14
const soonDays = 3

const base = { ratio: null, reference: null, corrected: false, fixS: null, retire: false, againDays: usualAgainDays }
type Given = Pick<Judgement, 'verdict' | 'rule' | 'reason' | 'restsOn'> & Partial<Judgement>
const judged = (given: Given): Judgement => ({
  ...base,
  retire: given.verdict === 'failed',
  againDays: given.verdict === 'keep' ? usualAgainDays : given.verdict === 'marginal' ? soonDays : null,
  ...given,
})

const sources: Record<Reference['from'], string> = {
  batch: 'the reading of this batch when it was fresh',
  formula: 'other fresh batches of this formula, because this one has no fresh reading',
  class: 'the usual range of its kind, because there is no fresh reading',
  beside: 'the scrap kept from the fresh batch, read beside it',
}

/**
 * The verdict of one test of a bath or film, with the rule that spoke and why. Density 90 and 75 %; leader 1.5 and 2 times; developer pH 0.1, 0.2
 * and 0.3; clearing 2 times; silver by limit; fixer pH 0.5 and class. A reading that is missing throws `no-reading`, a look unknown to it `unknown-look`.
 */
export function judge(
  kind: TestKind,
  reading: Reading,
  context: { reference: Reference | null; silverLimitGPerL?: number | null; hardening?: boolean; fixerClass?: FixerClass | null },
): Judgement {
  if (reading.look !== undefined) return byEye(kind, reading.look)
  const { value } = reading
  if (value === undefined) throw new DomainError('no-reading', 'Write down what was read first.')
  requireAmounts({ 'The reading': value })
  if (reading.celsius !== undefined) requireTemperatures({ 'The temperature': reading.celsius })
  switch (kind) {
    case 'scrap-density':
      return density(
        value,
        reading.fresh === undefined ? context.reference : { value: reading.fresh, celsius: null, from: 'beside' },
        reading.approximate ?? false,
      )
    case 'leader-black':
      return leader(value, reading, context.reference)
    case 'developer-ph':
      return developerPh(value, reading, context.reference)
    case 'clearing-time':
      return clearing(value, reading, context.reference)
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

const percent = (ratio: number) => `${Math.round(ratio * 100)} %`
const noReference = (reading: string): Given => ({
  verdict: 'marginal',
  rule: 'no-reference',
  reason: `${reading} There is no fresh reading to hold it against, so it can be neither passed nor failed by this test.`,
  restsOn: 'nothing: take the reference when the next batch is fresh',
})

function density(value: number, reference: Reference | null, approximate: boolean): Judgement {
  if (!reference) return judged(noReference(`It reads density ${value.toFixed(2)}.`))
  requirePositive({ 'The density of the fresh scrap': reference.value })
  const ratio = value / reference.value
  const restsOn = `${sources[reference.from]}${approximate ? '; read approximately, without a wedge' : ''}`
  const says = `Density ${value.toFixed(2)} is ${percent(ratio)} of the fresh ${reference.value.toFixed(2)}`
  const known = { ratio, reference: reference.value, restsOn }
  if (ratio < 0.75) return judged({ ...known, verdict: 'failed', rule: 'density-75', reason: `${says}, under 75 %: retire it.` })
  if (ratio <= 0.9)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'density-90',
      reason: `${says}, between 75 and 90 %: not for anyone’s only negatives.`,
    })
  return judged({ ...known, verdict: 'keep', rule: 'density-keep', reason: `${says}, over 90 %.` })
}

/** °C a timing may be off its reference's temperature before it means something else. */
const sameC = 1

function leader(seconds: number, { celsius }: Reading, reference: Reference | null): Judgement {
  requirePositive({ 'The time': seconds })
  if (!reference) return judged(noReference(`Full black after ${Math.round(seconds)} s.`))
  const ratio = seconds / reference.value
  const off = celsius !== undefined && reference.celsius !== null ? Math.abs(celsius - reference.celsius) : 0
  const restsOn = `${sources[reference.from]}${off > sameC ? `, taken ${off.toFixed(1)} °C from it: repeat it at the same temperature` : ''}`
  const says = `Full black after ${Math.round(seconds)} s, ${ratio.toFixed(2)} times the fresh ${Math.round(reference.value)} s`
  const known = { ratio, reference: reference.value, restsOn }
  if (ratio >= 2) return judged({ ...known, verdict: 'failed', rule: 'leader-2', reason: `${says}: retire it.` })
  if (ratio > 1.5)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'leader-1.5',
      reason: `${says}: do the scrap density test before film goes in.`,
      againDays: 0,
    })
  return judged({ ...known, verdict: 'keep', rule: 'leader-keep', reason: `${says}.` })
}

function developerPh(ph: number, { celsius }: Reading, reference: Reference | null): Judgement {
  if (celsius !== undefined && (celsius < 20 || celsius > 25))
    throw new DomainError('wrong-temperature', `Take a developer’s pH at 20 to 25 °C, not at ${celsius} °C.`)
  if (!reference) return judged(noReference(`It reads pH ${ph.toFixed(2)}.`))
  // readings come with two decimals: a difference of exactly a limit is that limit
  const off = Math.round(Math.abs(ph - reference.value) * 1000) / 1000
  const says = `pH ${ph.toFixed(2)} is ${off.toFixed(2)} from the fresh ${reference.value.toFixed(2)}`
  const known = { ratio: null, reference: reference.value, restsOn: sources[reference.from] }
  if (off >= 0.3) return judged({ ...known, verdict: 'failed', rule: 'ph-0.3', reason: `${says}: retire it for critical work.` })
  if (off >= 0.2) return judged({ ...known, verdict: 'marginal', rule: 'ph-0.2', reason: `${says}: expect a change of contrast.` })
  return judged({
    ...known,
    verdict: 'keep',
    rule: off > 0.1 ? 'ph-watch' : 'ph-0.1',
    reason: `${says}. pH can fail a developer but never pass it: ascorbate dies without showing it.`,
  })
}

function clearing(seconds: number, { celsius, slowClearing }: Reading, reference: Reference | null): Judgement {
  requirePositive({ 'The clearing time': seconds })
  const times = slowClearing ? 3 : 2
  const fixS = times * seconds
  const fix = `Fix ${times} times the clearing time, ${Math.round(fixS)} s.`
  if (!reference)
    return judged({
      ...noReference(`It clears in ${Math.round(seconds)} s.`),
      fixS,
      reason: `It clears in ${Math.round(seconds)} s. ${fix} Whether it is tired cannot be said without a fresh reading.`,
    })
  const off = celsius === undefined || reference.celsius === null ? 0 : celsius - reference.celsius
  const corrected = Math.abs(off) > sameC
  const compared = corrected ? clearingAt(seconds, celsius ?? 0, reference.celsius ?? 0) : seconds
  const ratio = compared / reference.value
  const says = `It clears in ${Math.round(seconds)} s${corrected ? `, ${Math.round(compared)} s at the fresh reading’s ${reference.celsius} °C` : ''}, ${ratio.toFixed(2)} times the fresh ${Math.round(reference.value)} s.`
  const known = {
    ratio,
    reference: reference.value,
    restsOn: `${sources[reference.from]}${corrected ? '; corrected for temperature' : ''}`,
    corrected,
  }
  if (ratio >= 2)
    return judged({ ...known, verdict: 'failed', rule: 'clearing-2', reason: `${says} At twice the fresh time it is retired.` })
  return judged({
    ...known,
    fixS,
    verdict: 'keep',
    rule: slowClearing ? 'clearing-3x' : 'clearing-2x',
    reason: `${says} ${fix}`,
    ...(ratio >= 1.5 ? { againDays: soonDays } : {}),
  })
}

function silver(gPerL: number, limit: number | null): Judgement {
  if (limit === null) return judged(noReference(`It holds ${gPerL.toFixed(1)} g/L of silver.`))
  const says = `${gPerL.toFixed(1)} g/L of silver against ${limit} g/L for what it fixes`
  const known = { ratio: gPerL / limit, reference: limit, restsOn: 'the guidance limit for what it fixes' }
  if (gPerL >= limit) return judged({ ...known, verdict: 'failed', rule: 'silver-limit', reason: `${says}: retire it.` })
  if (gPerL >= 0.75 * limit) return judged({ ...known, verdict: 'marginal', rule: 'silver-near', reason: `${says}: mix the next one.` })
  return judged({ ...known, verdict: 'keep', rule: 'silver-keep', reason: `${says}.` })
}

export type FixerClass = 'alum-hardening' | 'acid' | 'neutral' | 'alkaline'
/** pH by class. Rounded literature values. */
export const fixerClasses: Record<FixerClass, [number, number]> = {
  'alum-hardening': [4, 5.5],
  acid: [4, 6],
  neutral: [6, 7.5],
  alkaline: [7.5, 9],
}

export const fixerClassOf = (freshPh: number, hardening: boolean): FixerClass =>
  hardening ? 'alum-hardening' : freshPh < 6 ? 'acid' : freshPh <= 7.5 ? 'neutral' : 'alkaline'

function fixerPh(ph: number, reference: Reference | null, cls: FixerClass | null): Judgement {
  const range = cls ? fixerClasses[cls] : null
  if (!reference && !range) return judged(noReference(`It reads pH ${ph.toFixed(1)}.`))
  const out = range !== null && (ph < range[0] || ph > range[1])
  const off = reference && reference.from !== 'class' ? Math.round(Math.abs(ph - reference.value) * 1000) / 1000 : 0
  const says =
    reference && reference.from !== 'class'
      ? `pH ${ph.toFixed(1)} is ${off.toFixed(1)} from the fresh ${reference.value.toFixed(1)}`
      : `pH ${ph.toFixed(1)}`
  const known = { reference: reference?.value ?? null, restsOn: reference ? sources[reference.from] : sources.class }
  if (out)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'fixer-class',
      reason: `${says}, outside ${range[0]} to ${range[1]} of ${cls === 'alum-hardening' ? 'an alum-hardening' : `an ${cls}`.replace('an neutral', 'a neutral')} fixer.`,
    })
  if (off > 0.5)
    return judged({ ...known, verdict: 'marginal', rule: 'fixer-ph-0.5', reason: `${says}: it has taken up developer or stop bath.` })
  return judged({ ...known, verdict: 'keep', rule: 'fixer-ph', reason: `${says}.` })
}

function stopPh(ph: number): Judgement {
  const known = { restsOn: 'the indicator’s range, pH 5.2 to 6.8' }
  if (ph > 6.8)
    return judged({ ...known, verdict: 'failed', rule: 'stop-purple', reason: `pH ${ph.toFixed(1)}: it stops nothing any more.` })
  if (ph >= 5.2)
    return judged({
      ...known,
      verdict: 'marginal',
      rule: 'stop-orange',
      reason: `pH ${ph.toFixed(1)}: replace it before the next run.`,
      againDays: 0,
    })
  return judged({ ...known, verdict: 'keep', rule: 'stop-yellow', reason: `pH ${ph.toFixed(1)}: still acid.` })
}
