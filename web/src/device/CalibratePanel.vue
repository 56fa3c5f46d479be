<script setup lang="ts">
import { calibrationBuffers } from '@selvrin/core'
import { api, type Device } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useDevices } from '../stores'
import { useReadings } from './readings'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'

const show = useShow()
/** A pH meter in its buffers, one after another. Carbonate developers need one near 10. */
const { device } = defineProps<{ device: Device }>()
const emit = defineEmits<{ close: [] }>()
const devices = useDevices()
const readings = useReadings()
const { busy, problem, act } = useAction()
const buffer = ref<string | null>(null)
const buffers = calibrationBuffers.flatMap(({ name, at }) =>
  at.map(([celsius, ph]) => ({ value: `${ph}`, name: `${name} at ${show.temperature(celsius)}: ${show.number(ph, 2)}` })),
)
const points = ref<{ read: number; buffer: number }[]>([])
const live = computed(() => readings.latest.get(device.id))
function take(): void {
  const read = live.value?.value
  if (read === null || read === undefined || buffer.value === null) {
    problem.value = 'Choose the buffer and wait until the meter answers.'
    return
  }
  points.value = [...points.value.filter((point) => point.buffer !== Number(buffer.value)), { read, buffer: Number(buffer.value) }]
  problem.value = ''
}
async function keep(): Promise<void> {
  const version = devices.rows.find((one) => one.id === device.id)?.version ?? device.version
  const good = await act(() => call(api.device.calibrate, { params: { id: device.id }, body: { version, points: points.value } }))
  if (!good) return
  await devices.load(true)
  emit('close')
}
</script>

<template>
  <ModalPanel open :title="`Calibrate ${device.name}`" @close="$emit('close')">
    <div class="space-y-4">
      <p>Rinse, dip, wait until it stands still. Two buffers at least two pH apart; one near 10 for carbonate developers.</p>
      <p class="text-4xl font-bold">
        <span class="font-mono">{{ live?.value == null ? '—' : digits(live.value, 2) }}</span><span
          v-if="live && !live.stable"
          class="ml-3 text-base font-normal"
          >still moving</span
        >
      </p>
      <ChoiceField v-model="buffer" label="The electrode stands in" :choices="buffers" />
      <button class="button" :disabled="!live?.stable || buffer === null" @click="take">Take this reading</button>
      <ul>
        <li v-for="point in points" :key="point.buffer" class="font-mono">{{ digits(point.read, 2) }} in {{ digits(point.buffer, 2) }}</li>
      </ul>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy || points.length < 2" @click="keep">Calibrate by these</button>
        <button class="button" @click="$emit('close')">Not now</button>
      </div>
    </div>
  </ModalPanel>
</template>
