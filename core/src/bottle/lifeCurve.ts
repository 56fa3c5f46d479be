import { dayMs } from '../calendar/span'
import { agedIn, keepingDays } from './ageing'
import type { BottleEntry, BottleFacts } from './bottle'
import type { UsedFormula } from '../formula/use'
import { standing, stateFrom } from './bottleState'
import { carryOn, emptyCarry } from './carry'

export interface LifePoint {
  at: number
  used: number
  aged: number
  volumeMl: number
}

export interface LifeCurve {
  /** from its filling to now, oldest first */
  past: LifePoint[]
  /** from now to its end, at the rate of use of its past; only now where nothing ends it */
  ahead: LifePoint[]
  /** ms; null where neither use nor age will end it */
  endsAt: number | null
  tests: { at: number; kind: string; verdict: string }[]
}

const mostPoints = 240
/** The rate of use is taken over as many of the last days. */
const rateDays = 28

/**
 * Use and age of a bottle over time, and straight on to its end as it is kept and used now. Times ms, shares of the life.
 * @example
 * lifeCurve(fixer, bottle, ledger, tenDays).past.length // → 3
 */
export function lifeCurve(formula: UsedFormula, bottle: BottleFacts, entries: BottleEntry[], now: number): LifeCurve {
  const ledger = standing(entries).filter((entry) => entry.at <= now)
  const every = Math.ceil(ledger.length / mostPoints)
  const past: LifePoint[] = []
  let carry = emptyCarry()
  ledger.forEach((entry, i) => {
    carry = carryOn(carry, formula.use, bottle, entry)
    if (i % every === 0 || i === ledger.length - 1) past.push(pointOf(formula, bottle, carry, entry.at))
  })
  const end = Math.min(now, bottle.retiredAt ?? now)
  const last = pointOf(formula, bottle, carry, end)
  if (past.length > 0) past.push(last)
  const tests = ledger.flatMap((entry) =>
    entry.test && entry.test.overruled === null ? [{ at: entry.at, kind: entry.test.kind, verdict: entry.test.verdict }] : [],
  )
  const since = past.find((point) => point.at >= end - rateDays * dayMs) ?? last
  const days = Math.max(1, (end - since.at) / dayMs)
  const usedPerDay = (last.used - since.used) / days
  const keeps = keepingDays(formula.use.keeping, bottle, carry)
  const agedPerDay = keeps === null ? 0 : agedIn(formula.use.keeping, bottle, carry, dayMs)
  const left = 1 - last.used - last.aged
  const perDay = usedPerDay + agedPerDay
  if (bottle.retiredAt !== null || left <= 0 || perDay <= 0 || last.volumeMl <= 0) return { past, ahead: [], endsAt: null, tests }
  const daysLeft = left / perDay
  const endsAt = end + daysLeft * dayMs
  return {
    past,
    ahead: [
      last,
      { at: endsAt, used: last.used + usedPerDay * daysLeft, aged: last.aged + agedPerDay * daysLeft, volumeMl: last.volumeMl },
    ],
    endsAt,
    tests,
  }
}

function pointOf(formula: UsedFormula, bottle: BottleFacts, carry: Parameters<typeof stateFrom>[2], at: number): LifePoint {
  const { used, aged, volumeMl } = stateFrom(formula, bottle, carry, at)
  return { at, used, aged, volumeMl }
}
