import type { BottleState, DueFacts, TestKind } from '@selvrin/core'

/** What else is known of the bottles at hand: fresh readings of their batches, and films that came out wrong, oldest first. */
export interface DueKnown {
  fresh: { batchId: string; kind: string }[]
  odd: { id: string; at: number }[]
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
  const since = odd.filter((one) => one.id === bottle.id && one.at > lastTest)
  return {
    family,
    madeAt: bottle.madeAt,
    used: state.used,
    retired: bottle.retiredAt !== null,
    empty: state.volumeMl <= 1e-6,
    tests,
    asksForReference: bottle.firstOfBatch,
    references: fresh.filter((one) => one.batchId === bottle.batchId).map((one) => one.kind as TestKind),
    unexpectedAt: since[oddThatAsk - 1]?.at ?? null,
    againAt: state.tests.flatMap((one) => (one.newest.againAt === null ? [] : [{ kind: one.kind, at: one.newest.againAt }])),
  }
}
