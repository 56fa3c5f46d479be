<script setup lang="ts">
import { computed } from 'vue'
import { useShow } from '../session/useShow'
import type { Board } from './board'
import type { Zoom } from './useZoom'

/** The temperature of a bath through the evening, what is asked of it, and when it has to be switched. */
const { lane, zoom, scale, clock } = defineProps<{
  lane: Board['baths'][number]
  zoom: Zoom
  scale: number
  clock: (s: number) => string
}>()
const show = useShow()
const height = computed(() => 64 * scale)
const edge = computed(() => 14 * scale)
const low = computed(() => Math.min(...lane.points.map((one) => one.c), 18))
const high = computed(() => Math.max(...lane.points.map((one) => one.c), low.value + 4))
const y = (c: number): number => height.value - edge.value - ((c - low.value) / (high.value - low.value)) * (height.value - 2 * edge.value)
const line = computed(() => lane.points.map(({ s, c }, i) => `${i === 0 ? 'M' : 'L'}${zoom.x(s).toFixed(1)} ${y(c).toFixed(1)}`).join(''))
/** Where it begins to move: somebody sets it there. */
const turns = computed(() =>
  lane.points.slice(0, -1).flatMap((one, i) => {
    const next = lane.points[i + 1]
    return next && Math.abs(next.c - one.c) > 0.05 ? [{ s: one.s, x: zoom.x(one.s), c: next.c }] : []
  }),
)
const bands = computed(() =>
  lane.asked.map(({ fromS, toS, lowC, highC }) => ({
    ...{ x: zoom.x(fromS), width: (toS - fromS) * zoom.pxPerS.value },
    ...{ y: y(highC) - 3, height: Math.max(6, y(lowC) - y(highC) + 6), says: `${show.temperature((lowC + highC) / 2)}` },
  })),
)
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <rect
      v-for="(band, i) in bands"
      :key="i"
      :x="band.x"
      :y="band.y"
      :width="band.width"
      :height="band.height"
      fill="var(--wash)"
      opacity="0.22"
    />
    <path :d="line" fill="none" stroke="var(--ink)" stroke-width="2.5" stroke-linejoin="round" />
    <text v-for="(turn, i) in turns" :key="`t${i}`" :x="turn.x + 4" :y="height - 3" :font-size="13 * scale" fill="var(--quiet)">
      to {{ show.temperature(turn.c) }} from {{ clock(turn.s) }}
    </text>
  </svg>
</template>
