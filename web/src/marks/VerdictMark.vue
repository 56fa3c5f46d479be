<script setup lang="ts">
import type { Verdict } from '@selvrin/core'

/** A verdict as a shape and a word: ring keeps, triangle is marginal, filled square failed. */
const { verdict, large = false } = defineProps<{ verdict: Verdict; large?: boolean }>()
const words = { keep: 'Keep', marginal: 'Marginal', failed: 'Failed' }
</script>

<template>
  <span class="flex shrink-0 items-center gap-2" :class="large ? 'text-6xl font-bold' : ''">
    <svg :width="large ? 56 : 22" :height="large ? 56 : 22" viewBox="0 0 22 22" aria-hidden="true">
      <circle v-if="verdict === 'keep'" cx="11" cy="11" r="8.500" fill="none" stroke="currentColor" stroke-width="3" />
      <path v-else-if="verdict === 'marginal'" d="M11 2 20.500 19.500h-19z" fill="none" stroke="var(--alarm)" stroke-width="3" />
      <path v-else d="M2 2h18v18H2z" fill="var(--alarm)" />
      <path v-if="verdict === 'failed'" d="M6 6l10 10M16 6 6 16" stroke="var(--mark-text)" stroke-width="2.5" />
    </svg>
    <span :class="large ? '' : 'sr-only'">{{ words[verdict] }}</span>
  </span>
</template>
