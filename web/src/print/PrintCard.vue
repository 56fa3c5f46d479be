<script setup lang="ts">
import type { PrintSaid, WholeTry } from '@selvrin/core'
import { computed } from 'vue'
import { filterWords, saidWords, secondsWords, stopWords } from '../printroom/words'

/** A print as it was exposed, and what was said of it. */
const { plan, said } = defineProps<{ plan: WholeTry; said: PrintSaid[]; right: boolean }>()
const split = computed(() => plan.exposures.length > 1)
</script>

<template>
  <div v-for="(one, i) in plan.exposures" :key="i">
    <p class="font-mono text-3xl font-bold">{{ secondsWords(one.seconds) }}</p>
    <p>{{ split ? (i === 0 ? 'soft: ' : 'hard: ') : '' }}{{ filterWords(one.filter) }}</p>
  </div>
  <ul v-if="plan.places.length > 0" class="mt-2">
    <li v-for="place in plan.places" :key="`${place.name} ${place.exposure}`">
      {{ place.stops > 0 ? 'Burn' : 'Hold back' }} {{ place.name }} <b class="font-mono">{{ stopWords(place.stops) }}</b>
    </li>
  </ul>
  <p class="mt-3">
    <template v-if="said.length > 0"><b>Said:</b> {{ said.map((one) => saidWords(one, plan.exposures.length)).join(', ') }}</template>
    <b v-else-if="right">As it should be.</b>
    <span v-else class="text-quiet">nothing said of it</span>
  </p>
</template>
