<script setup lang="ts">
import { measuresOf, placeTimes, type NextTry, type WholeTry } from '@selvrin/core'
import { computed } from 'vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import { filterWords, percentWords, secondsWords, stopWords } from '../printroom/words'

/** The next print, worked out: its time largest, how it differs from the one before in all three measures, and why. */
const { next, before, lagS } = defineProps<{ next: NextTry; before: WholeTry | null; lagS: number }>()
const show = useShow()
const lines = computed(() =>
  next.print.exposures.map((one, i) => {
    const was = before?.exposures[i]?.seconds
    return {
      ...one,
      measures: was === undefined || Math.abs(was - one.seconds) < 1e-9 ? null : { was, ...measuresOf(one.seconds, was) },
      places: placeTimes(
        one.seconds,
        next.print.places.filter((place) => place.exposure === i),
      ).times,
    }
  }),
)
</script>

<template>
  <div v-for="(line, i) in lines" :key="i" class="mb-2">
    <p class="font-mono text-7xl leading-none font-bold max-sm:text-5xl">{{ secondsWords(line.seconds) }}</p>
    <p class="mt-1 text-lg">{{ lines.length > 1 ? (i === 0 ? 'soft: ' : 'hard: ') : '' }}{{ filterWords(line.filter) }}</p>
    <p v-if="line.measures" class="text-lg">
      <b class="font-mono">{{ stopWords(line.measures.stops) }}</b> · <b class="font-mono">{{ percentWords(line.measures.stops) }}</b> on
      {{ secondsWords(line.measures.was) }}
    </p>
    <ul>
      <li v-for="place in line.places" :key="place.name" class="text-lg">
        <b>{{ place.when === 'after' ? 'Burn' : 'Hold back' }}</b> {{ place.name }} {{ stopWords(place.stops) }} =
        <b class="font-mono">{{ secondsWords(place.seconds) }}</b>
      </li>
    </ul>
  </div>
  <ul v-if="next.changes.length > 0" class="mb-2 text-quiet">
    <li v-for="change in next.changes" :key="change.says">{{ show.said(change.says) }}</li>
  </ul>
  <FindingList :findings="next.findings" />
  <p v-if="lagS > 0" class="text-quiet">
    The lamp lags {{ show.number(lagS, 2) }} s: set the timer to {{ lines.map((line) => secondsWords(line.seconds + lagS)).join(' and ') }}.
  </p>
</template>
