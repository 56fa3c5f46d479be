<script setup lang="ts">
import { computed } from 'vue'
import { cssPercent } from '../marks/words'
import { lifeShares } from './lifeWords'

/** Use and age apart, and what is left. */
const { used, aged } = defineProps<{ used: number; aged: number }>()
const shares = computed(() => lifeShares(used, aged))
</script>

<template>
  <div>
    <div class="flex h-9 overflow-hidden rounded-sm border-2 border-ink" aria-hidden="true">
      <div class="used" :style="{ width: cssPercent(used) }" />
      <div class="aged" :style="{ width: cssPercent(Math.min(aged, 1 - used)) }" />
    </div>
    <p class="mt-1">
      <b>{{ shares.used }} %</b> used · <b>{{ shares.aged }} %</b> aged · <b>{{ shares.left }} %</b> left
    </p>
  </div>
</template>

<style scoped>
.used {
  background: var(--ink);
}
.aged {
  background: repeating-linear-gradient(135deg, var(--ink) 0 3px, var(--panel) 3px 8px);
}
</style>
