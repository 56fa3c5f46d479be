<script setup lang="ts">
import { signFrame, signs, type Pictogram, type SignLayer } from '@selvrin/core'

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
const fill: Record<SignLayer['paint'], string> = { ink: 'var(--ink)', blank: 'var(--panel)', line: 'none' }
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 100 100" role="img" :aria-label="names[sign]" class="shrink-0">
    <path :d="signFrame" fill="var(--panel)" stroke="var(--alarm)" stroke-width="6" stroke-linejoin="round" />
    <path
      v-for="layer in signs[sign]"
      :key="layer.path"
      :d="layer.path"
      :fill="fill[layer.paint]"
      :stroke="layer.paint === 'line' ? 'var(--ink)' : 'none'"
      :stroke-width="layer.width"
      stroke-linecap="round"
    />
  </svg>
</template>
