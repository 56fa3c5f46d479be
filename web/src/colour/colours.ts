import { wrap, type Remote } from 'comlink'
import type { Colours } from './colour.worker'

let remote: Remote<Colours> | undefined

/** The worker that works pictures in colours out; made when it is first needed. */
export const colours = (): Remote<Colours> =>
  (remote ??= wrap<Colours>(new Worker(new URL('./colour.worker.ts', import.meta.url), { type: 'module' })))
