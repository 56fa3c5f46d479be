import { conflict } from '../error'
import { leaderOf } from './lead'
import type { RunEvent } from './runEvent'

/** Whether another device has taken a run over: then the first one's word no longer counts. */
const wasTaken = (events: RunEvent[]): boolean => events.some((event) => event.kind === 'take-over' && !event.late)

/**
 * What of the events a device sends is kept as it is, and what is marked as late: after another device took the run over, only its own word counts, and whoever takes it over.
 * @example
 * markLate([...runEvents, { ...runEvents[0], id: 't', kind: 'take-over', device: 'phone' }], [{ ...runEvents[0], id: 'x', kind: 'next' }]).map((one) => one.late) // → [true]
 */
export function markLate(kept: RunEvent[], sent: RunEvent[]): RunEvent[] {
  const known = new Set(kept.map((event) => event.id))
  let now = kept
  return sent.map((event) => {
    const late = wasTaken(now) && event.kind !== 'take-over' && event.device !== leaderOf(now) && !known.has(event.id)
    const one: RunEvent = late ? { ...event, late: true } : event
    now = [...now, one]
    return one
  })
}

/**
 * Only the device that leads a run writes what it did to the bottles; one it was taken over from is told.
 * @throws Refused 'taken-over'
 * @example
 * requireLead(runEvents, 'tablet') // → undefined
 */
export function requireLead(events: RunEvent[], device: string | undefined): void {
  if (wasTaken(events) && leaderOf(events) !== device)
    throw conflict('taken-over', 'Another device has taken this run over, and writes it down. What this one kept is marked in its record.')
}
