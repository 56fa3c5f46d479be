import { ref } from 'vue'
import { now } from '../clock'

/** The one audio clock of this page; null until somebody touched it. */
let context: AudioContext | null = null

/** A browser stays silent until it was touched once; this says whether it still is. */
export const silent = ref(true)
const look = () => (silent.value = context === null || context.state !== 'running')

/** The audio clock, where it runs. */
export function audio(): AudioContext | null {
  look()
  return silent.value ? null : context
}

/** Call from a touch or key, the only moments at which a browser lets sound begin. Resolves when it has begun, or will not. */
export async function wake(): Promise<void> {
  context ??= new AudioContext()
  context.onstatechange = look
  const resumed = context.resume().then(look, look)
  look()
  await resumed
}

/**
 * s of the audio clock at which something is heard at a moment of the page's clock (ms). By what the device says is heard just now, so that neither a slow start of its
 * output nor the drift between the two clocks adds up.
 */
export const heardAt = (context: AudioContext, at: number): number => at / 1000 + aheadS(context)

/** s by which the audio clock is ahead of the page's: it stays where it is as long as both run, and moves when the output of sound stands still for a moment. */
export function aheadS(context: AudioContext): number {
  const { contextTime = 0, performanceTime = 0 } = context.getOutputTimestamp()
  const pageNow = now()
  if (performanceTime > 0) return contextTime - (pageNow - (performance.now() - performanceTime)) / 1000
  return context.currentTime - pageNow / 1000
}
