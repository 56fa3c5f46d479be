import type { MixEvent } from './mixEvent'

/** Kinds of events that can be taken back as long as the mix is open. */
const canTakeBack = ['water', 'weigh', 'dissolved', 'rescale', 'water-added', 'topped-up', 'ph']
/**
 * Whether an event of a mix can be taken back as long as the mix is open.
 * @example
 * isTakenBackable(mixEvents[1]) // → true
 */
export const isTakenBackable = (event: MixEvent): boolean => canTakeBack.includes(event.kind)

/** A look at a weight holds for that weight only. */
const withoutChecks = (events: MixEvent[], step: number): MixEvent[] =>
  events.filter((event) => event.kind !== 'checked' || event.step !== step)

/**
 * The events that count: what was taken back is left out, and a weight that was written wrong is the right one in its place.
 * @example
 * whatCounts([...mixEvents, { id: 'e3', kind: 'undo', of: 'e2' }]).map((event) => event.id) // → ['e1']
 */
export function whatCounts(events: MixEvent[]): MixEvent[] {
  let counts: MixEvent[] = []
  for (const event of events) {
    if (event.kind === 'undo') {
      const gone = counts.find((one) => one.id === event.of)
      counts = counts.filter((one) => one !== gone)
      if (gone?.kind === 'weigh') counts = withoutChecks(counts, gone.step)
    } else if (event.kind === 'weigh' && event.corrects !== undefined) {
      counts = withoutChecks(counts, event.step).map((one) => (one.id === event.corrects ? event : one))
    } else counts.push(event)
  }
  return counts
}
