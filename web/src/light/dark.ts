import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { isDoneKey } from '../hand/keys'
import { light } from './light'

/** What is said when a key or a finger asks in the dark: the last one that wants to be asked answers. `done`: it was the key that says done. */
type Asked = (done: boolean) => void
const asked: Asked[] = []

/** Wants to be asked in the dark from now on. Answers how to stop. */
export function askedInTheDark(answer: Asked): () => void {
  asked.push(answer)
  return () => void asked.splice(asked.indexOf(answer), 1)
}

/** How often somebody asked for help since it was last closed: the card opens, or is said first where it is dark. */
export const helpAsked = ref(0)

const warnedMs = 15_000
let warnedAt = -Infinity
/** Light was asked for while film is open: it is said, and shown where there is light to read by. */
export const fogWarning = ref(false)
const warners = new Set<() => void>()
/** Says that light fogs the film, when somebody asks for it. Answers how to stop. */
export function saysFog(say: () => void): () => void {
  warners.add(say)
  return () => void warners.delete(say)
}
/** Whether light may come after all: it was asked for again soon after the warning. */
export function warnOfFog(): boolean {
  const again = performance.now() - warnedAt < warnedMs
  warnedAt = again ? -Infinity : performance.now()
  fogWarning.value = !again
  if (!again) {
    warners.forEach((say) => say())
    setTimeout(() => (fogWarning.value = false), warnedMs)
  }
  return again
}

/**
 * In the dark nothing is pressed by chance: a key or a tap asks for a word, Space and the pedal say done as well, and L with Enter, or two fingers, go on to bring light back.
 * The browser's own windows, of a reload or a search, stay shut with the rest.
 */
export function useDark(): void {
  const onKey = (event: KeyboardEvent) => {
    const isDark = light.value === 'dark'
    // one key from anywhere, but where it is written as a sign
    if (event.key === '!' && (isDark || !(event.target as HTMLElement).matches('textarea, input:not([data-figure])'))) {
      event.preventDefault()
      event.stopImmediatePropagation()
      if (event.type === 'keydown' && !event.repeat) helpAsked.value++
      return
    }
    if (!isDark) return
    const name = event.key.toLowerCase()
    event.preventDefault()
    if (name === 'l' || name === 'enter') return
    const done = isDoneKey(event)
    if (!done) event.stopImmediatePropagation()
    if (event.type === 'keydown' && !event.repeat) asked.at(-1)?.(done)
  }
  const onPointer = (event: PointerEvent) => {
    if (light.value !== 'dark') return
    event.preventDefault()
    if (event.isPrimary) asked.at(-1)?.(false)
  }
  const still = (event: Event) => void (light.value === 'dark' && event.preventDefault())
  useEventListener(window, ['keydown', 'keyup'], onKey, { capture: true })
  useEventListener(window, 'pointerdown', onPointer, { capture: true })
  useEventListener(window, ['contextmenu', 'dragstart'], still, { capture: true })
}
