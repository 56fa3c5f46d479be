<script setup lang="ts">
import { api, type Device, type Reading } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import { useShow } from '../session/useShow'

/** What the bath says now, and what it is set to; one press sets it to what is wanted, and is told whether it took that. */
const { device, wanted } = defineProps<{ device: Device; reading: Reading | null; wanted: number | null }>()
const show = useShow()
const { busy, problem, act } = useAction()
const tenth = (celsius: number) => show.temperature(Math.round(celsius * 10) / 10)
const set = () => act(() => call(api.device.set, { params: { id: device.id }, body: { celsius: wanted ?? 0 } }))
</script>

<template>
  <div class="card space-y-3">
    <p class="text-quiet">{{ device.name }}</p>
    <template v-if="reading?.value != null">
      <p class="font-mono text-6xl leading-none font-bold" data-bath>{{ tenth(reading.value) }}</p>
      <p class="text-lg">
        {{ reading.setC === undefined ? 'set by hand' : `set to ${tenth(reading.setC)}`
        }}{{ reading.heater === undefined ? '' : `, heater ${Math.round(reading.heater * 100)} %` }}
      </p>
    </template>
    <p v-else class="text-xl font-bold">It does not answer. Look at its plug; what is typed here goes on without it.</p>
    <ProblemLine :problem="problem" />
    <button v-if="wanted !== null && device.command !== ''" type="button" class="button button-main w-full" :disabled="busy" @click="set">
      Set it to {{ tenth(wanted) }}
    </button>
  </div>
</template>
