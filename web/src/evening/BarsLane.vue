<script setup lang="ts">
import { computed } from 'vue'
import type { Bar } from './board'
import type { Zoom } from './useZoom'

/** What shares a place: the closet, the wash, the dryer; one above another where several are there at once. */
const { bars, zoom, scale } = defineProps<{
  bars: Bar[]
  zoom: Zoom
  scale: number
  colour: string
  marked: string | null
  word?: string
}>()
const rowPx = computed(() => 16 * scale)
/** px its word needs */
const wordPx = computed(() => 34 * scale)
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <template v-for="(bar, i) in bars" :key="i">
      <rect
        :x="zoom.x(bar.fromS)"
        :y="4 + bar.row * rowPx"
        :width="Math.max(2, (bar.toS - bar.fromS) * zoom.pxPerS.value)"
        :height="rowPx - 3"
        :fill="colour"
        :stroke="bar.load === marked ? 'var(--primary)' : 'none'"
        stroke-width="3"
      />
      <text
        v-if="word && (bar.toS - bar.fromS) * zoom.pxPerS.value >= wordPx"
        :x="zoom.x(bar.fromS) + 5"
        :y="rowPx - 2 + bar.row * rowPx"
        :font-size="13 * scale"
        fill="var(--ground)"
      >
        {{ word }}
      </text>
    </template>
  </svg>
</template>
