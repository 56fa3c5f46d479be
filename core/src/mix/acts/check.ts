import { conflict, impossible } from '../../error'
import type { MixEvent } from '../mixEvent'
import type { MixState } from '../mixState'

/**
 * What is written when a second person has looked at the weight of a step. `weighedBy`: ids of those who weighed it.
 * @throws Refused 'no-check', 'same-person'
 * @example
 * decideCheck(begun, { eventId: 'e3', step: 0 }, { checker: { id: 'p', name: 'Odo' }, weighedBy: [] }) // throws 'no-check'
 */
export function decideCheck(
  state: MixState,
  { eventId: id, step }: { eventId: string; step: number },
  { checker, weighedBy }: { checker: { id: string; name: string } | null; weighedBy: (string | null)[] },
): MixEvent {
  if (!state.lines[step]?.needsCheck) throw conflict('no-check', 'There is nothing to look at in this step now. Load the page again.')
  if (!checker || weighedBy.includes(checker.id))
    throw impossible('same-person', 'Whoever weighed it cannot be the second pair of eyes. Ask someone else.')
  return { id, kind: 'checked', step, by: checker.id, name: checker.name }
}
