import { Worker } from 'node:worker_threads'

/** What a thread says: how far it is, or what came of it. */
export type Said<Progress, Answer> = { progress: Progress } | { answer: Answer }

/**
 * Does heavy work in a thread of its own, from a built file; null where `signal` ended it, which takes effect at once.
 * @throws what the thread threw
 */
export function inThread<Progress, Answer>(
  file: string | URL,
  asked: object,
  { signal, told = () => undefined }: { signal?: AbortSignal; told?: (progress: Progress) => void } = {},
): Promise<Answer | null> {
  const thread = new Worker(file, { workerData: asked })
  return new Promise<Answer | null>((resolve, reject) => {
    const cancel = (): void => resolve(null)
    if (signal?.aborted) return cancel()
    signal?.addEventListener('abort', cancel, { once: true })
    thread.on('message', (said: Said<Progress, Answer>) => ('answer' in said ? resolve(said.answer) : told(said.progress)))
    thread.once('error', reject)
    thread.once('exit', (code) => reject(new Error(`The thread that works on it ended by itself (${code}).`)))
  }).finally(() => thread.terminate())
}
