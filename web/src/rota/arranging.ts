import type { ArrangeProgress, DarkroomEvening, DarkroomPlan } from '@selvrin/core'
import { proxy, wrap } from 'comlink'
import type { Arranging } from './arrange.worker'

interface Asked {
  seed: number
  /** as many as that give the same plan on every machine */
  rounds: number
  /** the longest it may take, ms */
  ms: number
}

/**
 * Arranges an evening in a worker. `plan` is null where it was cancelled, which ends the worker at once; `told` hears how far it is.
 * @throws what the worker threw
 */
export function arrangeInWorker(
  evening: DarkroomEvening,
  asked: Asked,
  told: (progress: ArrangeProgress) => void,
): { plan: Promise<DarkroomPlan | null>; cancel: () => void } {
  const worker = new Worker(new URL('./arrange.worker.ts', import.meta.url), { type: 'module' })
  let cancel: () => void = () => undefined
  const cancelled = new Promise<null>((resolve) => (cancel = () => resolve(null)))
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message || 'The worker that arranges the evening could not be begun.'))
  })
  const found = wrap<Arranging>(worker).arrange(evening, asked, proxy(told) as never)
  const plan = Promise.race([found, cancelled, failed]).finally(() => worker.terminate())
  return { plan, cancel }
}
