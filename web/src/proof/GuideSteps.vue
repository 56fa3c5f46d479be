<script setup lang="ts">
import { showTime, type Guide } from '@selvrin/core'
import { computed, ref, watch } from 'vue'
import { isDoneKey, useKeys } from '../hand/keys'
import { useStopwatch } from './useStopwatch'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'

const show = useShow()
const session = useSession()
/** The procedure, one step at a time and large: with its timer, or the stopwatch the reading is taken on. Space goes on. */
const { guide, normalS } = defineProps<{ guide: Guide; normalS: number | null }>()
const emit = defineEmits<{ done: [seconds: number | null] }>()
const at = ref(0)
const watchS = ref<number | null>(null)
const step = computed(() => guide.steps[at.value])
const forS = computed(() => step.value?.seconds ?? (step.value?.normalTime ? normalS : null))
const stopwatch = useStopwatch()
watch(at, () => stopwatch.reset())
const timed = computed(() => step.value?.stopwatch === true || (forS.value ?? 0) > 0)
const leftS = computed(() => Math.max(0, (forS.value ?? 0) - stopwatch.elapsedS.value))
const says = computed(() => {
  if (!timed.value) return at.value === guide.steps.length - 1 ? 'Done, read it' : 'Done, next'
  if (stopwatch.startedAt.value === null) return 'Start'
  if (step.value?.stopwatch) return stopwatch.running.value ? 'Stop' : 'Done, read it'
  return leftS.value > 0 ? 'Running: next all the same' : 'Time is up: next'
})
function next(): void {
  if (at.value === guide.steps.length - 1) emit('done', watchS.value)
  else at.value++
}
function press(): void {
  if (timed.value && stopwatch.startedAt.value === null) stopwatch.start()
  else if (step.value?.stopwatch && stopwatch.running.value) {
    stopwatch.stop()
    watchS.value = Math.round(stopwatch.elapsedS.value * 10) / 10
  } else next()
}
useKeys((event) => {
  if (event.key.toLowerCase() === 'r' && session.person?.letterKeys !== false) {
    emit('done', watchS.value)
    return true
  }
  if (!isDoneKey(event) || (event.target as HTMLElement).tagName === 'BUTTON') return false
  press()
  return true
})
</script>

<template>
  <div>
    <ol class="mb-4 flex flex-wrap gap-x-4 text-quiet">
      <li
        v-for="(_, i) in guide.steps"
        :key="i"
        :class="i === at ? 'font-bold text-ink underline underline-offset-4' : ''"
        :aria-current="i === at ? 'step' : undefined"
      >
        Step {{ i + 1 }}{{ i < at ? ' ✓' : '' }}
      </li>
    </ol>
    <p class="max-w-4xl text-4xl leading-tight font-bold max-sm:text-2xl">{{ show.said(step?.says ?? '') }}</p>
    <p v-if="timed" class="my-5 font-mono text-8xl font-bold max-sm:text-6xl" role="timer">
      {{ step?.stopwatch ? showTime(Math.floor(stopwatch.elapsedS.value)) : showTime(Math.ceil(leftS)) }}
      <span v-if="step?.stopwatch && !stopwatch.running.value && watchS !== null" class="text-3xl">{{ digits(watchS, 1) }} s</span>
    </p>
    <p v-else-if="step?.normalTime" class="my-5 text-2xl">Its normal time is that of the chart or the process.</p>
    <div class="mt-6 flex flex-wrap items-center gap-4">
      <button class="button button-main min-h-16 px-8 text-xl" @click="press">{{ says }}</button>
      <button
        v-if="step?.stopwatch && stopwatch.startedAt.value !== null && !stopwatch.running.value"
        class="button"
        @click="stopwatch.reset()"
      >
        Take it again
      </button>
      <button v-if="at > 0" class="link min-h-12" @click="at--">Back</button>
      <button class="link min-h-12" @click="emit('done', watchS)">I know the reading: skip to it <kbd class="font-mono">R</kbd></button>
    </div>
  </div>
</template>
