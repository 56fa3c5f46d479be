<script setup lang="ts">
import { openingChecks } from '@selvrin/core'
import { computed } from 'vue'
import { useChecks } from '../check/useChecks'

/** What of the darkroom's safety is looked at before anybody opens a bottle. */
const { opensAt } = defineProps<{ opensAt: number }>()
const { fixtures } = useChecks()
const checks = computed(() => openingChecks(fixtures.value, opensAt))
</script>

<template>
  <section v-if="checks.length > 0" class="mb-4 border-l-4 border-alarm pl-3" aria-labelledby="safety-first">
    <h2 id="safety-first" class="text-xl font-bold">Looked at first</h2>
    <ul>
      <li v-for="one in checks" :key="one.id">{{ one.done ? '✓' : '○' }} {{ one.says }}</li>
    </ul>
    <RouterLink v-if="checks.some((one) => !one.done)" to="/sink/checks" class="link inline-flex min-h-11 items-center"
      >To the checks</RouterLink
    >
  </section>
</template>
