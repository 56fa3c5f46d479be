<script setup lang="ts">
import { api, type Device } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import { useShow } from '../session/useShow'

/** Demo only: a hand that dips the simulated probe or electrode. */
const { device, value } = defineProps<{ device: Device; value: number }>()
const show = useShow()
const { busy, problem, act } = useAction()
const dip = () =>
  act(() =>
    call(api.device.simulate, { params: { id: device.id }, body: { what: device.kind === 'ph-meter' ? 'solution' : 'bath', value } }),
  )
</script>

<template>
  <div>
    <button type="button" class="button button-small border-dashed border-quiet" :disabled="busy" @click="dip">
      Demo: dip the {{ device.name }} into
      {{ device.kind === 'ph-meter' ? 'the batch' : `water of ${show.temperature(value)}` }}
    </button>
    <ProblemLine :problem="problem" class="mt-2" />
  </div>
</template>
