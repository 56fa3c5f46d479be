import { wrap, type Remote } from 'comlink'
import { whileAsked } from '../api/telling'
import type { Arranging, Patience } from './arrange.worker'

type Work = keyof Arranging
type Asked<W extends Work> = Parameters<Arranging[W]>[0]
type Told<W extends Work> = Parameters<Arranging[W]>[2]

/**
 * Has something of an evening worked out in a worker of its own. `answer` is null where it was cancelled, which ends the worker at once; `told` hears how far it is.
 * @throws what the worker threw
 */
export function inArranging<W extends Work>(
  work: W,
  asked: Asked<W>,
  patience: Patience,
  told: Told<W>,
): { answer: Promise<ReturnType<Arranging[W]> | null>; cancel: () => void } {
  const worker = new Worker(new URL('./arrange.worker.ts', import.meta.url), { type: 'module' })
  let cancel: () => void = () => undefined
  const cancelled = new Promise<null>((resolve) => (cancel = () => resolve(null)))
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message || 'The worker that arranges the evening could not be begun.'))
  })
  const remote = wrap<Arranging>(worker) as Remote<Arranging>
  const find = remote[work] as unknown as (...parts: unknown[]) => Promise<ReturnType<Arranging[W]>>
  const answer = whileAsked(told, (tell) => Promise.race([find(asked, patience, tell), cancelled, failed])).finally(() =>
    worker.terminate(),
  )
  return { answer, cancel }
}
