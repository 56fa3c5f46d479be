<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { part } from '../part/part'

/** The pages of the print room, by the address behind it. */
const pages: Record<string, ReturnType<typeof part>> = {
  '': part(() => import('./TraysPage.vue')),
  prints: part(() => import('../print/PrintPage.vue')),
  stock: part(() => import('../printroom/StockPage.vue')),
  timer: part(() => import('../timer/TimerPage.vue')),
  ring: part(() => import('../colour/RingPage.vue')),
  coating: part(() => import('../coat/CoatPage.vue')),
  coated: part(() => import('../coat/CoatedPage.vue')),
  toning: part(() => import('../tone/TonePage.vue')),
  trainer: part(() => import('../colour/TrainerPage.vue')),
  line: part(() => import('../line/LinePage.vue')),
}
const route = useRoute()
const shown = computed(() => pages[String(route.params.page ?? '')] ?? pages[''])
</script>

<template>
  <component :is="shown" :key="route.path" />
</template>
