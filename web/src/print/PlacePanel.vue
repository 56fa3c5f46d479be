<script setup lang="ts">
import type { PrintSaid, WholeTry } from '@selvrin/core'
import { computed, ref } from 'vue'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'

/** A place of the print that shall have more or less than it has. */
const { plan } = defineProps<{ plan: WholeTry }>()
const emit = defineEmits<{ close: []; say: [one: Extract<PrintSaid, { of: 'place' }>] }>()
const name = ref('')
const steps = [-1, -0.5, -1 / 3, -0.25, 0.25, 1 / 3, 0.5, 1]
const names: Record<string, string> = { 1: '1', 0.5: '½', 0.25: '¼' }
const choices = steps.map((value) => ({ value, name: `${value < 0 ? '−' : '+'}${names[String(Math.abs(value))] ?? '⅓'}` }))
const stops = ref<number | null>(null)
const exposure = ref<number | null>(0)
const known = computed(() => [...new Set(plan.places.map((one) => one.name))])
const wrong = ref('')
function say(): void {
  const place = name.value.trim()
  if (place === '') return void (wrong.value = 'Name the place, such as sky.')
  if (stops.value === null) return void (wrong.value = 'Say how much, in stops.')
  emit('say', { of: 'place', name: place, stops: stops.value, exposure: exposure.value ?? 0 })
}
</script>

<template>
  <FormPanel title="A place more or less" yes="Say it" :busy="false" :problem="wrong" @close="emit('close')" @submit="say">
    <div v-if="known.length > 0" class="flex flex-wrap gap-2">
      <button v-for="one in known" :key="one" type="button" class="button button-small" @click="name = one">{{ one }}</button>
    </div>
    <TextField v-model="name" label="Place" hint="such as sky, left edge, her face" begin />
    <div>
      <p class="mb-1 font-semibold">Stops, than it has now: − is held back, + is burned in</p>
      <PressOne v-model="stops" :choices="choices" label="Stops" />
    </div>
    <div v-if="plan.exposures.length > 1">
      <p class="mb-1 font-semibold">Of which exposure</p>
      <PressOne
        v-model="exposure"
        :choices="[
          { value: 0, name: 'soft' },
          { value: 1, name: 'hard' },
        ]"
        label="Of which exposure"
      />
    </div>
  </FormPanel>
</template>
