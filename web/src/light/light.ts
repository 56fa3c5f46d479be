import { ref, watchEffect } from 'vue'

export type Light = 'white' | 'safelight'
const key = 'selvrin.light'
const dimKey = 'selvrin.dim'
const pointerRestMs = 2000

const kept = (name: string): string | null => {
  try {
    return localStorage.getItem(name)
  } catch {
    return null
  }
}

export const light = ref<Light>(kept(key) === 'safelight' ? 'safelight' : 'white')
/** share of the screen's brightness the black overlay takes away in safelight */
export const dim = ref(Number(kept(dimKey) ?? 0))

/** One step darker at once. */
export const darker = (): void => void (light.value = 'safelight')
export const lighter = (): void => void (light.value = 'white')

/** Keeps the page's light, its overlay and the resting pointer in step; call once. */
export function keepLight(): void {
  watchEffect(() => {
    document.documentElement.dataset.light = light.value
    try {
      localStorage.setItem(key, light.value)
      localStorage.setItem(dimKey, String(dim.value))
    } catch {
      // a browser that keeps nothing still gets its light
    }
  })
  let rest = 0
  document.addEventListener('pointermove', () => {
    document.documentElement.dataset.pointer = 'here'
    clearTimeout(rest)
    rest = window.setTimeout(() => (document.documentElement.dataset.pointer = 'away'), pointerRestMs)
  })
}
