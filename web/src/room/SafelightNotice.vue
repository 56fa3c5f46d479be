<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { dim, light } from './light'

const full = ref(document.fullscreenElement !== null)
const follow = () => void (full.value = document.fullscreenElement !== null)
onMounted(() => document.addEventListener('fullscreenchange', follow))
onBeforeUnmount(() => document.removeEventListener('fullscreenchange', follow))
const fill = () => void document.documentElement.requestFullscreen().catch(() => undefined)
const dimBy = (change: number) => void (dim.value = Math.min(0.9, Math.max(0, Math.round((dim.value + change) * 10) / 10)))
</script>

<template>
  <aside
    v-if="light === 'safelight'"
    class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-line px-6 py-1 max-sm:px-4"
    aria-label="Safelight"
  >
    <p>A screen is not a tested safelight: keep paper away until a coin test has passed.</p>
    <p v-if="!full" class="flex items-center gap-3">
      <strong>Not full screen: the browser’s frame still glows.</strong>
      <button class="link min-h-11" @click="fill">Fill the screen</button>
    </p>
    <p class="ml-auto flex items-center gap-2">
      <button class="button button-small" aria-label="Dimmer" @click="dimBy(0.1)">−</button>
      <span class="font-mono">dimmed {{ Math.round(dim * 100) }} %</span>
      <button class="button button-small" aria-label="Brighter" @click="dimBy(-0.1)">+</button>
    </p>
  </aside>
  <div v-else />
</template>
