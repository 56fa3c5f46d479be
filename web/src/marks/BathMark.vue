<script setup lang="ts">
import { markOf } from '@selvrin/core'
import { computed } from 'vue'

const { family, size = 24 } = defineProps<{ family: string; size?: number }>()
const mark = computed(() => markOf(family))
const shapes: Record<string, string> = {
  circle: 'M12 1a11 11 0 1 0 0 22 11 11 0 0 0 0-22z',
  triangle: 'M12 0.5 24 22.5H0z',
  square: 'M1.5 1.5h21v21h-21z',
  diamond: 'M12 0 24 12 12 24 0 12z',
  pentagon: 'M12 0.5 23.5 9l-4.4 13.5H4.9L.5 9z',
  drop: 'M12 0c4 6.5 9 10 9 15a9 9 0 0 1-18 0c0-5 5-8.5 9-15z',
  hexagon: 'M6 1.500h12L24 12l-6 10.500H6L0 12z',
  'half-circle': 'M0 17a12 14 0 0 1 24 0v3H0z',
  ring: 'M12 1a11 11 0 1 0 0 22 11 11 0 0 0 0-22z',
}
const lower: Record<string, number> = { triangle: 20.5, drop: 19.5, 'half-circle': 17.5 }
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 24 24" aria-hidden="true" class="shrink-0">
    <path
      :d="shapes[mark.shape]"
      :fill="mark.shape === 'ring' ? 'none' : `var(--${mark.colour})`"
      :stroke="`var(--${mark.colour})`"
      :stroke-width="mark.shape === 'ring' ? 2 : 0"
    />
    <text
      x="12"
      :y="lower[mark.shape] ?? 17"
      text-anchor="middle"
      font-weight="800"
      font-size="14"
      :fill="mark.shape === 'ring' ? 'var(--other)' : 'var(--mark-text)'"
    >
      {{ mark.letter }}
    </text>
  </svg>
</template>
