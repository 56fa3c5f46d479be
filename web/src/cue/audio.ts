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

/** Call from a touch or key, the only moments at which a browser lets sound begin. */
export function wake(): void {
  context ??= new AudioContext()
  context.onstatechange = () => {
    // a clock that stood still says nothing of the one that goes on
    said = []
    look()
  }
  void context.resume().then(look, look)
  look()
}

/** How many words of the audio clock are remembered, and how far apart they are at the least, ms. */
const remembered = 3
const apartMs = 1000
let said: { at: number; aheadS: number }[] = []

/**
 * s by which the audio clock is ahead of the page's monotonic one, by what the device says is heard just now; null where it says nothing. A busy machine may say so late: of its last
 * words the middle one counts, however long ago they were, since a hidden page hears one a minute.
 */
function aheadS(context: AudioContext): number | null {
  const { contextTime = 0, performanceTime = 0 } = context.getOutputTimestamp()
  if (performanceTime <= 0) return null
  const at = performance.now()
  if (at - (said.at(-1)?.at ?? -Infinity) >= apartMs)
    said = [...said, { at, aheadS: contextTime - performanceTime / 1000 }].slice(-remembered)
  const inOrder = said.map((one) => one.aheadS).sort((a, b) => a - b)
  return inOrder[Math.floor(inOrder.length / 2)] ?? null
}

/**
 * s of the audio clock at which something is heard at a moment of the page's clock (ms). By what the device says is heard just now, so that neither a slow start of its
 * output nor the drift between the two clocks adds up.
 */
export function heardAt(context: AudioContext, at: number): number {
  const inMs = at - now()
  const ahead = aheadS(context)
  return ahead === null ? context.currentTime + inMs / 1000 : ahead + (performance.now() + inMs) / 1000
}
