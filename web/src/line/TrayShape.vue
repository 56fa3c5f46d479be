<script setup lang="ts">
import { markOf } from '@selvrin/core'
import { computed } from 'vue'
import { roleFamily } from './lineWords'
import type { TrayRole } from '@selvrin/core'

/** A tray from the front, as wide as its share of the row: what is in it, and how much of its life is gone as the part of the liquid that is hatched. */
const { role, share } = defineProps<{ role: TrayRole; share: number | null }>()
const colour = computed(() => `var(--${markOf(roleFamily(role)).colour})`)
const gone = computed(() => 164 * Math.min(1, share ?? 0))
</script>

<template>
  <svg viewBox="0 0 200 62" class="w-full" aria-hidden="true" preserveAspectRatio="none">
    <path d="M18 18h164l-10 34H28z" :fill="colour" />
    <!-- what is used up of it is crossed out from the left -->
    <g v-if="gone > 0" :style="{ clipPath: 'polygon(18px 18px, 182px 18px, 172px 52px, 28px 52px)' }">
      <rect x="18" y="18" :width="gone" height="34" fill="var(--panel)" />
      <path
        v-for="x in 16"
        :key="x"
        :d="`M${x * 12} 14 ${x * 12 - 16} 56`"
        stroke="var(--ink)"
        stroke-width="2"
        :style="{ clipPath: `polygon(0 0, ${18 + gone}px 0, ${18 + gone}px 62px, 0 62px)` }"
      />
    </g>
    <path
      d="M4 6h12l14 48h140l14-48h12"
      fill="none"
      stroke="var(--ink)"
      stroke-width="4"
      stroke-linejoin="round"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
