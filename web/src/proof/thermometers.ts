import { ref, watch } from 'vue'

const key = 'selvrin.thermometer'
const kept = (): string => {
  try {
    return localStorage.getItem(key) ?? 'none'
  } catch {
    return 'none'
  }
}

/** The thermometer last read with on this device, or none. */
export const thermometerId = ref(kept())
watch(thermometerId, (id) => {
  try {
    localStorage.setItem(key, id)
  } catch {
    // a browser that keeps nothing asks again
  }
})
