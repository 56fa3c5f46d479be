import type { RunEvent } from './runEvent'

/** Who took a run over, one upon the other: whoever gives it back is no longer among them. */
function takers(events: RunEvent[]): RunEvent[] {
  const taken: RunEvent[] = []
  const turns = events.filter((event) => !event.late && (event.kind === 'take-over' || event.kind === 'give-back'))
  for (const event of turns.sort((a, b) => a.at - b.at || a.seq - b.seq || a.id.localeCompare(b.id)))
    if (event.kind === 'take-over') taken.push(event)
    else taken.pop()
  return taken
}

/**
 * The device that leads a run: the one that took it over last and has not given it back, else the one that began it; null before anything happened, and where no device began it.
 * @example
 * leaderOf(runEvents) // → 'tablet'
 */
export const leaderOf = (events: RunEvent[]): string | null =>
  takers(events).at(-1)?.device ?? (events.find((event) => event.kind === 'start' && !event.late)?.device || null)

/**
 * Who leads a run since they took it over; null where it is led by whoever began it.
 * @example
 * takerOf(runEvents) // → null
 */
export const takerOf = (events: RunEvent[]): RunEvent | null => takers(events).at(-1) ?? null
