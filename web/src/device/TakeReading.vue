<script setup lang="ts">
import { computed } from 'vue'
import type { AtBench } from './readings'

/**
 * Takes what an instrument at the bench says. It keeps its place while the instrument is not heard, so that nothing moves under the hand when it is; there is none where there is
 * no such instrument.
 */
const { bench, steady = false } = defineProps<{
  bench: AtBench
  /** only what stands still can be taken */
  steady?: boolean
}>()
defineEmits<{ take: [value: number] }>()
const value = computed(() => bench.reading.value?.value ?? null)
const off = computed(() => value.value === null || (steady && !bench.reading.value?.stable))
</script>

<template>
  <button v-if="bench.device.value" type="button" :disabled="off" @click="value !== null && $emit('take', value)">
    <slot v-if="value !== null" :value="value" :called="bench.device.value.name" />
    <template v-else>{{ bench.device.value.name }} is not heard</template>
  </button>
</template>
