import { z } from 'zod'
import { celsius } from '../../shape/common'
import { verdict } from '../proof'

/** What was read, by kind; a look where the kind is judged by eye. */
export const reading = z.strictObject({
  look: z.string().max(30).optional(),
  /** density, pH, s or g/L, as the kind reads */
  value: z.number().min(0).max(100_000).optional(),
  /** density of the fresh scrap read beside it, in the same picture or at the same densitometer */
  fresh: z.number().min(0).max(5).optional(),
  /** density of clear film, unexposed and fixed: base + fog, which densities in a ratio are net of */
  base: z.number().min(0).max(3).optional(),
  celsius: celsius.optional(),
  /** film with tabular grain or rich in iodide: fix three times the clearing time; not said is not known */
  slowClearing: z.boolean().optional(),
  /** why a reading that cannot be is kept all the same */
  doubtful: z.string().trim().min(3).max(500).optional(),
  /** from a photograph without a wedge, or otherwise approximate */
  approximate: z.boolean().optional(),
})
export type Reading = z.output<typeof reading>

/** What it is held against. */
export const reference = z.object({
  value: z.number(),
  celsius: z.number().nullable(),
  /** of a clearing time: the kind of film it was read with */
  slowClearing: z.boolean().nullable().optional(),
  /** 'batch': read when it was mixed; 'beside': the fresh scrap read along with it; 'formula': the mean of the formula's other fresh batches; 'class': the usual range of its kind */
  from: z.enum(['batch', 'formula', 'class', 'beside']),
})
export type Reference = z.output<typeof reference>

/** What a reading comes to. */
export const judgement = z.object({
  verdict,
  rule: z.string(),
  reason: z.string(),
  ratio: z.number().nullable(),
  reference: z.number().nullable(),
  /** what the verdict rests on, in a sentence */
  restsOn: z.string(),
  /** the reading was brought to the reference's temperature, or its kind of film */
  corrected: z.boolean(),
  /** what it comes to there, in its own unit; null for a reading that says nothing of the bath; absent where it was not brought anywhere */
  compared: z.number().nullable().optional(),
  /** s to fix from now on */
  fixS: z.number().nullable(),
  /** what to do: retire it, fix longer, test again in so many days */
  retire: z.boolean(),
  againDays: z.number().nullable(),
})
export type Judgement = z.output<typeof judgement>

/** Days until a test is repeated as a matter of course, and where its verdict was no plain pass. */
export const usualAgainDays = 14
export const soonDays = 3

const base = { ratio: null, reference: null, corrected: false, fixS: null, retire: false, againDays: usualAgainDays }
export type Given = Pick<Judgement, 'verdict' | 'rule' | 'reason' | 'restsOn'> & Partial<Judgement>
export const judged = (given: Given): Judgement => ({
  ...base,
  retire: given.verdict === 'failed',
  againDays: given.verdict === 'keep' ? usualAgainDays : given.verdict === 'marginal' ? soonDays : null,
  ...given,
})

export const sources: Record<Reference['from'], string> = {
  batch: 'the reading of this batch when it was fresh',
  formula: 'other fresh batches of this formula, because this one has no fresh reading',
  class: 'the usual range of its kind, because there is no fresh reading',
  beside: 'the scrap kept from the fresh batch, read beside it',
}

export const percent = (ratio: number): string => `${Math.round(ratio * 100)} %`
/** Readings come with few figures: a difference of exactly a limit is that limit, whatever binary fractions make of it. */
export const toThousandth = (difference: number): number => Math.round(difference * 1000) / 1000

export const noReference = (reading: string): Given => ({
  verdict: 'marginal',
  rule: 'no-reference',
  reason: `${reading} There is no fresh reading to hold it against, so it can be neither passed nor failed by this test.`,
  restsOn: 'nothing: take the reference when the next batch is fresh',
})

/** A pass whose conditions are not known or not the reference's is no pass: marginal, saying why. A failure stays one. */
export const atBestMarginal = (judgement: Judgement, why: string): Judgement =>
  judgement.verdict === 'keep'
    ? { ...judgement, verdict: 'marginal', rule: `${judgement.rule}-doubtful`, reason: `${judgement.reason} ${why}`, againDays: soonDays }
    : { ...judgement, reason: `${judgement.reason} ${why}` }
