<script setup lang="ts">
import { collisionsOf, courseOf, freeStartS, showTime, type Plan } from '@selvrin/core'
import { computed } from 'vue'
import { useClocks } from './clocks'
import { useHandsNext } from './useHandsNext'

/** Tanks that are on already want hands as well: whether a run that is begun now would want them at the same time, and when it would not. */
const { plan } = defineProps<{ plan: Plan }>()
const clocks = useClocks()
const { beside } = useHandsNext()
/** to whole five seconds, so that it is not worked out anew at every tick */
const from = computed(() => Math.ceil(clocks.time / 5000) * 5000)
const mine = computed(() => ({
  name: 'this run',
  rotary: plan.vessel.kind === 'rotary',
  course: courseOf(plan),
  step: 0,
  startedAt: from.value,
}))
const met = computed(() => beside.value.flatMap((other) => collisionsOf([mine.value, other]))[0])
const later = computed(() => freeStartS(mine.value, beside.value))
const names = computed(() => beside.value.map((one) => one.name).join(' and '))
</script>

<template>
  <p v-if="beside.length > 0" role="status" :class="met ? 'border-l-4 border-alarm pl-4 font-semibold' : ''">
    <template v-if="met">
      ▲ {{ names }} {{ beside.length === 1 ? 'is' : 'are' }} on. Begun now, hands collide in {{ showTime((met.at - from) / 1000) }}:
      {{ met.first.word.toLowerCase() }}, {{ met.first.step }}, here, and {{ met.second.word.toLowerCase() }}, {{ met.second.step }}, of
      {{ met.second.run }}.
      {{ later === null ? 'In the next 20 minutes no start is free of it.' : `Begun in ${showTime(later)}, no pour meets another.` }}
    </template>
    <template v-else>{{ names }} {{ beside.length === 1 ? 'is' : 'are' }} on; begun now, no pour meets another.</template>
  </p>
</template>
