import { z } from 'zod'
import { testKinds, testMark, type TestMark, type Verdict } from './proof'

/** What stands of one kind of test: the newest mark, and a failure that is not cleared yet. */
export const standingTest = z.object({
  kind: z.enum(testKinds),
  newest: testMark,
  at: z.number(),
  /** use of the bath then, rolls a litre */
  rollsPerL: z.number(),
  failed: testMark.nullable(),
  failedAt: z.number().nullable(),
  /** passes since that failure; the second clears it */
  passes: z.int(),
})
export type Standing = z.output<typeof standingTest>

const passesThatClear = 2
const rank: Record<Verdict, number> = { failed: 0, marginal: 1, keep: 2 }

/** What stands after one more test: a newer test replaces an older one of its kind; a failure is cleared by two passes or a technician's reason. */
export function standingAfter(standing: Standing[], mark: TestMark, at: number, rollsPerL: number): Standing[] {
  const before = standing.find((one) => one.kind === mark.kind)
  const rest = standing.filter((one) => one !== before)
  if (mark.overruled !== null)
    return before
      ? [...rest, { ...before, newest: { ...before.newest, overruled: mark.overruled }, failed: null, failedAt: null, passes: 0 }]
      : rest
  const base = { kind: mark.kind, newest: mark, at, rollsPerL }
  if (mark.verdict === 'failed') return [...rest, { ...base, failed: mark, failedAt: at, passes: 0 }]
  const passes = before?.failed && mark.verdict === 'keep' ? before.passes + 1 : 0
  const open = before?.failed && passes < passesThatClear
  return [...rest, { ...base, failed: open ? before.failed : null, failedAt: open ? before.failedAt : null, passes: open ? passes : 0 }]
}

/**
 * The worst of what stands governs: an open failure before a marginal reading before a pass. Null where nothing was tested.
 * @example
 * governing([]) // → null
 */
export function governing(standing: Standing[]): { verdict: Verdict; mark: TestMark; at: number; passes: number } | null {
  const verdicts = standing.map((one) =>
    one.failed
      ? { verdict: 'failed' as const, mark: one.failed, at: one.failedAt ?? one.at, passes: one.passes }
      : {
          // overruled: the technician answers for it
          verdict: one.newest.verdict === 'failed' ? ('marginal' as const) : one.newest.verdict,
          mark: one.newest,
          at: one.at,
          passes: 0,
        },
  )
  return verdicts.sort((a, b) => rank[a.verdict] - rank[b.verdict] || b.at - a.at)[0] ?? null
}
