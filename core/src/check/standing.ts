import { impossible } from '../error'
import { airChanges, clearedMinutes, glovesLeast } from './figures'
import { checksOf, type CheckResult, type FixtureBody } from './fixture'

/** A check as it was written. */
export interface CheckTold {
  /** ms */
  at: number
  result: CheckResult
}

/** How a thing stands: `failed` and `overdue` block, `due` asks, `never` was not looked at yet. */
export interface FixtureStanding {
  standing: 'good' | 'due' | 'overdue' | 'failed' | 'never'
  /** ms; null where it has no day */
  dueAt: number | null
  /** why, and what to do, in sentences */
  says: string[]
}

const dayMs = 86_400_000
/** days between checks, and how many before one falls due it is said. Rounded literature values. */
const flushDays = 7
const meterDays = 30
const tripDays = 183
const aheadDays: Partial<Record<CheckResult['kind'], number>> = { flush: 1, date: 30, meter: 3, trip: 14 }
/** s it runs, L a minute, °C. Rounded literature values. */
const flush = { seconds: 180, lPerMin: 1.5, coldC: 16, warmC: 38 }
/** changes of air an hour: what is aimed at, and below which it is said. Rounded literature values. */
const changes = { target: 10, warn: 6 }

/** What a single check found wrong, as sentences that fail it, and those that only advise. */
function found(result: CheckResult, body: FixtureBody, roomM3: number | null): { wrong: string[]; advice: string[] } {
  const none = { wrong: [], advice: [] }
  switch (result.kind) {
    case 'flush': {
      const { seconds, lPerMin, celsius } = result
      const wrong = [
        ...(seconds < flush.seconds ? ['It ran less than 3 minutes: flush it again.'] : []),
        ...(lPerMin !== null && lPerMin < flush.lPerMin ? [`It gives ${lPerMin} L a minute: an eye needs 1.5 L.`] : []),
        ...(celsius !== null && (celsius < flush.coldC || celsius > flush.warmC)
          ? [`Its water has ${celsius} °C: nobody holds an eye into it for 15 minutes; 16 to 38 °C.`]
          : []),
      ]
      const advice = lPerMin === null ? ['Nobody measured how much it gives: a jug for half a minute says so.'] : []
      return { wrong, advice }
    }
    case 'tissue':
      return result.draws ? none : { wrong: ['It does not draw: a tissue does not hold to it.'], advice: [] }
    case 'meter': {
      if (result.mPerS === 0) return { wrong: ['It does not draw at all.'], advice: [] }
      if (body.kind !== 'ventilation' || roomM3 === null)
        return { wrong: [], advice: ['How large the room is nobody has said: changes an hour are not known.'] }
      const each = airChanges({ mPerS: result.mPerS, areaM2: body.areaM2, roomM3 })
      const said = `The air changes ${each.toFixed(1)} times an hour; after a cloud it takes ${Math.round(clearedMinutes(each))} minutes.`
      if (each < changes.warn)
        return { wrong: [], advice: [`▲ ${said} Under ${changes.warn} is too little; ${changes.target} is aimed at.`] }
      return { wrong: [], advice: [each < changes.target ? `${said} ${changes.target} is aimed at.` : said] }
    }
    case 'trip':
      return result.trips
        ? none
        : { wrong: ['Its button does not cut the current: an electrician, before anything wet is near it.'], advice: [] }
    case 'count': {
      if (body.kind !== 'gloves') return none
      const short = body.sizes.flatMap(({ size, people }) => {
        const there = result.pairs.find((one) => one.size === size)?.pairs ?? 0
        const least = glovesLeast({ people, openings: body.openings })
        return there < least ? [`▲ ${size}: ${there} pairs, at least ${least} should lie there.`] : []
      })
      return { wrong: [], advice: short }
    }
    case 'date':
      return none
  }
}

const dueAfter = ({ at, result }: CheckTold): number | null => {
  switch (result.kind) {
    case 'flush':
      return at + flushDays * dayMs
    case 'meter':
      return at + meterDays * dayMs
    case 'trip':
      return at + tripDays * dayMs
    case 'date':
      return result.useBy
    default:
      return null
  }
}

/**
 * How a thing stands, by its checks, the first first. One that failed stays failed until the same check finds it good.
 * @param now ms
 * @param roomM3 null where nobody said
 * @example
 * fixtureStanding({ kind: 'mains', name: 'Wet side' }, [], { now: 0, roomM3: null }).standing // → 'never'
 */
export function fixtureStanding(
  body: FixtureBody,
  told: CheckTold[],
  { now, roomM3 }: { now: number; roomM3: number | null },
): FixtureStanding {
  const last = checksOf(body).flatMap((kind) => told.findLast((one) => one.result.kind === kind) ?? [])
  if (last.length === 0) return { standing: 'never', dueAt: null, says: ['Nobody has looked at it yet.'] }
  const seen = last.map((one) => ({ ...one, ...found(one.result, body, roomM3), dueAt: dueAfter(one) }))
  const wrong = seen.flatMap((one) => one.wrong)
  const advice = seen.flatMap((one) => one.advice)
  const days = seen.flatMap((one) => (one.dueAt === null ? [] : [one.dueAt]))
  const dueAt = days.length === 0 ? null : Math.min(...days)
  if (wrong.length > 0) return { standing: 'failed', dueAt, says: [...wrong, ...advice] }
  const over = seen.some((one) => one.dueAt !== null && one.dueAt <= now)
  // a meter that was not held to it for a month asks; what blocks is an eyewash, and the mains
  if (over) return { standing: body.kind === 'ventilation' ? 'due' : 'overdue', dueAt, says: advice }
  const soon = seen.some((one) => one.dueAt !== null && one.dueAt - now <= (aheadDays[one.result.kind] ?? 0) * dayMs)
  return { standing: soon ? 'due' : 'good', dueAt, says: advice }
}

/**
 * Refuses a check that is not one of the thing’s.
 * @throws Refused 'wrong-check'
 * @example
 * requireCheck({ kind: 'mains', name: 'Wet side' }, { kind: 'trip', trips: true, note: '' }) // → undefined
 */
export function requireCheck(body: FixtureBody, result: CheckResult): void {
  if (!checksOf(body).includes(result.kind)) throw impossible('wrong-check', 'That is not how this is looked at.', { field: 'result' })
}
