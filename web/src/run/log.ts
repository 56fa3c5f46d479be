import type { RunEvent } from '@selvrin/core'
import { openDB, type IDBPDatabase } from 'idb'
import { ref } from 'vue'

interface Kept {
  id: string
  run: string
  event: RunEvent
  /** 0 waits for the server, 1 is there, 2 was refused by it for good */
  sent: 0 | 1 | 2
}

/** ms after which a storage that does not answer is taken for one that keeps nothing */
const answerMs = 3000

/** This device keeps nothing: its storage is blocked or full, and what is not sent lives in this page alone. */
export const keepsNothing = ref(false)
/** what the disk would not take, until the server has it */
const inMemory = new Map<string, Kept>()

/** it has answered before: there may be lines on it even where it does not answer now */
let answered = false
let opening: Promise<IDBPDatabase> | null = null
const database = (): Promise<IDBPDatabase> =>
  (opening ??= openDB('selvrin', 1, {
    upgrade(db) {
      const events = db.createObjectStore('events', { keyPath: 'id' })
      events.createIndex('run', 'run')
      events.createIndex('sent', 'sent')
    },
  }))

/** Work on the disk; where it fails, or never answers, `instead`, and the page says that nothing is kept. */
async function onDisk<T>(work: (db: IDBPDatabase) => Promise<T>, instead: T): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Error('late')), answerMs)
  })
  try {
    const found = await Promise.race([database().then(work), late])
    answered = true
    return found
  } catch {
    keepsNothing.value = true
    // another try opens it anew: a disk may have room again
    opening = null
    return instead
  } finally {
    clearTimeout(timer)
  }
}

/** The run log of this device: only ever appended to, and marked when the server has it. It holds on whatever the browser allows. */
export const runLog = {
  /** Resolves when the event is on the disk, so that what a page shows is never lost by a reload; or in memory, where the disk takes nothing. */
  async append(run: string, event: RunEvent): Promise<void> {
    const kept: Kept = { id: event.id, run, event, sent: 0 }
    inMemory.set(event.id, kept)
    const written = await onDisk(async (db) => {
      const transaction = db.transaction('events', 'readwrite')
      await Promise.all([transaction.store.put(kept), transaction.done])
      return true
    }, false)
    // the server may have it already, from memory
    if (written) {
      const still = inMemory.get(event.id)
      inMemory.delete(event.id)
      if (still === undefined) await runLog.markSent([event.id])
    }
  },
  async of(run: string): Promise<RunEvent[]> {
    const kept = (await onDisk((db) => db.getAllFromIndex('events', 'run', run), [])) as Kept[]
    return [...kept, ...[...inMemory.values()].filter((one) => one.run === run)].map((one) => one.event)
  },
  /** By run, what the server does not have yet. `sure`: false where the disk has lines, perhaps, but does not answer just now. */
  async unsent(): Promise<{ byRun: Map<string, RunEvent[]>; sure: boolean }> {
    const found = (await onDisk((db) => db.getAllFromIndex('events', 'sent', 0), null)) as Kept[] | null
    const kept = found ?? []
    const byRun = new Map<string, RunEvent[]>()
    const all = new Map([...kept, ...inMemory.values()].filter((one) => one.sent === 0).map((one) => [one.id, one]))
    for (const { run, event } of all.values()) byRun.set(run, [...(byRun.get(run) ?? []), event])
    return { byRun, sure: found !== null || !answered }
  },
  markSent: (ids: string[]): Promise<void> => mark(ids, 1),
  /** The server will not have them, ever: they stay here, and are no longer sent. */
  markRefused: (ids: string[]): Promise<void> => mark(ids, 2),
}

async function mark(ids: string[], sent: 1 | 2): Promise<void> {
  for (const id of ids) {
    const held = inMemory.get(id)
    if (held && sent === 2) held.sent = 2
    else inMemory.delete(id)
  }
  await onDisk(async (db) => {
    for (const id of ids) {
      const kept = (await db.get('events', id)) as Kept | undefined
      if (kept) await db.put('events', { ...kept, sent })
    }
  }, undefined)
}
