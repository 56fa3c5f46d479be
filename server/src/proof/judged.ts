import { comparedReading, judge, type Judgement, type Reading, type TestKind, type TestMark } from '@selvrin/core'

const dayMs = 86_400_000

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

/** The mark a test leaves in its bottle's ledger. */
export const testMarkOf = (kind: TestKind, reading: Reading, judgement: Judgement, at: number): TestMark => ({
  kind,
  verdict: judgement.verdict,
  rule: judgement.rule,
  reason: judgement.reason,
  reading: comparedReading(reading.value, judgement),
  reference: judgement.reference,
  fixS: judgement.fixS,
  againAt: judgement.againDays === null ? null : at + judgement.againDays * dayMs,
  overruled: null,
})
