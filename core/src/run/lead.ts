import type { RunEvent } from './runEvent'

/**
 * The device that leads a run: the one that took it over last, else the one that began it; null before anything happened, and where no device began it.
 * @example
 * leaderOf(runEvents) // → 'tablet'
 */
export function leaderOf(events: RunEvent[]): string | null {
  const counted = events.filter((event) => !event.late)
  const taken = counted
    .filter((event) => event.kind === 'take-over')
    .sort((a, b) => a.at - b.at || a.seq - b.seq || a.id.localeCompare(b.id))
  return taken.at(-1)?.device ?? (counted.find((event) => event.kind === 'start')?.device || null)
}
