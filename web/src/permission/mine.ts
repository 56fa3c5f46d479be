import { api } from '@selvrin/core/contract'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { z } from 'zod'
import { call } from '../api/call'
import { keepTrying } from '../api/keepTrying'
import { latest } from '../api/latest'
import { onChange } from '../api/live'

type Answer = z.output<typeof api.permission.mine.response>

/** What whoever is signed in may develop by themselves, and what they need to plan it. */
export const useMine = defineStore('mine', () => {
  const answer = shallowRef<Answer | null>(null)
  const problem = ref('')
  const turns = latest()
  const permissions = computed(() => answer.value?.permissions ?? [])
  const loaded = computed(() => answer.value !== null)

  /** Asks anew; what is shown stays until the answer is there. */
  async function load(): Promise<void> {
    const got = await keepTrying(
      (signal) => call(api.permission.mine, { signal }),
      (said) => void (problem.value = said),
      turns.begin(),
    ).catch(() => null)
    if (got === null) return
    answer.value = got
    problem.value = ''
  }
  onChange((event) => {
    if (loaded.value && (event === 'all' || event.subject === 'permission' || event.subject === 'process')) void load()
  })
  return { answer, permissions, loaded, problem, load }
})
