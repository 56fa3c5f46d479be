import { comparedReading, inDays, judge, type Judgement, type Reading, type Reference, type TestKind, type TestMark } from '@selvrin/core'

/** What a fresh batch's own reading says: it is the reference from now on, and sets the fixing time where it is a clearing time. */
export function freshJudgement(kind: TestKind, reading: Reading): Judgement {
  const judged = judge(kind, reading, { reference: null })
  return {
    ...judged,
    verdict: 'keep',
    rule: 'reference',
    reason: `Kept as the fresh reading of its batch.${judged.fixS === null ? '' : ` Fix ${Math.round(judged.fixS)} s.`}`,
    restsOn: 'being fresh',
    retire: false,
    againDays: null,
  }
}

/** The mark a test leaves in its bottle's ledger; `from` is where what it was held against came from. */
export const testMarkOf = (
  kind: TestKind,
  reading: Reading,
  judgement: Judgement,
  from: Reference['from'] | null,
  { at, zone }: { at: number; zone: string },
): TestMark => ({
  kind,
  verdict: judgement.verdict,
  rule: judgement.rule,
  reason: judgement.reason,
  reading: comparedReading(reading.value, judgement),
  reference: judgement.reference,
  ofBatch: from === 'batch',
  ...(kind === 'clearing-time' && reading.value !== undefined && judgement.verdict !== 'failed' && judgement.rule !== 'clearing-fast'
    ? { clearing: { seconds: reading.value, celsius: reading.celsius ?? null, slow: reading.slowClearing ?? true } }
    : {}),
  fixS: judgement.fixS,
  againAt: judgement.againDays === null ? null : inDays(at, judgement.againDays, zone),
  overruled: null,
})
