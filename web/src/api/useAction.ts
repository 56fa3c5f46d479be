import { ref } from 'vue'
import { typedIsKept } from '../hand/typed'
import { CallError, sentence } from './call'

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
      await work()
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
