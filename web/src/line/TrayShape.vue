<script setup lang="ts">
import { markOf, type TrayRole } from '@selvrin/core'
import { computed, useId } from 'vue'
import { roleFamily } from './lineWords'

/** A tray from the side: what is in it, and how much of its life is gone as the part that is crossed out. */
const { role, share } = defineProps<{ role: TrayRole; share: number | null }>()
const id = useId()
const colour = computed(() => `var(--${markOf(roleFamily(role)).colour})`)
const liquid = 'M18 18h164l-10 34H28z'
const gone = computed(() => 164 * Math.min(1, share ?? 0))
</script>

<template>
  <svg viewBox="0 0 200 62" class="w-full" aria-hidden="true">
    <defs>
      <clipPath :id="`${id}-liquid`"><path :d="liquid" /></clipPath>
      <clipPath :id="`${id}-gone`"><rect x="18" y="0" :width="gone" height="62" /></clipPath>
    </defs>
    <path :d="liquid" :fill="colour" />
    <g v-if="gone > 0" :clip-path="`url(#${id}-liquid)`">
      <g :clip-path="`url(#${id}-gone)`">
        <rect x="0" y="0" width="200" height="62" fill="var(--panel)" />
        <path v-for="x in 18" :key="x" :d="`M${x * 12 + 4} 14 ${x * 12 - 12} 56`" stroke="var(--ink)" stroke-width="2" />
      </g>
    </g>
    <path d="M4 6h12l14 48h140l14-48h12" fill="none" stroke="var(--ink)" stroke-width="4" stroke-linejoin="round" />
  </svg>
</template>
