import type { ArrangeProgress, DarkroomEvening, DarkroomPlan } from '@selvrin/core'
import { Worker } from 'node:worker_threads'

/** What a thread is asked: an evening, and how long to look. */
export interface Asked {
  evening: DarkroomEvening
  seed: number
  /** as many as that give the same plan on every machine */
  rounds: number
  /** the longest it may take, ms */
  ms: number
}
export type Said = { progress: ArrangeProgress } | { plan: DarkroomPlan }

/**
 * Arranges an evening in a thread of its own, from the built file of `arrange.thread.ts`; null where `signal` ended it, which takes effect at once.
 * @throws what the thread threw
 */
export function arrangeInThread(
  file: string | URL,
  asked: Asked,
  { signal, told = () => undefined }: { signal?: AbortSignal; told?: (progress: ArrangeProgress) => void } = {},
): Promise<DarkroomPlan | null> {
  const thread = new Worker(file, { workerData: asked })
  return new Promise<DarkroomPlan | null>((resolve, reject) => {
    const cancel = (): void => resolve(null)
    if (signal?.aborted) return cancel()
    signal?.addEventListener('abort', cancel, { once: true })
    thread.on('message', (said: Said) => ('plan' in said ? resolve(said.plan) : told(said.progress)))
    thread.once('error', reject)
    thread.once('exit', (code) => reject(new Error(`The thread that arranges the evening ended by itself (${code}).`)))
  }).finally(() => thread.terminate())
}
