<script setup lang="ts">
import type { Pictogram } from '@selvrin/core'

/** A pictogram of the harmonised system, drawn by us: a diamond with its sign. */
const { sign, size = 44 } = defineProps<{ sign: Pictogram; size?: number }>()
const names: Record<Pictogram, string> = {
  flame: 'Flammable',
  'flame-over-circle': 'Oxidiser',
  corrosion: 'Corrosive',
  skull: 'Toxic',
  health: 'Serious health hazard',
  exclamation: 'Harmful or irritant',
  environment: 'Dangerous for the environment',
}
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 100 100" role="img" :aria-label="names[sign]" class="shrink-0">
    <path d="M50 3 97 50 50 97 3 50z" fill="var(--panel)" stroke="var(--alarm)" stroke-width="6" stroke-linejoin="round" />
    <g fill="var(--ink)" stroke="none">
      <path
        v-if="sign === 'flame'"
        d="M51 20c4 12 17 17 17 32 0 7-4 13-9 16 3-8 0-15-6-19 1 8-2 12-6 15-1-4-3-6-6-8-1 5-1 9 2 13-7-3-12-9-12-17 0-14 19-17 20-32zM32 74h36v4H32z"
      />
      <g v-else-if="sign === 'flame-over-circle'">
        <circle cx="50" cy="64" r="12" fill="none" stroke="var(--ink)" stroke-width="6" />
        <path d="M51 16c3 9 12 13 12 23 0 5-2 9-5 11 1-5-1-10-5-13 0 6-2 9-5 12-4-2-10-4-10-11 0-9 12-13 13-22zM33 80h34v4H33z" />
      </g>
      <g v-else-if="sign === 'corrosion'">
        <path d="M26 36l18-10 3 5-18 10zM42 40l3 6-3 6-3-6zM36 52l2 5-2 5-3-5z" />
        <path d="M24 66h26v5c-3 0-5 2-6 5H24zM53 34l18-9 3 5-18 10zM66 40l3 5-3 5-3-5z" />
        <path d="M54 66c6-8 18-10 24-6v6c-4 0-8 3-9 7-2-3-5-3-7 0-2-3-6-4-8-1z" />
      </g>
      <g v-else-if="sign === 'skull'">
        <path d="M50 22c13 0 20 8 20 18 0 7-4 11-8 13v7H38v-7c-4-2-8-6-8-13 0-10 7-18 20-18z" />
        <circle cx="42" cy="41" r="5" fill="var(--panel)" />
        <circle cx="58" cy="41" r="5" fill="var(--panel)" />
        <path d="M47 50h6l-3-5z" fill="var(--panel)" />
        <path d="M28 62l44 14M72 62 28 76" stroke="var(--ink)" stroke-width="5" stroke-linecap="round" />
      </g>
      <g v-else-if="sign === 'health'">
        <circle cx="50" cy="29" r="9" />
        <path d="M30 78c0-24 6-36 20-36s20 12 20 36z" />
        <path d="M50 48l4 9 9-3-5 8 8 5-9 1 1 9-8-6-8 6 1-9-9-1 8-5-5-8 9 3z" fill="var(--panel)" />
      </g>
      <path v-else-if="sign === 'exclamation'" d="M44 24h12l-3 34h-6zM45 66h10v10H45z" />
      <g v-else>
        <path d="M20 74h60v4H20zM36 74V44l-8-9 3-3 7 8V28h4v18l9-10 3 3-12 14v21z" />
        <path d="M52 66c6-8 16-8 22 0l4-4v10l-4-4c-6 6-16 6-22-2z" />
      </g>
    </g>
  </svg>
</template>
