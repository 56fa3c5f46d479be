import type { ClearingRead } from './fixingTime'

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
export type Verdict = 'keep' | 'marginal' | 'failed'

/** A test's mark in a bottle's ledger: what bottleState needs to know of it. */
export interface TestMark {
  kind: TestKind
  verdict: Verdict
  /** the rule that spoke and why, in a sentence */
  rule: string
  reason: string
  /** s, density, pH or g/L, as the kind reads; null where it is judged by eye */
  reading: number | null
  /** the same of the fresh batch; null where there was none */
  reference: number | null
  /** the reference is the fresh reading of its own batch */
  ofBatch?: boolean | undefined
  /** of a clearing time: what was read, at what temperature, with which kind of film */
  clearing?: ClearingRead | undefined
  /** s to fix from now on, where a clearing test says so */
  fixS: number | null
  /** ms at which it is to be tested again, where the verdict asks for it */
  againAt: number | null
  /** a technician's reason for going on in spite of a failure of this kind; such a mark carries no reading */
  overruled: string | null
}
