<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { useClocks } from './clocks'
import { useHandsNext } from './useHandsNext'

/** Several tanks and one pair of hands: what they do next, over all of them, and where two want them at once. */
/** `few`: beside a clock that fills the screen */
const { few } = defineProps<{ few?: boolean }>()
const clocks = useClocks()
const { next, collisions } = useHandsNext()
const until = (at: number): string => (at <= clocks.time ? 'now' : `in ${showTime(Math.ceil((at - clocks.time) / 1000))}`)
</script>

<template>
  <section aria-label="Hands next" class="border-t-2 border-ink pt-2">
    <p v-for="one in collisions.slice(0, few ? 1 : 2)" :key="`${one.at} ${one.first.run}`" class="font-bold">
      ▲ {{ until(one.at) }} two tanks want hands: {{ one.first.run }}, {{ one.first.word.toLowerCase() }}, and {{ one.second.run }},
      {{ one.second.word.toLowerCase() }}.
    </p>
    <ol class="flex flex-wrap gap-x-6 gap-y-1">
      <li v-for="one in next.slice(0, few ? 3 : 4)" :key="`${one.run} ${one.fromAt}`" :class="one.fromAt <= clocks.time ? 'font-bold' : ''">
        <span class="inline-block min-w-16 font-mono">{{ until(one.fromAt) }}</span> {{ one.run }}: {{ one.word.toLowerCase() }},
        {{ one.step }}
      </li>
      <li v-if="few"><RouterLink to="/tanks/clocks" class="link">All clocks on one screen</RouterLink></li>
    </ol>
  </section>
</template>
