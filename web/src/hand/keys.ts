import { useEventListener } from '@vueuse/core'

const fieldTags = ['INPUT', 'TEXTAREA', 'SELECT']

/** Single keys are dead while a field has the focus or a dialog is open. */
export const typing = (event: KeyboardEvent): boolean => {
  const target = event.target as HTMLElement
  return (
    fieldTags.includes(target.tagName) ||
    target.isContentEditable ||
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    document.querySelector('[role="dialog"], [role="listbox"], [role="menu"]') !== null
  )
}

/** Listens for keys while the component is there; the handler answers true when the key was its own. */
export function useKeys(handler: (event: KeyboardEvent) => boolean): void {
  useEventListener(document, 'keydown', (event) => {
    if (!event.defaultPrevented && !typing(event) && handler(event)) event.preventDefault()
  })
}

/** Space, and PageDown, which some foot pedals send. */
export const isDoneKey = (event: KeyboardEvent): boolean => event.key === ' ' || event.key === 'PageDown'
