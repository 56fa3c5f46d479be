import type { Directive } from 'vue'

/** What one comes to a page for takes the focus when the page is there and nobody has put it elsewhere; Enter is then enough. */
export const vFocusFirst: Directive<HTMLElement, boolean | undefined> = {
  mounted: (element, { value }) => {
    if (value === false) return
    const at = document.activeElement
    if (at === null || at === document.body || at.tagName === 'MAIN' || !document.contains(at)) element.focus({ preventScroll: true })
  },
}
