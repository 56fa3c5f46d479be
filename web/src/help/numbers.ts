import { aidApi } from '@selvrin/core/contract'
import { reactive } from 'vue'
import { call } from '../api/call'

const key = 'selvrin.aid'
/** Whom to call; what this device knew last where the line is down. */
export const numbers = reactive({ emergency: '', poison: '', known: false })

try {
  Object.assign(numbers, JSON.parse(localStorage.getItem(key) ?? '{}'))
} catch {
  // a browser that keeps nothing asks each time
}

/** Asks whom to call; what is known already stays where nobody answers. */
export async function learnNumbers(): Promise<void> {
  const answer = await call(aidApi.numbers).catch(() => null)
  if (!answer) return
  Object.assign(numbers, answer, { known: true })
  try {
    localStorage.setItem(key, JSON.stringify(numbers))
  } catch {
    // it is shown all the same
  }
}
// fetched ahead with the card: they are here when the line is not
void learnNumbers()
