<script setup lang="ts">
import { computed } from 'vue'
import type { Board } from './board'
import type { Zoom } from './useZoom'

/** Who prints when, an enlarger a row. */
const { bars, zoom, scale } = defineProps<{ bars: Board['prints']; zoom: Zoom; scale: number }>()
const rowPx = computed(() => 22 * scale)
const width = (bar: Board['prints'][number]): number => Math.max(2, (bar.toS - bar.fromS) * zoom.pxPerS.value)
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <template v-for="bar in bars" :key="bar.load">
      <rect
        :x="zoom.x(bar.fromS)"
        :y="4 + bar.row * rowPx"
        :width="width(bar)"
        :height="rowPx - 4"
        fill="var(--panel)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <text
        v-if="width(bar) > 8 * scale * bar.name.length"
        :x="Math.max(zoom.x(bar.fromS), 0) + 6"
        :y="rowPx - 5 * scale + bar.row * rowPx"
        :font-size="14 * scale"
        fill="var(--ink)"
      >
        {{ bar.name }}
      </text>
    </template>
  </svg>
</template>
