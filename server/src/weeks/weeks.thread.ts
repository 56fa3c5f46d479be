import { weeksOf, type SpreadProgress, type Weeks, type WeeksAsked } from '@selvrin/core'
import { parentPort, workerData } from 'node:worker_threads'
import type { Said } from '../house/inThread'

/** ms between two words of how far it is */
const toldMs = 250

const { asked, ms } = workerData as { asked: WeeksAsked; ms: number }
const began = performance.now()
let last = began
const say = (said: Said<SpreadProgress, Weeks>): void => parentPort?.postMessage(said)
const search = weeksOf(asked, () => performance.now() - began > ms)
for (;;) {
  const next = search.next()
  if (next.done) {
    say({ answer: next.value })
    break
  }
  if (performance.now() - last < toldMs) continue
  last = performance.now()
  say({ progress: next.value })
}
