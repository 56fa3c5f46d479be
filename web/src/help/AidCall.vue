<script setup lang="ts">
import { aidWords } from '@selvrin/core'
import { watch } from 'vue'
import { audio, wake } from '../cue/audio'
import { loadWords, playWords } from '../cue/voice'
import { helpAsked } from '../light/dark'
import { light } from '../light/light'
import AidCard from './AidCard.vue'
import { anything, beforeYou } from '../aid/before'
import { learnNumbers } from './numbers'

/** Somebody asked for help. In the dark it is said at once, and the card waits for the gesture that brings light; in every other light it opens. */
async function say(): Promise<void> {
  await wake()
  const context = audio()
  if (!context) return
  const words = aidWords((beforeYou.value[0] ?? anything).of)
  await loadWords(context, words)
  // whoever brought light meanwhile reads it
  if (light.value === 'dark' && helpAsked.value > 0) playWords(context, context.currentTime + 0.05, words)
}
watch(helpAsked, () => void (light.value === 'dark' && say()), { immediate: true })
void learnNumbers()
</script>

<template>
  <AidCard v-if="light !== 'dark'" @close="helpAsked = 0" />
</template>
