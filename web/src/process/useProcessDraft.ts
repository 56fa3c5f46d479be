import { draftOf, DomainError, type ProcessBody } from '@selvrin/core'
import { computed, ref, shallowRef } from 'vue'
import { sentence } from '../api/call'

/** A process while it is written: each act gives a new one, and each can be taken back. */
export function useProcessDraft() {
  const body = shallowRef<ProcessBody | null>(null)
  const before = shallowRef<ProcessBody[]>([])
  const selected = ref<string | null>(null)
  const problem = ref('')
  const step = computed(() => body.value?.steps.find((one) => one.key === selected.value) ?? null)

  function begin(start: ProcessBody): void {
    body.value = start
    before.value = []
    selected.value = start.steps[0]?.key ?? null
    problem.value = ''
  }
  /** Does something to it; what core refuses is said, and nothing is changed. */
  function act(change: (now: ProcessBody) => ProcessBody): boolean {
    if (!body.value) return false
    try {
      const next = change(body.value)
      before.value = [...before.value, body.value].slice(-100)
      body.value = next
      problem.value = ''
      if (!next.steps.some((one) => one.key === selected.value)) selected.value = next.steps[0]?.key ?? null
      return true
    } catch (error) {
      problem.value = error instanceof DomainError ? error.message : sentence(error)
      return false
    }
  }
  function undo(): void {
    const last = before.value.at(-1)
    if (!last) return
    before.value = before.value.slice(0, -1)
    body.value = last
    problem.value = ''
  }
  return {
    body,
    step,
    selected,
    problem,
    /** what it comes to, and what is wrong with it */
    draft: computed(() => (body.value ? draftOf(body.value) : null)),
    canUndo: computed(() => before.value.length > 0),
    select: (key: string | undefined) => void (selected.value = key ?? null),
    begin,
    act,
    undo,
  }
}
export type Drafting = ReturnType<typeof useProcessDraft>
