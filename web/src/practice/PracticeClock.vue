<script setup lang="ts">
import { showTime, troubleAnswers, type TroubleKind } from '@selvrin/core'
import { computed } from 'vue'
import { isDoneKey, useKeys } from '../hand/keys'
import BathMark from '../marks/BathMark.vue'
import { useShow } from '../session/useShow'
import type { Practice } from './usePractice'
import { usePracticeSound } from './usePracticeSound'

/** The clock of a practice: what is in the tank and for how long, the beakers as they stand, and whatever goes wrong. */
const { practice } = defineProps<{ practice: Practice }>()
const { step, elapsedS, plannedS, cue, byHand, away, standing, poured, left, asking, measured, current, asked } = practice
const show = useShow()
const { touched } = usePracticeSound(practice)
useKeys((event) => {
  touched()
  if (isDoneKey(event)) {
    // a button that has the focus is pressed by it
    if (asking.value || (event.target as HTMLElement).closest('button, a')) return false
    if (!event.repeat) practice.next()
    return true
  }
  if (event.key.toLowerCase() === 'a') practice.agitate()
  else if (event.key.toLowerCase() === 't') practice.measure()
  else return false
  return true
})
const remainingS = computed(() => plannedS.value - elapsedS.value)
const bigTime = computed(() => (remainingS.value >= 0 ? showTime(Math.ceil(remainingS.value)) : `+${showTime(-remainingS.value)}`))
const says: Partial<Record<TroubleKind, string>> = {
  doorbell: 'The doorbell rings.',
  'fixer-failed': 'A clip of film took twice as long to clear in this fixer as it should.',
  light: 'The light goes on in the room.',
}
const choices = computed(() => (asking.value ? [...troubleAnswers[asking.value.kind as keyof typeof troubleAnswers]] : []))
/** in an order that gives nothing away */
const shown = computed(() => choices.value.toSorted((a, b) => a.says.localeCompare(b.says)))
</script>

<template>
  <div class="space-y-5" @pointerdown="touched">
    <p class="border-l-4 border-ink pl-4"><b>Practice</b>, {{ asked?.speed }}× as fast. No bottle, record or tank knows of it.</p>
    <div v-if="step" class="flex flex-wrap items-center gap-x-10 gap-y-3">
      <div>
        <h2 class="flex items-center gap-3 text-2xl">
          <BathMark :family="step.family" :size="36" /> <b>{{ step.name }}</b>
        </h2>
        <p class="time font-mono leading-none font-bold" role="timer" :aria-label="`${step.name}, ${bigTime}`" data-practice-time>
          {{ bigTime }}
        </p>
      </div>
      <div class="space-y-3">
        <p class="w-fit border-[5px] border-ink px-6 py-3 text-3xl font-bold" data-cue>{{ remainingS < 0 ? 'Time is up' : cue?.word }}</p>
        <p v-if="measured" class="text-xl" role="status">
          Measured {{ show.temperature(measured.c) }}, planned {{ show.temperature(step.temperatureC) }}.
        </p>
      </div>
    </div>
    <p v-else class="text-2xl">Loaded and closed. Which beaker first?</p>
    <div v-if="away" class="card text-2xl font-bold" role="alert">You are at the door. The clock goes on.</div>
    <div v-else-if="asking" class="card space-y-3" role="alert">
      <p class="text-2xl font-bold">{{ says[asking.kind] }}</p>
      <div class="flex flex-wrap gap-3">
        <button
          v-for="one in shown"
          :key="one.key"
          type="button"
          class="button min-h-14 text-lg"
          @click="practice.answer(asking.kind, one.key)"
        >
          {{ one.says }}
        </button>
      </div>
    </div>
    <section aria-label="Beakers as they stand">
      <ul class="flex flex-wrap gap-3">
        <li v-for="{ i, step: one } in standing" :key="i">
          <button
            type="button"
            class="button flex min-h-20 items-center gap-2 text-lg"
            :class="current?.step === i ? 'button-main' : ''"
            :disabled="away || poured.includes(i)"
            @click="practice.pour(i)"
          >
            <BathMark :family="one.family" /> {{ one.name }}<span v-if="current?.step === i"> in the tank</span
            ><span v-else-if="poured.includes(i)" class="sr-only">, poured</span>
          </button>
        </li>
      </ul>
    </section>
    <div class="flex flex-wrap gap-3">
      <button type="button" class="button button-main min-h-14 px-8 text-lg" :disabled="away" data-next @click="practice.next()">
        {{ left[0] ? `Pour the next as they stand` : 'The film is out' }} <kbd class="ml-2 font-mono text-sm max-sm:hidden">Space</kbd>
      </button>
      <button v-if="byHand" type="button" class="button min-h-14" :disabled="away || !current" @click="practice.agitate()">
        Agitate <kbd class="ml-2 font-mono text-sm max-sm:hidden">A</kbd>
      </button>
      <button type="button" class="button min-h-14" :disabled="away || !current" @click="practice.measure()">
        Temperature <kbd class="ml-2 font-mono text-sm max-sm:hidden">T</kbd>
      </button>
      <button type="button" class="button min-h-14" :disabled="away || !current" @click="practice.finish()">Take the film out</button>
      <button type="button" class="button min-h-14" @click="practice.stop()">Break off</button>
    </div>
    <p v-if="!byHand" class="text-quiet">At this speed no hand follows: agitation is taken as done.</p>
  </div>
</template>

<style scoped>
.time {
  font-size: min(11rem, 26vw, 22dvh);
}
</style>
