import { wrap, type Remote } from 'comlink'
import type { Pictures } from './picture.worker'

let remote: Remote<Pictures> | undefined

/** The worker that opens and measures photographs; made when it is first needed. */
export const pictures = (): Remote<Pictures> =>
  (remote ??= wrap<Pictures>(new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' })))
