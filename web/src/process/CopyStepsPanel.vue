<script setup lang="ts">
import { copySteps, timeWords } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useProcesses } from '../stores'
import type { Drafting } from './useProcessDraft'

/** Steps of another process, taken over with their baths, behind the step that is chosen or before all. */
const { drafting, open } = defineProps<{ drafting: Drafting; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const processes = useProcesses()
const from = ref<string | null>(null)
const keys = ref<string[]>([])
const where = ref<'behind' | 'first' | null>('behind')
const choices = computed(() => processes.rows.map(({ id, body }) => ({ value: id, name: body.name })))
const other = computed(() => processes.rows.find((one) => one.id === from.value)?.body)
watch(from, () => (keys.value = []))
const places = computed(() => [
  { value: 'behind' as const, name: `Behind ${drafting.step.value?.name ?? 'the last step'}` },
  { value: 'first' as const, name: 'Before all others' },
])
const nameOf = (key: string) => other.value?.steps.find((one) => one.key === key)?.name ?? key

function take(): void {
  const source = other.value
  const steps = drafting.body.value?.steps ?? []
  if (!source) return
  const at = steps.findIndex((one) => one.key === drafting.selected.value)
  const to = where.value === 'first' ? 0 : at < 0 ? steps.length : at + 1
  if (!drafting.act((now) => copySteps(now, source, keys.value, to))) return
  // the last of them is chosen, so that the next come behind it
  drafting.select(drafting.body.value?.steps[to + keys.value.length - 1]?.key)
  keys.value = []
  emit('close')
}
</script>

<template>
  <ModalPanel :open="open" title="Steps of another process" wide @close="emit('close')">
    <form class="space-y-4" @submit.prevent="take">
      <ChoiceField v-model="from" label="Out of" :choices="choices" />
      <fieldset v-if="other" class="max-h-80 overflow-y-auto">
        <legend class="mb-1 font-semibold">Which</legend>
        <label v-for="step in other.steps" :key="step.key" class="flex min-h-11 cursor-pointer items-center gap-3">
          <input v-model="keys" type="checkbox" :value="step.key" class="h-6 w-6 accent-current" />
          <span
            ><b>{{ step.name }}</b
            >, {{ timeWords(step.time, nameOf) }}</span
          >
        </label>
      </fieldset>
      <ChoiceField v-model="where" label="Where to" :choices="places" />
      <ProblemLine :problem="drafting.problem.value" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="keys.length === 0">
          {{ keys.length === 1 ? 'Take this step over' : `Take ${keys.length} steps over` }}
        </button>
        <button type="button" class="button" @click="emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
