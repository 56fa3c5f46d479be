<script setup lang="ts">
import type { Device, DeviceKind } from '@selvrin/core/contract'
import { useIntervalFn } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { useShow } from '../session/useShow'
import { useDevices } from '../stores'
import CalibratePanel from './CalibratePanel.vue'
import DevicePanel from './DevicePanel.vue'
import { useReadings } from './readings'
import { digits } from '../session/manner'
import WaitFor from '../fields/WaitFor.vue'

/** The scales, thermometers and pH meters at the bench: what they say now, and how they are reached. */
const show = useShow()
const devices = useDevices()
const readings = useReadings()
onMounted(() => void devices.load())
const words: Record<DeviceKind, string> = {
  ...{ scale: 'Scale', thermometer: 'Thermometer', 'ph-meter': 'pH meter' },
  ...{ bath: 'Tempering bath', lamp: 'Enlarger’s lamp' },
}
const open = ref<Device | 'new' | null>(null)
const calibrating = ref<Device | null>(null)
const at = ref(performance.now())
useIntervalFn(() => (at.value = performance.now()), 1000)
const rows = computed(() =>
  devices.rows.map((device) => {
    const reading = readings.latest.get(device.id)
    const value = reading && at.value - reading.heard < 4000 ? reading.value : null
    const says =
      value === null
        ? ''
        : device.kind === 'scale'
          ? show.mass(value)
          : device.kind === 'thermometer' || device.kind === 'bath'
            ? show.temperature(Math.round(value * 10) / 10)
            : `pH ${digits(value, 2)}`
    return { device, says, moving: value !== null && !reading?.stable }
  }),
)
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/settings" class="link inline-flex min-h-11 items-center">← Settings</RouterLink>
    <div class="mb-4 flex flex-wrap items-center gap-5">
      <h1 class="text-3xl font-bold">At the bench</h1>
      <button class="button button-small ml-auto" @click="open = 'new'">Add a device</button>
    </div>
    <WaitFor :of="[devices]" what="the devices">
      <ul>
        <li
          v-for="{ device, says, moving } in rows"
          :key="device.id"
          class="grid grid-cols-[minmax(0,1fr)_16rem_auto] items-center gap-6 border-b border-line py-4 max-lg:grid-cols-1 max-lg:gap-2"
        >
          <div>
            <b class="text-2xl">{{ device.name }}</b>
            <p class="text-quiet">
              {{ words[device.kind] }} at <span class="font-mono">{{ device.host }}:{{ device.port }}</span
              >{{ device.simulated ? ', simulated' : '' }}
            </p>
            <p v-if="device.calibration" class="text-quiet">
              Calibrated: slope {{ Math.round(device.calibration.slope * 100) }} %, {{ device.calibration.offset >= 0 ? '+' : '−'
              }}{{ digits(Math.abs(device.calibration.offset), 2) }} at pH 7
            </p>
          </div>
          <p class="text-right text-4xl font-bold max-lg:text-left">
            <span v-if="!device.active" class="text-xl font-normal text-quiet">switched off</span>
            <span v-else-if="says" class="font-mono">{{ says }}</span>
            <span v-else class="text-xl text-alarm">does not answer</span>
            <span v-if="moving" class="block text-base font-normal text-quiet">still moving</span>
          </p>
          <div class="flex flex-wrap gap-2">
            <button v-if="device.kind === 'ph-meter'" class="button button-small" @click="calibrating = device">Calibrate</button>
            <button class="button button-small" @click="open = device">Edit</button>
          </div>
        </li>
      </ul>
      <p v-if="devices.rows.length === 0" class="text-xl">
        None yet. A scale with a serial-to-TCP adapter is reached by its address and port; without one the weights are typed.
      </p>
    </WaitFor>
    <DevicePanel v-if="open" :device="open === 'new' ? null : open" @close="open = null" />
    <CalibratePanel v-if="calibrating" :device="calibrating" @close="calibrating = null" />
  </div>
</template>
