import { inDays } from '../calendar/days'
import { conflict, impossible } from '../error'
import { comparedReading } from './clearing'
import { guideOf, testsFor } from './guide'
import { judge } from './judge'
import type { TestKind, TestMark } from './proof'
import type { Judgement, Reading, Reference } from './verdicts/judgement'

/**
 * What a fresh batch's own reading says: it is the reference from now on, and sets the fixing time where it is a clearing time.
 * @example
 * freshJudgement('developer-ph', { value: 8.6, celsius: 20 }).rule // → 'reference'
 */
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

/**
 * The mark a test leaves in its bottle's ledger at a time (ms) in an IANA zone; `from` is where what it was held against came from.
 * @example
 * testMarkOf('developer-ph', { value: 8.6 }, freshJudgement('developer-ph', { value: 8.6 }), 'batch', { at: 0, zone: 'UTC' }).againAt // → null
 */
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

/** A bath as a test finds it. */
export interface TestedBath {
  label: string
  name: string
  family: string
  batchId: string | null
}

/**
 * What a reading of a bath comes to; a fresh one is what the others are held against, and is held against nothing.
 * @throws Refused 'wrong-test', 'no-batch'; DomainError 'implausible' and what else `judge` cannot answer
 * @example
 * decideTest({ label: 'S1', name: 'Citric stop bath', family: 'stop-bath', batchId: null }, { kind: 'stop-indicator', reading: { look: 'yellow' }, fresh: false }, { reference: null }).judgement.verdict // → 'keep'
 */
export function decideTest(
  bath: TestedBath,
  { kind, reading, fresh }: { kind: TestKind; reading: Reading; fresh: boolean },
  context: Omit<Parameters<typeof judge>[2], 'reference'> & { reference: Reference | null },
): { judgement: Judgement; from: Reference['from'] | null } {
  if (!testsFor(bath.family).some((one) => one.kind === kind))
    throw impossible('wrong-test', `${guideOf(kind).name} is no test of ${bath.label} ${bath.name}.`)
  if (fresh && bath.batchId === null)
    throw impossible('no-batch', `${bath.label} was not mixed here as a batch, so it has no fresh reading of its own to keep.`)
  if (fresh && reading.value !== undefined) return { judgement: freshJudgement(kind, reading), from: null }
  return { judgement: judge(kind, reading, context), from: fresh ? null : (context.reference?.from ?? null) }
}

/**
 * What a reading of a finished film or print comes to.
 * @throws Refused 'wrong-test'
 * @example
 * decideFilmTest('residual-silver', { look: guideOf('residual-silver').looks[0].value }).verdict // → 'keep'
 */
export function decideFilmTest(kind: TestKind, reading: Reading): Judgement {
  const guide = guideOf(kind)
  if (guide.of !== 'film') throw impossible('wrong-test', `${guide.name} is no test of a film.`)
  return judge(kind, reading, { reference: null })
}

/**
 * The mark that overrules the failed test of a kind that stands of a bottle, for a reason.
 * @throws Refused 'not-failed'
 * @example
 * decideOverruling({ label: 'F1', tests: [] }, { kind: 'clearing-time', reason: 'read in a hurry' }) // throws 'not-failed'
 */
export function decideOverruling(
  { label, tests }: { label: string; tests: { kind: TestKind; failed: TestMark | null }[] },
  { kind, reason }: { kind: TestKind; reason: string },
): { test: TestMark; note: string } {
  const standing = tests.find((one) => one.kind === kind)
  if (!standing?.failed) throw conflict('not-failed', `${label} has no failed test of that kind.`)
  const test: TestMark = { ...standing.failed, reading: null, fixS: null, againAt: null, overruled: reason }
  return { test, note: `${guideOf(kind).name} overruled: ${reason}` }
}
