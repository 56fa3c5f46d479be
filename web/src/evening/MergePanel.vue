<script setup lang="ts">
import { isMovable, mergedLoads, type EveningLoad } from '@selvrin/core'
import { computed, ref } from 'vue'
import { sentence } from '../api/call'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import type { EveningView } from './useEvening'

/** Two loads become one, where this one has its place. */
const { view, load } = defineProps<{ view: EveningView; load: EveningLoad }>()
const emit = defineEmits<{ close: [] }>()
const { evening, names, runs, busy, problem, send } = view
function whyNot(other: EveningLoad): string {
  try {
    mergedLoads(load, other)
    return ''
  } catch (error) {
    return sentence(error)
  }
}
const others = computed(() =>
  (evening.value?.body.loads ?? [])
    .filter((one) => one.id !== load.id && isMovable(one, runs.value))
    .map((one) => {
      const why = whyNot(one)
      return { value: one.id, name: names.value?.load(one.id) ?? '', disabled: why !== '', ...(why === '' ? {} : { detail: why }) }
    }),
)
const other = ref<string | null>(others.value.find((one) => !one.disabled)?.value ?? null)
async function merge(): Promise<void> {
  const body = evening.value?.body
  const theirs = body?.loads.find((one) => one.id === other.value)
  if (!body || !theirs) return
  const loads = body.loads.flatMap((one) => (one.id === theirs.id ? [] : [one.id === load.id ? mergedLoads(one, theirs) : one]))
  if (await send('merged', { ...body, loads })) emit('close')
}
</script>

<template>
  <FormPanel
    title="Put together"
    yes="Put them together"
    :busy="busy"
    :problem="problem"
    :blocked="other === null"
    @close="$emit('close')"
    @submit="merge"
  >
    <p v-if="others.length === 0" class="text-lg">There is no other load that could go with it.</p>
    <ChoiceField v-else v-model="other" :label="`With ${names?.load(load.id)}`" :choices="others" />
  </FormPanel>
</template>
