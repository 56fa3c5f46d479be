import { onScopeDispose, watch, type Ref } from 'vue'

/** Kept for this tab until it is closed; a browser that keeps nothing goes on without. */
const store = {
  get: (key: string): string | null => {
    try {
      return sessionStorage.getItem(key)
    } catch {
      return null
    }
  },
  set: (key: string, text: string | null): void => {
    try {
      if (text === null) sessionStorage.removeItem(key)
      else sessionStorage.setItem(key, text)
    } catch {
      // blocked or full: nothing is kept
    }
  },
}

export const readKept = <T>(key: string): T | null => {
  const text = store.get(key)
  if (text === null) return null
  try {
    return JSON.parse(text) as T
  } catch {
    return null
  }
}
export const writeKept = (key: string, value: unknown): void => store.set(key, value === null ? null : JSON.stringify(value))

/** A value that a reload, or coming back to its page, brings back: a filter, a search, a place in a list. */
export function useKept<T>(key: string, value: Ref<T>): void {
  const before = readKept<{ value: T }>(key)
  if (before !== null) value.value = before.value
  onScopeDispose(watch(value, (now) => writeKept(key, { value: now }), { deep: true }))
}

/** Whoever signs out leaves no draft and no filter behind for the next at the same tablet. */
export function forgetKept(): void {
  try {
    sessionStorage.clear()
    localStorage.removeItem('selvrin.session')
  } catch {
    // nothing was kept
  }
}
