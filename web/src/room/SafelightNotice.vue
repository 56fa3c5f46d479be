<script setup lang="ts">
import { useFullscreen } from '@vueuse/core'
import { dim, openFilm } from '../light/light'
import { fogWarning } from '../light/dark'

const { isFullscreen: full, enter } = useFullscreen()
const fill = () => void enter().catch(() => undefined)
const dimBy = (change: number) => void (dim.value = Math.min(0.9, Math.max(0, Math.round((dim.value + change) * 10) / 10)))
</script>

<template>
  <aside class="flex flex-wrap items-center gap-x-3 border-b border-line px-6 text-[15px] max-sm:px-4" aria-label="Safelight">
    <p>A screen is no tested safelight until its coin test.</p>
    <p v-if="!full"><strong>Not full screen, the frame glows:</strong> <button class="link min-h-11" @click="fill">fill it</button></p>
    <p v-if="fogWarning && openFilm" class="font-bold" role="alert">
      White light would fog {{ openFilm }}. Hold once more, if you mean it.
    </p>
    <p>White again: hold <b>Safelight</b> two seconds, or L and Enter one.</p>
    <p class="ml-auto flex items-center">
      <button class="min-h-11 min-w-11 cursor-pointer text-2xl font-bold" aria-label="Dimmer" @click="dimBy(0.1)">−</button>
      <span class="font-mono">dimmed {{ Math.round(dim * 100) }} %</span>
      <button class="min-h-11 min-w-11 cursor-pointer text-2xl font-bold" aria-label="Brighter" @click="dimBy(-0.1)">+</button>
    </p>
  </aside>
</template>
