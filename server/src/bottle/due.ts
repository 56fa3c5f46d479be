import type { BottleState, DueFacts, TestKind } from '@selvrin/core'

/** What else is known of a bottle: kinds of test its batch has a fresh reading of, and when films of it came out wrong, oldest first. */
interface DueKnown {
  fresh: string[]
  odd: number[]
}

/** Two films that came out other than expected ask for a test. */
const oddThatAsk = 2

/** What dueTests needs to know of a bottle. */
export function dueFactsOf(
  bottle: { id: string; batchId: string | null; madeAt: number; retiredAt: number | null; firstOfBatch: boolean },
  family: string,
  state: BottleState,
  { fresh, odd }: DueKnown,
): DueFacts {
  const tests = state.tests.map((one) => ({
    kind: one.kind,
    at: one.at,
    usedThen: state.rollsPerL > 0 ? (state.used * one.rollsPerL) / state.rollsPerL : 0,
    fresh: false,
  }))
  const lastTest = Math.max(0, ...tests.map((test) => test.at))
  const since = odd.filter((at) => at > lastTest)
  return {
    family,
    madeAt: bottle.madeAt,
    used: state.used,
    retired: bottle.retiredAt !== null,
    empty: state.volumeMl <= 1e-6,
    tests,
    asksForReference: bottle.firstOfBatch,
    references: fresh as TestKind[],
    unexpectedAt: since[oddThatAsk - 1] ?? null,
    againAt: state.tests.flatMap((one) => (one.newest.againAt === null ? [] : [{ kind: one.kind, at: one.newest.againAt }])),
  }
}
