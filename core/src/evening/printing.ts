import { conflict } from '../error'
import { crowdedAt } from '../rota/timed'
import type { EveningBody } from './body'
import { clockAt } from './words'

/** Somebody prints: an enlarger is theirs for a time, ms. */
export interface Printing {
  id: string
  memberId: string
  fromAt: number
  untilAt: number
}

type Hours = Pick<EveningBody, 'opensAt' | 'closesAt'>
const isWithin = ({ opensAt, closesAt }: Hours, { fromAt, untilAt }: Printing): boolean => opensAt <= fromAt && untilAt <= closesAt

/**
 * Who prints while it is open, if only for a part of it.
 * @example
 * printsIn(eveningOfOne, [{ id: 'a', memberId: 'm', fromAt: 0, untilAt: 5 }]) // → []
 */
export const printsIn = ({ opensAt, closesAt }: Hours, prints: Printing[]): Printing[] =>
  prints.filter(({ fromAt, untilAt }) => fromAt < closesAt && opensAt < untilAt)

/**
 * Whether everybody who has a place within the hours of an evening still has it within others.
 * @throws Refused 'print-hours' with who it is, by the names given
 * @example
 * requirePrinting(eveningOfOne, eveningOfOne, { prints: [], people: {}, zone: 'UTC' }) // → undefined
 */
export function requirePrinting(
  before: Hours,
  after: Hours,
  { prints, people, zone }: { prints: Printing[]; people: Record<string, string>; zone: string },
): void {
  const lost = prints.find((one) => isWithin(before, one) && !isWithin(after, one))
  if (!lost) return
  const [from, until] = [lost.fromAt, lost.untilAt].map((at) => clockAt({ midnight: at, zone }, 0))
  throw conflict(
    'print-hours',
    `${people[lost.memberId] ?? 'Somebody'} prints from ${from} to ${until}, and it would be closed. Move that place or take it back first.`,
  )
}

/**
 * The first time (ms) from which an enlarger is free for so long; null where these hours have none.
 * @example
 * freePrinting(eveningOfOne, { prints: [], places: 1, ms: 3_600_000 }) === eveningOfOne.opensAt // → true
 */
export function freePrinting(
  { opensAt, closesAt }: Hours,
  { prints, places, ms, from = opensAt }: { prints: Printing[]; places: number; ms: number; from?: number },
): number | null {
  const starts = [Math.max(opensAt, from), ...prints.map((one) => one.untilAt).filter((at) => at > from)].sort((a, b) => a - b)
  const free = (at: number): boolean =>
    at + ms <= closesAt && fullAt([...prints, { fromAt: at, untilAt: at + ms }], places, { fromAt: at, untilAt: at + ms }) === null
  return starts.find(free) ?? null
}

type Taken = Pick<Printing, 'fromAt' | 'untilAt'>
/**
 * The first time (ms) within a span at which more print than there are places; null where there is none.
 * @example
 * fullAt([{ fromAt: 0, untilAt: 9 }, { fromAt: 5, untilAt: 8 }], 1, { fromAt: 0, untilAt: 9 }) // → 5
 */
export const fullAt = (taken: Taken[], places: number, { fromAt, untilAt }: Taken): number | null =>
  crowdedAt(
    taken.map((one) => ({ fromS: Math.max(one.fromAt, fromAt), toS: Math.min(one.untilAt, untilAt) })),
    places,
  )
