<script setup lang="ts">
import { api, type Device } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'

/** Demo only: hands for the simulated scale. */
const { device, toGo } = defineProps<{ device: Device; toGo: number }>()
const { busy, problem, act } = useAction()
const grams = ref<number | null>(null)
const send = (what: 'pour' | 'clear', value: number) =>
  act(() => call(api.device.simulate, { params: { id: device.id }, body: { what, value } }))
</script>

<template>
  <details class="mt-6 max-w-2xl border-2 border-dashed border-quiet p-3">
    <summary class="min-h-11 cursor-pointer content-center font-semibold">Demo: pour powder onto the simulated scale</summary>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <button type="button" class="button button-small" :disabled="busy || toGo <= 0" @click="send('pour', Math.round(toGo * 70) / 100)">
        Most of it
      </button>
      <button type="button" class="button button-small" :disabled="busy || toGo <= 0" @click="send('pour', Math.round(toGo * 100) / 100)">
        All that lacks
      </button>
      <div class="w-40"><QuantityField v-model="grams" kind="mass" label="This much" /></div>
      <button type="button" class="button button-small" :disabled="busy || grams === null" @click="send('pour', grams ?? 0)">Pour</button>
      <button type="button" class="button button-small" :disabled="busy" @click="send('clear', 0)">Empty the pan</button>
    </div>
    <ProblemLine :problem="problem" class="mt-2" />
  </details>
</template>
