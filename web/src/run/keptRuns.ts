import type { Run } from '@selvrin/core/contract'
import { CallError } from '../api/call'
import { openDB, type IDBPDatabase } from 'idb'

let opening: Promise<IDBPDatabase> | null = null
const database = (): Promise<IDBPDatabase> =>
  (opening ??= openDB('selvrin-runs', 1, { upgrade: (db) => void db.createObjectStore('runs', { keyPath: 'id' }) }))

/** Keeps the runs whose clocks run, with all that happened to them, and no others. */
export async function keepRuns(runs: Run[]): Promise<void> {
  try {
    const transaction = (await database()).transaction('runs', 'readwrite')
    // only what is plain data can be kept
    const plain = JSON.parse(JSON.stringify(runs)) as Run[]
    await Promise.all([transaction.store.clear(), ...plain.map((run) => transaction.store.put(run)), transaction.done])
  } catch {
    opening = null
  }
}

/**
 * The runs that were under way when the server was heard last, or the one of `id`, where it does not answer now.
 * @throws what was thrown, where the server has said no, or nothing is kept
 */
export async function keptInstead(error: unknown, id?: string): Promise<Run[]> {
  if (!(error instanceof CallError) || error.final) throw error
  const kept = await database()
    .then((db) => db.getAll('runs') as Promise<Run[]>)
    .catch((): Run[] => [])
  const asked = id === undefined ? kept : kept.filter((run) => run.id === id)
  if (asked.length === 0) throw error
  return asked
}
