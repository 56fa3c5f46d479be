import type { RunEvent } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { openDB, type IDBPDatabase } from 'idb'
import { shallowRef } from 'vue'
import type { z } from 'zod'
import { call, CallError } from '../api/call'
import { endingsWait } from '../api/waiting'
import { deviceName } from './device'

type Ending = z.input<typeof api.run.finish.body>
interface Kept {
  run: string
  body: Ending
}

/** ms a disk is waited for: what it does not take lives in this page alone */
const answerMs = 3000
let opening: Promise<IDBPDatabase> | null = null
const database = (): Promise<IDBPDatabase> =>
  (opening ??= openDB('selvrin-endings', 1, { upgrade: (db) => void db.createObjectStore('endings', { keyPath: 'run' }) }))

async function onDisk<T>(work: (db: IDBPDatabase) => Promise<T>, instead: T): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<T>((resolve) => (timer = setTimeout(() => resolve(instead), answerMs)))
  try {
    return await Promise.race([database().then(work), late])
  } catch {
    opening = null
    return instead
  } finally {
    clearTimeout(timer)
  }
}

/** What this device says of a run: what another one had sent is there already, and who is on duty the house knows. */
export const saidHere = (events: RunEvent[] = []): RunEvent[] =>
  events
    .filter((event) => event.device === deviceName() && !event.late)
    .map(({ duty: _, ...event }) => event)
    .slice(-200)

/** Runs that were written down on this device while the server was away: by id, what is sent of each. */
export const endings = shallowRef(new Map<string, Ending>())

async function forget(run: string): Promise<void> {
  endings.value = new Map([...endings.value].filter(([id]) => id !== run))
  endingsWait(endings.value.size > 0)
  await onDisk((db) => db.delete('endings', run), undefined)
}

/** What is kept of earlier visits comes back. */
export async function readEndings(): Promise<void> {
  const kept = (await onDisk((db) => db.getAll('endings'), [])) as Kept[]
  endings.value = new Map([...kept.map(({ run, body }) => [run, body] as const), ...endings.value])
  endingsWait(endings.value.size > 0)
}

/**
 * Writes a run down: kept on this device first, sent now, and again when the server is back. The server writes each run once: what it has by then is the answer.
 * Answers the run, or null while it waits.
 * @throws CallError where the server would not have it, ever
 */
export async function sendEnding(run: string, body: Ending): Promise<Run | null> {
  endings.value = new Map(endings.value).set(run, body)
  endingsWait(true)
  await onDisk((db) => db.put('endings', { run, body } satisfies Kept), undefined)
  try {
    const done = await call(api.run.finish, { params: { id: run }, body })
    await forget(run)
    return done
  } catch (error) {
    if (!(error instanceof CallError) || !error.final) return null
    await forget(run)
    const current = error.problem.current as Run | undefined
    // an answer that got lost: the run is written already
    if (error.problem.code === 'run-state' && current?.state === 'done') return current
    throw error
  }
}
