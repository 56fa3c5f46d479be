import { useEventListener, useMutationObserver, useTimeoutFn } from '@vueuse/core'
import { onMounted, watch, type Ref } from 'vue'
import { useRoute } from 'vue-router'

/** What takes the place of something that had the focus has settled by then, and whoever puts the focus themselves has done so. ms */
const settleMs = 60
const focusable = 'a[href], button, input, select, textarea, summary, [tabindex]'

/** Whether nobody has put the focus anywhere that a heading may not take it from. */
export const focusIsFree = (): boolean => {
  const at = document.activeElement
  return at === null || at === document.body || at.tagName === 'MAIN' || at.matches('[data-heard]') || !document.contains(at)
}

/**
 * Nobody is left with the focus nowhere. A new page, and what takes the place of a step that is done, is heard by its heading, which gets the focus
 * and so leads to what comes next; a button that rested while it was busy gets its focus back. The page's title follows its heading.
 */
export function useHeard(main: Readonly<Ref<HTMLElement | null>>): void {
  const route = useRoute()
  let last: HTMLElement | null = null
  let arriving = true
  let named: Element | null = null
  /** the heading as it was heard last */
  let heardAs = ''

  const place = (): HTMLElement | null => [...document.querySelectorAll<HTMLElement>('[role="dialog"]')].at(-1) ?? main.value
  const headingIn = (where: HTMLElement | null): HTMLElement | null =>
    ['h1', 'h2'].flatMap((tag) => [...(where?.querySelectorAll<HTMLElement>(tag) ?? [])]).find((one) => one.offsetParent !== null) ?? null

  function hear(heading: HTMLElement): void {
    heading.tabIndex = -1
    heading.dataset.heard = ''
    heading.focus({ preventScroll: true })
    last = heading
    heardAs = heading.textContent
  }
  function settle(): void {
    const where = place()
    const heading = headingIn(where)
    if (heading && where === main.value && heading.tagName === 'H1' && heading !== named) {
      named = heading
      document.title = `${heading.textContent.trim()} · Selvrin`
    }
    if (arriving && where === main.value) {
      if (!heading) return
      arriving = false
      const at = document.activeElement
      heardAs = heading.textContent
      if (!main.value?.contains(at) || focusIsFree()) hear(heading)
      return
    }
    if (document.activeElement !== document.body || last === null) return
    if (!last.isConnected || last.offsetParent === null) {
      // within the same step what is to be done next, else the step's heading first
      const next = heading?.textContent === heardAs ? where?.querySelector<HTMLElement>('[data-next]:not(:disabled)') : null
      if (next) next.focus({ preventScroll: true })
      else if (heading) hear(heading)
    } else if (!last.matches(':disabled')) last.focus({ preventScroll: true })
  }
  const { start: soon } = useTimeoutFn(settle, settleMs, { immediate: false })
  const took = (event: FocusEvent) => (last = event.target instanceof HTMLElement ? event.target : null)
  // what lets go of the focus while it is still there does so on purpose: a button of the clock, whose next Space is the clock's
  const letGo = (event: FocusEvent) => {
    const from = event.target
    if (event.relatedTarget === null && from === last)
      queueMicrotask(() => {
        if (last === from && last?.isConnected && !last.matches(':disabled')) last = null
      })
  }
  // whoever points beside everything means to put the focus nowhere
  const pointed = (event: Event) => {
    if (event.target instanceof Element && event.target.closest(focusable) === null) last = null
  }
  useMutationObserver(document.body, () => soon(), { childList: true, subtree: true, attributes: true, attributeFilter: ['disabled'] })
  useEventListener(document, 'focusin', took)
  useEventListener(document, 'focusout', letGo)
  useEventListener(document, 'pointerdown', pointed, { capture: true })
  onMounted(() => soon())
  watch(
    () => route.path,
    () => {
      arriving = true
      soon()
    },
  )
}
