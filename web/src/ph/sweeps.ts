import { wrap, type Remote } from 'comlink'
import type { Sweeps } from './sweep.worker'

let remote: Remote<Sweeps> | undefined

/** The worker that solves many pH at once; made when it is first needed. */
export const sweeps = (): Remote<Sweeps> =>
  (remote ??= wrap<Sweeps>(new Worker(new URL('./sweep.worker.ts', import.meta.url), { type: 'module' })))
