<script setup lang="ts">
import { ref } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import { useClocks } from './clocks'

/** A temperature measured in the tank goes into the log; what it means for the time follows from there. */
const { runId, step, open } = defineProps<{ runId: string; step: number; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const measured = ref<number | null>(null)
const problem = ref('')
async function keep(): Promise<void> {
  problem.value = measured.value === null ? 'Write the temperature that was measured.' : ''
  if (measured.value === null) return
  await clocks.note(runId, { kind: 'temperature', step, celsius: measured.value })
  measured.value = null
  emit('close')
}
</script>

<template>
  <FormPanel
    :open="open"
    title="Temperature in the tank"
    yes="Write it down"
    :busy="false"
    :problem="problem"
    @close="$emit('close')"
    @submit="keep"
  >
    <MeasuredTemperature v-model="measured" label="Measured" />
  </FormPanel>
</template>
