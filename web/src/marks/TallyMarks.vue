<script setup lang="ts">
import { computed } from 'vue'

/** Strokes in fives, as on the tape; beyond what fits the number says it. */
const { count, most = 25 } = defineProps<{ count: number; most?: number }>()
const whole = computed(() => Math.round(count))
const shown = computed(() => Math.min(whole.value, most))
const strokes = computed(() =>
  Array.from({ length: shown.value }, (_, i) => ({ x: Math.floor(i / 5) * 28 + (i % 5) * 5.5, across: i % 5 === 4 })),
)
const width = computed(() => Math.floor(Math.max(shown.value - 1, 0) / 5) * 28 + 24)
</script>

<template>
  <span class="inline-flex items-center gap-1" role="img" :aria-label="`${whole} used`">
    <svg v-if="shown > 0" :width="width" height="17" :viewBox="`0 0 ${width} 17`" aria-hidden="true">
      <path
        v-for="(stroke, i) in strokes"
        :key="i"
        :d="stroke.across ? `M${stroke.x - 24} 14L${stroke.x - 1} 3` : `M${stroke.x + 2} 2v13`"
        stroke="currentColor"
        stroke-width="2"
        fill="none"
      />
    </svg>
    <span v-if="whole > most" class="text-sm font-semibold">{{ whole }}</span>
  </span>
</template>
