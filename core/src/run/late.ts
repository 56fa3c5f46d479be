import { conflict } from '../error'
import { leaderOf, takerOf } from './lead'
import type { RunEvent } from './runEvent'

/** Whether a run was taken over, and another device leads it now: this one's word no longer counts. */
function ledElsewhere(events: RunEvent[], device: string | undefined): boolean {
  const leader = leaderOf(events)
  return leader !== null && leader !== device && events.some((event) => event.kind === 'take-over' && !event.late)
}

/**
 * What of the events a device sends is kept as it is, and what is marked as late: after another device took the run over, only its own word counts, and whoever takes it over.
 * What a technician has taken over, only a technician takes over again.
 * @example
 * markLate([...runEvents, { ...runEvents[0], id: 't', kind: 'take-over', device: 'phone' }], [{ ...runEvents[0], id: 'x', kind: 'next' }]).map((one) => one.late) // → [true]
 */
export function markLate(kept: RunEvent[], sent: RunEvent[]): RunEvent[] {
  const known = new Set(kept.map((event) => event.id))
  let now = kept
  return sent.map((event) => {
    const takesOver = event.kind === 'take-over' && (event.duty === true || takerOf(now)?.duty !== true)
    const late = !takesOver && ledElsewhere(now, event.device) && !known.has(event.id)
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
  if (ledElsewhere(events, device))
    throw conflict('taken-over', 'Another device has taken this run over, and writes it down. What this one kept is marked in its record.')
}
