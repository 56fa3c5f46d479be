<script setup lang="ts">
import { chosenOptions } from '@selvrin/core'
import { computed } from 'vue'
import OptionFields from '../process/OptionFields.vue'
import type { Planning } from './usePlan'

/** What schools do differently in this process, as it is chosen for this run. */
const { planning } = defineProps<{ planning: Planning }>()
const { asked, found } = planning
const on = computed(
  () => new Set(found.process ? chosenOptions(found.process.body, found.options).flatMap((one) => (one.on ? [one.id] : [])) : []),
)
function turn(id: string, value: boolean): void {
  const options = found.process?.body.options ?? []
  const group = options.find((one) => one.id === id)?.group
  // of a group only the one that was turned on last is kept
  if (group !== undefined) for (const one of options) if (one.group === group) delete asked.options[one.id]
  asked.options[id] = value
}
</script>

<template>
  <OptionFields v-if="found.process" :process="found.process.body" :on="on" @turn="turn" />
</template>
