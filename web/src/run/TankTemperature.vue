<script setup lang="ts">
import { ref } from 'vue'
import ModalPanel from '../fields/ModalPanel.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import { useClocks } from './clocks'

/** A temperature measured in the tank goes into the log; what it means for the time follows from there. */
const { runId, step, open } = defineProps<{ runId: string; step: number; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const measured = ref<number | null>(null)
async function keep(): Promise<void> {
  if (measured.value === null) return
  await clocks.note(runId, { kind: 'temperature', step, celsius: measured.value })
  measured.value = null
  emit('close')
}
</script>

<template>
  <ModalPanel :open="open" title="Temperature in the tank" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="keep">
      <MeasuredTemperature v-model="measured" label="Measured" />
      <div class="flex gap-3">
        <button class="button button-main">Write it down</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
