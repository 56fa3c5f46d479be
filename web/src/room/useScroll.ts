import { useEventListener } from '@vueuse/core'
import { nextTick, onScopeDispose, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { readKept, writeKept } from '../hand/useKept'

const keptAs = 'scroll'
const settleMs = 2000

/** How far each page was scrolled, by its address: brought back on the way back and by a reload, once the page is long enough for it. */
export function useScroll(main: Readonly<Ref<HTMLElement | null>>): void {
  const route = useRoute()
  const router = useRouter()
  const places = readKept<Record<string, number>>(keptAs) ?? {}
  let cameBack = true
  const note = () => {
    if (main.value) places[route.path] = main.value.scrollTop
  }
  const keep = () => {
    note()
    writeKept(keptAs, places)
  }
  const onBack = () => (cameBack = true)
  // while the page still fills up its place is tried again
  function bringBack(top: number): void {
    const until = Date.now() + settleMs
    const path = route.path
    const go = () => {
      if (!main.value || route.path !== path) return
      main.value.scrollTo({ top })
      if (Math.abs(main.value.scrollTop - top) > 2 && Date.now() < until) requestAnimationFrame(go)
    }
    go()
  }
  const stop = router.beforeEach(() => note())
  watch(
    () => route.path,
    (path) => {
      const top = cameBack ? (places[path] ?? 0) : 0
      cameBack = false
      void nextTick(() => (top > 0 ? bringBack(top) : main.value?.scrollTo({ top: 0 })))
    },
    { immediate: true },
  )
  useEventListener(window, 'popstate', onBack, { capture: true })
  useEventListener(window, 'pagehide', keep)
  onScopeDispose(stop)
}
