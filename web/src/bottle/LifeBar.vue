<script setup lang="ts">
import { cssPercent, percent } from '../marks/words'

/** Use and age apart, and what is left. */
const { used, aged } = defineProps<{ used: number; aged: number }>()
</script>

<template>
  <div>
    <div class="flex h-9 overflow-hidden rounded-sm border-2 border-ink" aria-hidden="true">
      <div class="used" :style="{ width: cssPercent(used) }" />
      <div class="aged" :style="{ width: cssPercent(Math.min(aged, 1 - used)) }" />
    </div>
    <p class="mt-1">
      <b>{{ percent(used) }}</b> used · <b>{{ percent(aged) }}</b> aged · <b>{{ percent(Math.max(0, 1 - used - aged)) }}</b> left
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
