import type { Directive } from 'vue'
import { focusIsFree } from './useHeard'

/** What one comes to a page for takes the focus when the page is there and nobody has put it elsewhere; Enter is then enough. */
export const vFocusFirst: Directive<HTMLElement, boolean | undefined> = {
  mounted: (element, { value }) => {
    if (value !== false && focusIsFree()) element.focus({ preventScroll: true })
  },
}
