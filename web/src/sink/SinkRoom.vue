<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { part } from '../part/part'

/** The pages of the sink, by the address behind it. */
const pages: Record<string, ReturnType<typeof part>> = {
  '': part(() => import('./SinkPage.vue')),
  drums: part(() => import('./DrumPage.vue')),
  collections: part(() => import('./CollectionsPage.vue')),
  silver: part(() => import('./SilverPage.vue')),
  drain: part(() => import('./DrainPage.vue')),
  facts: part(() => import('./FactsPage.vue')),
  checks: part(() => import('../check/ChecksPage.vue')),
  spills: part(() => import('./SpillsPage.vue')),
  year: part(() => import('./YearPage.vue')),
  lines: part(() => import('./LinesPage.vue')),
}
const route = useRoute()
const shown = computed(() => pages[String(route.params.page ?? '')] ?? pages[''])
</script>

<template>
  <component :is="shown" :key="route.path" />
</template>
