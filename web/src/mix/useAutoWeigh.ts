import { ref, watch, type ComputedRef } from 'vue'
import type { AtBench } from '../device/readings'

/** ms a weight has to stay in its band before it is taken */
const holdMs = 900
/** the pan has to have been nearly empty before a new weight counts: g, and shares of what is wanted */
const emptyG = 0.1
const emptyShare = 0.02
const smallShare = 0.2

export interface Band {
  low: number
  high: number
}

/**
 * Takes a stable weight that stays in its band, once: armed when the pan was nearly empty since the step began. Answers whether
 * it is armed.
 */
export function useAutoWeigh(
  scale: Pick<AtBench, 'reading'>,
  band: ComputedRef<Band | null>,
  take: (grams: number) => void,
  /** something is being written just now: the weight waits */
  busy: () => boolean = () => false,
) {
  const armed = ref(false)
  let since: number | null = null
  watch(
    [() => scale.reading.value, band],
    ([reading, wanted]) => {
      if (!reading || reading.value === null || !wanted) {
        since = null
        return
      }
      if (reading.value < Math.max(wanted.low * emptyShare, Math.min(emptyG, wanted.low * smallShare))) armed.value = true
      const good = armed.value && !busy() && reading.stable && reading.value >= wanted.low && reading.value <= wanted.high
      if (!good) {
        since = null
        return
      }
      since ??= performance.now()
      if (performance.now() - since < holdMs) return
      since = null
      armed.value = false
      take(reading.value)
    },
    { immediate: true },
  )
  return { armed }
}
