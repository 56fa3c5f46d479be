import { ref } from 'vue'
import { typedIsKept } from '../hand/typed'
import type { Lacking } from '@selvrin/core'
import { askPresence } from '../hand/present'
import { CallError, sentence } from './call'

/** Does the work; where somebody lacks training for it, once more after a technician who is present stood in. */
async function withPresence(work: () => Promise<unknown>): Promise<void> {
  try {
    await work()
  } catch (error) {
    if (!(error instanceof CallError) || error.problem.code !== 'not-trained') throw error
    if (!(await askPresence(error.problem.current as Lacking))) throw error
    await work()
  }
}

/** `keeps`: false for what writes nothing down of what is being typed. Runs one write at a time and keeps its refusal as a sentence, and what the thing is now where someone else was first. */
export function useAction({ keeps = true }: { keeps?: boolean } = {}) {
  const busy = ref(false)
  const problem = ref('')
  const field = ref('')
  const current = ref<unknown>(null)
  async function act(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    problem.value = ''
    field.value = ''
    current.value = null
    try {
      await withPresence(work)
      if (keeps) typedIsKept()
      return true
    } catch (error) {
      problem.value = sentence(error)
      if (error instanceof CallError) {
        field.value = error.problem.field ?? ''
        current.value = error.problem.current ?? null
      }
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, problem, field, current, act }
}
