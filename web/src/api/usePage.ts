import type { LiveEvent } from '@selvrin/core/contract'
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { CallError, sentence } from './call'
import { keepTrying } from './keepTrying'
import { onChange } from './live'

/**
 * What one page shows: asked for until it is there, asked for again when a change concerns it. A page that is already there is never taken away by a
 * failed reload: it stays, and `problem` says that it may be old. `missing` is said only where the server answered that there is no such thing.
 */
export function usePage<T>(ask: () => Promise<T>, concerns: (event: LiveEvent) => boolean = () => false) {
  const value = shallowRef<T | null>(null)
  const missing = ref('')
  const problem = ref('')
  let asked = 0
  let gone = false

  /** Answers after the first try where something is shown already, else when there is an answer. */
  function load(): Promise<void> {
    const mine = ++asked
    const told = (sentenceSaid: string) => void (mine === asked && (problem.value = sentenceSaid))
    const work = keepTrying(ask, told, () => gone || mine !== asked)
      .then((answer) => {
        if (mine !== asked || answer === null) return
        value.value = answer
        problem.value = missing.value = ''
      })
      .catch((error: unknown) => {
        if (mine !== asked) return
        if (value.value === null || (error instanceof CallError && error.status === 404)) missing.value = sentence(error)
      })
    return work
  }
  /** Another thing is shown from now on: nothing of the one before stays. */
  function begin(): void {
    value.value = null
    missing.value = problem.value = ''
    void load()
  }
  onBeforeUnmount(onChange((event) => void ((event === 'all' || concerns(event)) && load())))
  onBeforeUnmount(() => (gone = true))
  return { value, missing, problem, load, begin }
}
