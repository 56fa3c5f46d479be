import { ref, watch, type Ref } from 'vue'

/** A figure or a thing that the tab keeps, so that a page that is loaded again has it; a browser that keeps nothing has it until then. */
export function keptByTab<T>(key: string, first: T): Ref<T> {
  let start = first
  try {
    const text = sessionStorage.getItem(key)
    if (text !== null) start = JSON.parse(text) as T
  } catch {
    // it begins anew
  }
  const kept = ref(start) as Ref<T>
  watch(
    kept,
    (now) => {
      try {
        sessionStorage.setItem(key, JSON.stringify(now))
      } catch {
        // it is kept as long as the page
      }
    },
    { deep: true, flush: 'sync' },
  )
  return kept
}
