<script setup lang="ts">
import { markOf } from '@selvrin/core'
import { computed } from 'vue'
import type { Board } from './board'
import type { Tick } from './lanes'
import type { Zoom } from './useZoom'

/** Somebody's hands through the evening: each time they are taken, in the colour of its bath; in one path a colour, however many there are. */
const { lane, zoom, scale, marked } = defineProps<{
  lane: Board['people'][number]
  zoom: Zoom
  /** how much larger than usual letters are */
  scale: number
  /** load whose ticks stand out */
  marked: string | null
}>()
const colourOf = ({ family }: Tick): string => (family === 'loading' ? 'var(--ink)' : `var(--${markOf(family).colour})`)
const inSight = computed(() => lane.ticks.filter(({ fromS, toS }) => toS > zoom.fromS.value && fromS < zoom.toS.value))
/** a tick is seen, however short */
const leastPx = 1.5
const paths = computed(() => {
  const found = new Map<string, string>()
  for (const tick of inSight.value) {
    const key = `${colourOf(tick)}|${tick.load === marked}`
    const [x, w] = [zoom.x(tick.fromS), Math.max(leastPx, (tick.toS - tick.fromS) * zoom.pxPerS.value)]
    const [top, height] = tick.load === marked ? [1, 34] : [6, 24]
    found.set(key, `${found.get(key) ?? ''}M${x.toFixed(1)} ${top * scale}h${w.toFixed(1)}v${height * scale}h${(-w).toFixed(1)}z`)
  }
  return [...found].map(([key, d]) => ({ key, fill: key.split('|')[0] ?? '', d }))
})
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <rect
      v-for="(one, i) in lane.away"
      :key="i"
      :x="zoom.x(one.fromS)"
      y="0"
      :width="(one.toS - one.fromS) * zoom.pxPerS.value"
      height="100%"
      fill="var(--line)"
      opacity="0.6"
    />
    <path v-for="path in paths" :key="path.key" :d="path.d" :fill="path.fill" />
  </svg>
</template>
