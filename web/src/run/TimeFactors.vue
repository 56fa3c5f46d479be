<script setup lang="ts">
import { showTime, type DevelopingTime } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'

/** The developing time, largest, and every factor that makes it. */
const { developing, temperatureC } = defineProps<{ developing: DevelopingTime; temperatureC: number }>()
const show = useShow()
const factors = computed(() => developing.steps.filter((step) => Math.abs(step.factor - 1) > 0.0005))
const name = (step: { name: string }) => (step.name === 'temperature' ? `for ${show.temperature(temperatureC)}` : step.name)
</script>

<template>
  <div>
    <p class="text-xl text-quiet">Develop</p>
    <p class="font-mono text-9xl leading-none font-bold max-sm:text-7xl" data-time>{{ showTime(developing.seconds) }}</p>
    <p class="mt-3 text-xl">
      <b class="font-mono">{{ showTime(developing.baseSeconds) }}</b> chart at {{ show.temperature(developing.baseC) }}
      <template v-for="step in factors" :key="step.name">
        · <b class="font-mono">×{{ digits(step.factor, 2) }}</b> {{ name(step) }}</template
      >
      <template v-if="factors.length > 0">
        · = <b class="font-mono">{{ showTime(developing.seconds) }}</b></template
      >
    </p>
  </div>
</template>
