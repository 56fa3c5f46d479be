import type { LiveEvent } from '@selvrin/core/contract'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { CallError, sentence } from './call'
import { keepTrying } from './keepTrying'
import { latest } from './latest'
import { onChange } from './live'

/**
 * What one page shows: asked for until it is there, asked for again when a change concerns it. A page that is already there is never taken away by a
 * failed reload: it stays, and `problem` says that it may be old. `missing` is said only where the server answered that there is no such thing.
 */
export function usePage<T>(ask: (unwanted: AbortSignal) => Promise<T>, concerns: (event: LiveEvent) => boolean = () => false) {
  const value = shallowRef<T | null>(null)
  const missing = ref('')
  const problem = ref('')
  const asked = latest()

  /** What the server answered to a write is newer than whatever is still being asked for: that would bring back what was. */
  function take(answer: T): void {
    asked.end()
    value.value = answer
    problem.value = missing.value = ''
  }
  /** Answers after the first try where something is shown already, else when there is an answer. */
  function load(): Promise<void> {
    const unwanted = asked.begin()
    return keepTrying(ask, (said) => void (problem.value = said), unwanted)
      .then((answer) => {
        if (!unwanted.aborted && answer !== null) take(answer)
      })
      .catch((error: unknown) => {
        if (unwanted.aborted) return
        if (value.value === null || (error instanceof CallError && error.status === 404)) missing.value = sentence(error)
      })
  }
  /** Another thing is shown from now on: nothing of the one before stays. */
  function begin(): void {
    value.value = null
    missing.value = problem.value = ''
    void load()
  }
  onBeforeUnmount(onChange((event) => void ((event === 'all' || concerns(event)) && load())))
  onBeforeUnmount(() => asked.end())
  return { value, missing, problem, load, take, begin }
}
