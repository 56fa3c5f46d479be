import { ref, watchEffect } from 'vue'

export type Light = 'white' | 'safelight' | 'dark'
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
const lights: Light[] = ['white', 'safelight', 'dark']
const keptLight = kept(key)

export const light = ref<Light>(lights.find((one) => one === keptLight) ?? 'white')
/** share of the screen's brightness the black overlay takes away in safelight */
export const dim = ref(Number(kept(dimKey) ?? 0))
/** what light would fog now; null where nothing is open */
export const openFilm = ref<string | null>(null)

/** what the screen goes back to out of the dark */
let before: Exclude<Light, 'dark'> = 'safelight'

/** The whole screen black and still, at once. */
export function goDark(): void {
  if (light.value === 'dark') return
  before = light.value
  light.value = 'dark'
}
/** One step darker at once. */
export const darker = (): void => (light.value === 'white' ? void (light.value = 'safelight') : goDark())
/** Out of the dark to the light it came from, out of safelight to white. */
export const lighter = (): void => void (light.value = light.value === 'dark' ? before : 'white')

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
