<script setup lang="ts">
import { ref } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import { useBench } from '../device/readings'
import TakeReading from '../device/TakeReading.vue'
import { useShow } from '../session/useShow'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import { useClocks } from './clocks'
import { probedRun } from './probing'

/** A temperature measured in the tank goes into the log; what it means for the time follows from there. */
const { runId, step, open } = defineProps<{ runId: string; step: number; open: boolean }>()
const emit = defineEmits<{ close: [] }>()
const clocks = useClocks()
const show = useShow()
const probe = useBench('thermometer')
const measured = ref<number | null>(null)
const problem = ref('')
function byItself(): void {
  probedRun.value = runId
  emit('close')
}
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
    <p v-if="probedRun === runId">
      {{ probe.device.value?.name }} writes its readings down by itself.
      <button type="button" class="link min-h-11" @click="probedRun = null">Stop that</button>
    </p>
    <TakeReading v-else v-slot="{ value, called }" :bench="probe" class="button" @take="byItself">
      {{ called }} stands in this bath: write its {{ show.temperature(Math.round(value * 10) / 10) }} and what follows down by itself
    </TakeReading>
  </FormPanel>
</template>
