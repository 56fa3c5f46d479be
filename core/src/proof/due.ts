import { sameDay } from '../calendar/days'
import { dayMs } from '../calendar/span'
import type { Family } from '../mark/mark'
import type { TestKind } from './proof'

/** When a test of a family of baths falls due. Any of its conditions is enough. */
export interface DueRule {
  family: Family
  kind: TestKind
  /** take the reference of a fresh batch */
  atMixing: boolean
  /** after so many days without this test; null never */
  everyDays: number | null
  /** after each such share of the capacity; null never */
  everyShare: number | null
  /** before a session of a critical kind */
  beforeCritical: boolean
  active: boolean
}

/** What is known of a bottle when its tests are looked at. */
export interface DueFacts {
  family: string
  madeAt: number
  /** share of the capacity used now */
  used: number
  retired: boolean
  empty: boolean
  /** a bottle nothing was poured of: diluted working strength takes its reference from the batch */
  tests: { kind: TestKind; at: number; usedThen: number; fresh: boolean }[]
  /** the bottle of its batch that stands for it: a fresh reading of a batch serves every bottle of it, and is asked for once; true where not given */
  asksForReference?: boolean
  /** the batch has a fresh reading of the kind already, from another bottle of it */
  references: TestKind[]
  /** a use came out other than expected at this time */
  unexpectedAt: number | null
  /** verdicts that ask to be tested again at a time */
  againAt: { kind: TestKind; at: number }[]
}

type DueWhy = 'reference' | 'days' | 'share' | 'unexpected' | 'again' | 'critical'
export interface Due {
  kind: TestKind
  why: DueWhy
  says: string
}

/** A reading counts as the fresh one up to so long after mixing. */
export const freshDays = 2

/** The rules a new house begins with; a technician may change each. Default: each 25 % of the capacity. */
export const usualDueRules: DueRule[] = [
  { family: 'film-developer', kind: 'leader-black', atMixing: true, everyDays: 60, everyShare: null, beforeCritical: true, active: true },
  {
    family: 'film-developer',
    kind: 'developer-ph',
    atMixing: true,
    everyDays: null,
    everyShare: null,
    beforeCritical: false,
    active: true,
  },
  {
    family: 'print-developer',
    kind: 'leader-black',
    atMixing: false,
    everyDays: 30,
    everyShare: 0.25,
    beforeCritical: false,
    active: false,
  },
  { family: 'fixer', kind: 'clearing-time', atMixing: true, everyDays: 30, everyShare: 0.25, beforeCritical: true, active: true },
  { family: 'stop-bath', kind: 'stop-indicator', atMixing: false, everyDays: 30, everyShare: 0.25, beforeCritical: false, active: true },
  { family: 'monobath', kind: 'monobath-scrap', atMixing: true, everyDays: 14, everyShare: 0.25, beforeCritical: true, active: true },
  {
    family: 'colour-developer',
    kind: 'colour-developer-scrap',
    atMixing: false,
    everyDays: 14,
    everyShare: 0.25,
    beforeCritical: true,
    active: true,
  },
  {
    family: 'first-developer',
    kind: 'first-developer-scrap',
    atMixing: false,
    everyDays: 14,
    everyShare: 0.25,
    beforeCritical: true,
    active: true,
  },
  { family: 'bleach-fix', kind: 'bleach-fix-fixing', atMixing: false, everyDays: 30, everyShare: 0.25, beforeCritical: true, active: true },
  {
    family: 'bleach-fix',
    kind: 'bleach-fix-bleaching',
    atMixing: false,
    everyDays: 30,
    everyShare: 0.25,
    beforeCritical: false,
    active: true,
  },
]

/**
 * The tests a bottle is due for at a time (ms), each once with the most pressing reason; `critical` asks what stands before a critical session, which wants its tests done the same day in `zone`.
 * @example
 * dueTests(usualDueRules, { family: 'fixer', madeAt: 0, used: 0, retired: false, empty: false, tests: [], references: [], unexpectedAt: null, againAt: [] }, { at: 0, zone: 'UTC' }).map((due) => [due.kind, due.why]) // → [['clearing-time', 'reference']]
 */
export function dueTests(
  rules: DueRule[],
  bottle: DueFacts,
  { at, zone, critical = false }: { at: number; zone: string; critical?: boolean },
): Due[] {
  if (bottle.retired || bottle.empty) return []
  const mine = rules.filter((rule) => rule.active && rule.family === bottle.family)
  const due = new Map<TestKind, Due>()
  const add = (kind: TestKind, why: DueWhy, says: string) => {
    if (!due.has(kind)) due.set(kind, { kind, why, says })
  }
  for (const again of bottle.againAt)
    if (again.at <= at && !bottle.tests.some((test) => test.kind === again.kind && test.at >= again.at))
      add(again.kind, 'again', 'the last verdict asked for it again')
  for (const rule of mine) {
    const last = bottle.tests.filter((test) => test.kind === rule.kind).sort((a, b) => b.at - a.at)[0]
    const since = last?.at ?? bottle.madeAt
    const usedThen = last?.usedThen ?? 0
    if (bottle.unexpectedAt !== null && (!last || last.at < bottle.unexpectedAt) && rule.beforeCritical)
      add(rule.kind, 'unexpected', 'two films came out other than expected')
    if (
      rule.atMixing &&
      !last &&
      (bottle.asksForReference ?? true) &&
      !bottle.references.includes(rule.kind) &&
      at - bottle.madeAt <= freshDays * dayMs
    )
      add(rule.kind, 'reference', 'its fresh reading is still to be taken')
    if (rule.everyShare !== null && bottle.used - usedThen >= rule.everyShare - 1e-9)
      add(
        rule.kind,
        'share',
        `${Math.round((bottle.used - usedThen) * 100)} % of its capacity has gone ${last ? 'since the last one' : 'without one'}`,
      )
    if (rule.everyDays !== null && at - since > rule.everyDays * dayMs)
      add(rule.kind, 'days', `${Math.floor((at - since) / dayMs)} days without it`)
    if (critical && rule.beforeCritical && (!last || !sameDay(last.at, at, zone)))
      add(rule.kind, 'critical', 'a critical session wants it done the same day')
  }
  return [...due.values()]
}
