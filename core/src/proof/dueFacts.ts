import type { DueFacts } from './due'
import type { Standing } from './judgement'
import type { TestKind } from './proof'

/** What of a bottle's state its tests follow from. */
interface Tested {
  volumeMl: number
  /** share of its life that use has taken */
  used: number
  rollsPerL: number
  tests: Standing[]
}

/** What asks for tests of a bottle beside its own state. */
export interface AsksForTests {
  madeAt: number
  retiredAt: number | null
  /** no other bottle in use of its batch, at its strength, comes before it */
  firstOfBatch: boolean
  /** kinds of test its batch has a fresh reading of */
  fresh: string[]
  /** when films of it came out wrong, ms, oldest first */
  odd: number[]
}

/** Two films that came out other than expected ask for a test. */
const oddThatAsk = 2

/**
 * What `dueTests` needs to know of a bottle, from its state and from what else asks for tests of it.
 * @example
 * dueFactsOf({ madeAt: 0, retiredAt: null, firstOfBatch: true, fresh: [], odd: [] }, 'fixer', acted.state).used // → 0.2
 */
export function dueFactsOf(asks: AsksForTests, family: string, state: Tested): DueFacts {
  const tests = state.tests.map((one) => ({
    kind: one.kind,
    at: one.at,
    usedThen: state.rollsPerL > 0 ? (state.used * one.rollsPerL) / state.rollsPerL : 0,
    fresh: false,
  }))
  const lastTest = Math.max(0, ...tests.map((test) => test.at))
  const since = asks.odd.filter((at) => at > lastTest)
  return {
    family,
    madeAt: asks.madeAt,
    used: state.used,
    retired: asks.retiredAt !== null,
    empty: state.volumeMl <= 1e-6,
    tests,
    asksForReference: asks.firstOfBatch,
    references: asks.fresh as TestKind[],
    unexpectedAt: since[oddThatAsk - 1] ?? null,
    againAt: state.tests.flatMap((one) => (one.newest.againAt === null ? [] : [{ kind: one.kind, at: one.newest.againAt }])),
  }
}
