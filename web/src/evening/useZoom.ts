import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, watch, type Ref } from 'vue'

/** px a second at the most: ten seconds are as wide as a hand */
const nearest = 12

/** How much of an evening is seen: from all of it to ten seconds. Only what is in sight is drawn, so it scrolls over a width that nobody draws. */
export function useZoom(
  scroller: Ref<HTMLElement | null>,
  span: () => { fromS: number; toS: number },
  /** px a second that are wanted at the least, so that what is short can still be pressed */
  least: () => number,
) {
  const { width } = useElementSize(scroller)
  const zoom = ref(1)
  const scrolled = ref(0)
  useEventListener(scroller, 'scroll', () => (scrolled.value = scroller.value?.scrollLeft ?? 0), { passive: true })
  const wholePx = computed(() => Math.max(least(), Math.max(1, width.value) / Math.max(1, span().toS - span().fromS)))
  const pxPerS = computed(() => wholePx.value * zoom.value)
  const most = computed(() => Math.max(1, nearest / wholePx.value))
  const totalPx = computed(() => (span().toS - span().fromS) * pxPerS.value)
  const fromS = computed(() => span().fromS + scrolled.value / pxPerS.value)
  const toS = computed(() => fromS.value + width.value / pxPerS.value)
  const x = (s: number): number => (s - fromS.value) * pxPerS.value
  const at = (px: number): number => fromS.value + px / pxPerS.value

  /** Nearer or farther, with a moment staying where it is in sight; the middle where none is named. */
  async function by(factor: number, px = width.value / 2): Promise<void> {
    const held = at(px)
    const next = Math.min(most.value, Math.max(1, zoom.value * factor))
    if (next === zoom.value) return
    zoom.value = next
    await nextTick()
    const box = scroller.value
    if (!box) return
    box.scrollLeft = (held - span().fromS) * pxPerS.value - px
    scrolled.value = box.scrollLeft
  }
  async function show(s: number): Promise<void> {
    await nextTick()
    const box = scroller.value
    if (!box || (s > fromS.value && s < toS.value)) return
    box.scrollLeft = (s - span().fromS) * pxPerS.value - width.value / 3
    scrolled.value = box.scrollLeft
  }
  watch(width, () => (scrolled.value = scroller.value?.scrollLeft ?? 0))
  return {
    ...{ width, pxPerS, totalPx, fromS, toS, x, at, show, by },
    whole: () => by(1 / most.value),
  }
}
export type Zoom = ReturnType<typeof useZoom>
