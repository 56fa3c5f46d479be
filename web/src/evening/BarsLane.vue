<script setup lang="ts">
import type { Bar } from './lanes'
import type { Zoom } from './useZoom'

/** What shares a place: the closet, the wash, the dryer, the enlargers; one above another where several are there at once. */
const { zoom, rowPx, word } = defineProps<{
  bars: (Bar & { name?: string })[]
  zoom: Zoom
  rowPx: number
  colour: string
  /** drawn as an outline, with letters in ink */
  lined?: boolean
  marked: string | null
  /** in each of them, where they have no name */
  word?: string
}>()
const width = (bar: Bar): number => (bar.toS - bar.fromS) * zoom.pxPerS.value
const said = (bar: { name?: string }): string => bar.name ?? word ?? ''
/** Whether its word has room: a letter is about half as wide as a row is high. */
const fits = (bar: Bar & { name?: string }): boolean => said(bar) !== '' && width(bar) >= rowPx * (0.4 * said(bar).length + 0.6)
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <template v-for="(bar, i) in bars" :key="i">
      <rect
        :x="zoom.x(bar.fromS)"
        :y="4 + bar.row * rowPx"
        :width="Math.max(2, width(bar))"
        :height="rowPx - 3"
        :fill="colour"
        :stroke="bar.load === marked ? 'var(--primary)' : lined ? 'var(--ink)' : 'none'"
        :stroke-width="lined ? 1.5 : 3"
      />
      <text
        v-if="fits(bar)"
        :x="Math.max(zoom.x(bar.fromS), 0) + 5"
        :y="4 + (bar.row + 0.72) * rowPx"
        :font-size="rowPx * (lined ? 0.64 : 0.8)"
        :fill="lined ? 'var(--ink)' : 'var(--ground)'"
        dy="-1"
      >
        {{ said(bar) }}
      </text>
    </template>
  </svg>
</template>
