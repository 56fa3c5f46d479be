import { arrangeUntil, type ArrangeProgress, type DarkroomPlan } from '@selvrin/core'
import { parentPort, workerData } from 'node:worker_threads'
import type { Said } from '../house/inThread'
import type { Asked } from './arranging'

/** ms between two words of how far it is */
const toldMs = 200

const { evening, seed, rounds, ms } = workerData as Asked
const began = performance.now()
let last = began
const say = (said: Said<ArrangeProgress, DarkroomPlan>): void => parentPort?.postMessage(said)
const plan = arrangeUntil(evening, { seed, rounds, ended: () => performance.now() - began > ms }, (progress) => {
  if (performance.now() - last < toldMs) return
  last = performance.now()
  say({ progress })
})
say({ answer: plan })
