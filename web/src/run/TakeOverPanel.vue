<script setup lang="ts">
import { leaderOf } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { computed } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import { useClocks } from './clocks'

/** Another device leads this run: this one can take it over, and then writes it down. */
const { run, open } = defineProps<{ run: Run; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const taker = computed(() => {
  const events = clocks.events.get(run.id) ?? []
  return events.findLast((event) => event.kind === 'take-over' && event.device === leaderOf(events))?.text
})
async function take(): Promise<void> {
  await clocks.takeOver(run.id)
  emit('close')
}
</script>

<template>
  <FormPanel
    :open="open"
    :title="`Take run ${run.number} over`"
    yes="Lead it from here"
    :busy="false"
    problem=""
    @close="$emit('close')"
    @submit="take"
  >
    <p>
      {{ taker ? `${taker} leads it on another device.` : 'It was begun on another device, which leads it.' }} This one follows and sounds
      its cues.
    </p>
    <p>
      From then on this device says what is done and writes the run down. What the other one notes after that is kept in the record, marked,
      and does not count.
    </p>
  </FormPanel>
</template>
