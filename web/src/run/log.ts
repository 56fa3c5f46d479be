import type { RunEvent } from '@selvrin/core'
import { openDB, type IDBPDatabase } from 'idb'

interface Kept {
  id: string
  run: string
  event: RunEvent
  sent: 0 | 1
}

let opening: Promise<IDBPDatabase> | null = null
const database = (): Promise<IDBPDatabase> =>
  (opening ??= openDB('selvrin', 1, {
    upgrade(db) {
      const events = db.createObjectStore('events', { keyPath: 'id' })
      events.createIndex('run', 'run')
      events.createIndex('sent', 'sent')
    },
  }))

/** The run log of this device: only ever appended to, and marked when the server has it. */
export const runLog = {
  /** Resolves when the event is on the disk, so that what a page shows is never lost by a reload. */
  async append(run: string, event: RunEvent): Promise<void> {
    const transaction = (await database()).transaction('events', 'readwrite')
    await Promise.all([transaction.store.put({ id: event.id, run, event, sent: 0 } satisfies Kept), transaction.done])
  },
  async of(run: string): Promise<RunEvent[]> {
    return ((await (await database()).getAllFromIndex('events', 'run', run)) as Kept[]).map((kept) => kept.event)
  },
  async unsent(): Promise<Map<string, RunEvent[]>> {
    const byRun = new Map<string, RunEvent[]>()
    for (const { run, event } of (await (await database()).getAllFromIndex('events', 'sent', 0)) as Kept[])
      byRun.set(run, [...(byRun.get(run) ?? []), event])
    return byRun
  },
  async markSent(ids: string[]): Promise<void> {
    const db = await database()
    for (const id of ids) {
      const kept = (await db.get('events', id)) as Kept | undefined
      if (kept) await db.put('events', { ...kept, sent: 1 })
    }
  },
}
