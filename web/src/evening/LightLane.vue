<script setup lang="ts">
import type { LitSpan } from './lanes'
import type { Zoom } from './useZoom'

/** The light of a room through the evening, where something asks for one: dark filled, a safelight outlined. */
const { zoom, scale } = defineProps<{ spans: LitSpan[]; zoom: Zoom; scale: number }>()
const width = ({ fromS, toS }: LitSpan): number => Math.max(2, (toS - fromS) * zoom.pxPerS.value)
</script>

<template>
  <svg class="absolute inset-0 size-full" aria-hidden="true">
    <template v-for="(one, i) in spans" :key="i">
      <rect
        :x="zoom.x(one.fromS)"
        y="3"
        :width="width(one)"
        :height="16 * scale"
        :fill="one.light === 'dark' ? 'var(--ink)' : 'var(--panel)'"
        :stroke="one.light === 'dark' ? 'none' : one.light === 'white' ? 'var(--ink)' : 'var(--alarm)'"
        stroke-width="2"
      />
      <text
        v-if="width(one) > 8 * scale * one.light.length"
        :x="Math.max(zoom.x(one.fromS), 0) + 5"
        :y="3 + 12.5 * scale"
        :font-size="13 * scale"
        :fill="one.light === 'dark' ? 'var(--ground)' : 'var(--ink)'"
      >
        {{ one.light }}
      </text>
    </template>
  </svg>
</template>
