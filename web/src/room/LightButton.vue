<script setup lang="ts">
import { cssPercent } from '../marks/words'
import { darker, light } from '../light/light'
import { holdToLighten, wayBack } from './useWayBack'

/** One step darker at a press; the way back is to hold it for two seconds, with a finger or a mouse. */
</script>

<template>
  <button
    v-if="light === 'white'"
    class="min-h-11 cursor-pointer rounded-sm border border-on-bar px-3 focus-visible:outline-on-bar"
    aria-label="White light. Go one step darker"
    @click="darker"
  >
    White
  </button>
  <button
    v-else
    class="relative min-h-11 cursor-pointer touch-none overflow-hidden rounded-sm border-2 border-on-bar px-3 select-none focus-visible:outline-on-bar"
    aria-label="Safelight. Hold for two seconds for white light"
    v-on="holdToLighten"
    @contextmenu.prevent
  >
    <span class="absolute inset-y-0 left-0 bg-on-bar" :style="{ width: cssPercent(wayBack), opacity: 0.6 }" aria-hidden="true" />
    <span class="relative">Safelight</span>
  </button>
</template>
