import { z } from 'zod'

/** Every test there is, by what it reads; docs/domain/viability.md tells each procedure. */
export const testKinds = [
  'scrap-density',
  'leader-black',
  'developer-ph',
  'clearing-time',
  'iodide-drop',
  'silver-paper',
  'fixer-ph',
  'stop-indicator',
  'monobath-scrap',
  'colour-developer-scrap',
  'bleach-fix-fixing',
  'bleach-fix-bleaching',
  'first-developer-scrap',
  'reversal-scrap',
  'residual-silver',
  'residual-thiosulfate',
  'safelight-coin',
  'thermometer-points',
  'control-strip',
] as const
export type TestKind = (typeof testKinds)[number]

/** What a test says; a bath that failed stands still until two passes or a technician's reason. */
export const verdict = z.enum(['keep', 'marginal', 'failed'])
export type Verdict = z.output<typeof verdict>

/** A clearing time as it was read; `slow` for film of tabular grain. */
export const clearingRead = z.object({
  seconds: z.number().gt(0),
  /** null where nobody wrote it down: taken to be the run's */
  celsius: z.number().nullable(),
  slow: z.boolean(),
})
export type ClearingRead = z.output<typeof clearingRead>

/** A test's mark in a bottle's ledger: what bottleState needs to know of it. */
export const testMark = z.object({
  kind: z.enum(testKinds),
  verdict,
  /** the rule that spoke and why, in a sentence */
  rule: z.string(),
  reason: z.string(),
  /** s, density, pH or g/L, as the kind reads; null where it is judged by eye */
  reading: z.number().nullable(),
  /** the same of the fresh batch; null where there was none */
  reference: z.number().nullable(),
  /** the reference is the fresh reading of its own batch */
  ofBatch: z.boolean().optional(),
  /** of a clearing time: what was read, at what temperature, with which kind of film */
  clearing: clearingRead.optional(),
  /** s to fix from now on, where a clearing test says so */
  fixS: z.number().nullable(),
  /** ms at which it is to be tested again, where the verdict asks for it */
  againAt: z.number().nullable(),
  /** a technician's reason for going on in spite of a failure of this kind; such a mark carries no reading */
  overruled: z.string().nullable(),
})
export type TestMark = z.output<typeof testMark>
