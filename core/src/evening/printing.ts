import { conflict, impossible } from '../error'
import { crowdedAt } from '../rota/timed'
import type { EveningBody, Printing } from './body'
import type { RoomBody } from './room'

/**
 * Whether as many may print at once as there are enlargers, while it is open.
 * @throws Refused 'print-hours', 'print-places'
 * @example
 * requirePrinting({ ...eveningOfOne, prints: [{ id: 'a', memberId: 'm', fromAt: 0, untilAt: 5 }] }, { printPlaces: 4 }) // throws 'print-hours'
 */
export function requirePrinting({ opensAt, closesAt, prints }: EveningBody, { printPlaces }: Pick<RoomBody, 'printPlaces'>): void {
  if (prints.some(({ fromAt, untilAt }) => fromAt < opensAt || untilAt > closesAt || untilAt <= fromAt))
    throw impossible('print-hours', 'Somebody would print while it is closed. Say times within the evening.')
  const spans = prints.map(({ fromAt, untilAt }) => ({ fromS: fromAt, toS: untilAt }))
  if (crowdedAt(spans, printPlaces) !== null)
    throw conflict(
      'print-places',
      printPlaces === 0
        ? 'The room has no enlargers. Say under The room how many there are.'
        : `All ${printPlaces} enlargers are taken at that time. Take another.`,
    )
}

/**
 * The first time (ms) from which an enlarger is free for so long; null where the evening has none.
 * @example
 * freePrinting({ ...eveningOfOne, prints: [] }, { printPlaces: 1 }, 3_600_000) === eveningOfOne.opensAt // → true
 */
export function freePrinting(
  { opensAt, closesAt, prints }: EveningBody,
  { printPlaces }: Pick<RoomBody, 'printPlaces'>,
  ms: number,
  from = opensAt,
): number | null {
  const starts = [Math.max(opensAt, from), ...prints.map((one: Printing) => one.untilAt).filter((at) => at > from)].sort((a, b) => a - b)
  const free = (at: number): boolean =>
    at + ms <= closesAt &&
    crowdedAt(
      [
        ...prints.map(({ fromAt, untilAt }) => ({ fromS: Math.max(fromAt, at), toS: Math.min(untilAt, at + ms) })),
        { fromS: at, toS: at + ms },
      ],
      printPlaces,
    ) === null
  return starts.find(free) ?? null
}
