import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { light, lighter, openFilm } from '../light/light'
import { warnOfFog } from '../light/dark'
import { typing } from '../hand/keys'

const keysMs = 1000
const pointerMs = 2000

/** How far the way back to white light has come, 0 to 1; shared, so that whoever holds anything sees it go. */
export const wayBack = ref(0)
/** L went down, and Enter not with it */
export const lAlone = ref(false)
let timer = 0
let began = 0
let frame = 0

function draw(ms: number): void {
  wayBack.value = Math.min(1, (performance.now() - began) / ms)
  if (wayBack.value < 1) frame = requestAnimationFrame(() => draw(ms))
}
function begin(ms: number): void {
  stop()
  if (light.value === 'white') return
  began = performance.now()
  timer = window.setTimeout(() => {
    stop()
    // open film: the first time it is said what light would do
    if (openFilm.value === null || warnOfFog()) lighter()
  }, ms)
  draw(ms)
}
function stop(): void {
  clearTimeout(timer)
  cancelAnimationFrame(frame)
  wayBack.value = 0
}

/** For a button that is held with one pointer, finger or mouse, for two seconds. */
export const holdToLighten = { pointerdown: () => begin(pointerMs), pointerup: stop, pointercancel: stop, pointerleave: stop }

/**
 * Going lighter is deliberate: L and then Enter held together for a second, or two fingers anywhere for two. While L is down in safelight Enter does nothing
 * else: it presses no button.
 */
export function useWayBack(): void {
  const held = new Set<string>()
  const onKey = (event: KeyboardEvent) => {
    const name = event.key.toLowerCase()
    if (event.type === 'keydown') {
      if (!event.repeat) lAlone.value = name === 'l'
      if (name === 'l' && light.value !== 'dark' && typing(event)) return
      if (name === 'enter' && held.has('l') && light.value !== 'white') {
        event.preventDefault()
        event.stopImmediatePropagation()
        if (!event.repeat) begin(keysMs)
      }
      if (!event.repeat) held.add(name)
      return
    }
    if (name === 'enter' && held.has('l')) event.preventDefault()
    held.delete(name)
    if (name === 'l' || name === 'enter') stop()
  }
  const onTouch = (event: TouchEvent) => (event.touches.length === 2 ? begin(pointerMs) : stop())
  const letGo = () => {
    held.clear()
    stop()
  }
  useEventListener(window, ['keydown', 'keyup'], onKey, { capture: true })
  useEventListener(window, ['touchstart', 'touchend', 'touchcancel'], onTouch, { passive: true })
  useEventListener(window, 'blur', letGo)
}
