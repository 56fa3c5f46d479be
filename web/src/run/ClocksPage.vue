<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { useKeys } from '../hand/keys'
import { useClocks } from './clocks'
import { afterWords, bigTime, cueWords } from './clockWords'
import ClockNotes from './ClockNotes.vue'
import CueMark from './CueMark.vue'
import HandsNext from './HandsNext.vue'
import TakeOverPanel from './TakeOverPanel.vue'
import TankTemperature from './TankTemperature.vue'
import { useClockHands } from './useClockHands'
import { silent } from '../cue/audio'
import { benchHidden } from '../hand/bench'

/** Every running clock on one screen. Space, H and T belong to the one that is chosen, by the arrow keys or a tap; it never changes by itself. */
const clocks = useClocks()
const wake = useWakeLock()
void wake.request('screen').catch(() => undefined)
const chosen = ref<string | null>(null)
const measuring = ref(false)
const leading = ref(false)
const ids = computed(() => clocks.running.map((one) => one.id))
watch(
  ids,
  (now) => {
    if (chosen.value === null || !now.includes(chosen.value)) chosen.value = now[0] ?? null
  },
  { immediate: true },
)
const { asking, follows, done, hold } = useClockHands(() => chosen.value, {
  measure: () => (measuring.value = true),
  lead: () => (leading.value = true),
})
useKeys((event) => {
  const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key]
  if (step === undefined || ids.value.length === 0) return false
  const i = ids.value.indexOf(chosen.value ?? '')
  chosen.value = ids.value[(i + step + ids.value.length) % ids.value.length] ?? null
  return true
})
// the stations are below again when nothing runs
watch(
  () => ids.value.length === 0,
  (none) => void (benchHidden.value = !none),
  { immediate: true },
)
onBeforeUnmount(() => void (benchHidden.value = false))
const faces = computed(() =>
  ids.value.flatMap((id) => {
    const [run, clock] = [clocks.runs.get(id), clocks.clockOf(id)]
    const step = clock?.course[clock.step]
    return run && clock && step ? [{ id, run, clock, step, next: clock.course[clock.step + 1] }] : []
  }),
)
const mine = computed(() => faces.value.find((face) => face.id === chosen.value))
const pressWords = (id: string): string => (id !== chosen.value ? 'Choose' : clocks.ledBy(id) === null ? 'Done, next' : 'Take it over')
function press(id: string): void {
  if (chosen.value === id) done()
  else chosen.value = id
}
</script>

<template>
  <div class="flex h-full flex-col max-lg:h-auto">
    <h1 class="sr-only">Clocks</h1>
    <p v-if="faces.length === 0" class="station text-xl">
      No clock runs now. <RouterLink to="/tanks" class="link">To the tanks</RouterLink>
    </p>
    <ul
      class="grid min-h-0 flex-1 auto-rows-[minmax(min-content,1fr)] gap-4 overflow-y-auto px-6 py-4"
      :class="faces.length > 1 ? 'lg:grid-cols-2' : ''"
    >
      <li
        v-for="{ id, run, clock, step, next } in faces"
        :key="id"
        class="face flex flex-col justify-between gap-3 border-ink px-5 py-3"
        :class="id === chosen ? 'border-[6px]' : 'border'"
        :aria-current="id === chosen"
        @click="chosen = id"
      >
        <h2 class="flex flex-wrap items-center gap-x-3 text-2xl">
          <BathMark :family="step.family" :size="34" /> <b>Run {{ run.number }}</b> {{ run.vessel }}, {{ step.name
          }}<span v-if="next" class="ml-auto text-lg">then {{ next.name }}</span>
        </h2>
        <div class="space-y-3">
          <p
            class="time font-mono leading-none font-bold"
            role="timer"
            :aria-label="`Run ${run.number}, ${step.name}, ${bigTime(clock, step)}`"
          >
            {{ bigTime(clock, step) }}
          </p>
          <div>
            <p class="cue font-bold">{{ cueWords(clock, step) }}</p>
            <p class="text-lg">{{ afterWords(clock, step, next) }}</p>
          </div>
        </div>
        <div class="flex flex-wrap gap-3">
          <button
            class="button min-h-12"
            :class="id === chosen ? 'button-main' : ''"
            :aria-label="`${pressWords(id)}: run ${run.number}`"
            @click.stop="press(id)"
          >
            {{ pressWords(id) }}
          </button>
          <RouterLink :to="`/tanks/${id}`" class="link inline-flex min-h-12 items-center" @click.stop>Its own clock</RouterLink>
        </div>
      </li>
    </ul>
    <div v-if="mine" class="border-t-[3px] border-ink bg-panel px-6 py-2 text-lg">
      <div class="flex flex-wrap items-center gap-x-6">
        <p>
          Space, H H and T: <b>run {{ mine.run.number }}</b
          >. Arrow keys choose.
        </p>
        <button class="link min-h-11" :disabled="follows" @click="hold">
          {{ mine.clock.holding ? 'Do not hold' : 'Hold at end of step' }}
        </button>
        <ClockNotes
          v-bind="{ run: mine.run, clock: mine.clock, step: mine.step, next: mine.next, asking, follows, silent }"
          :stays-on="wake.isSupported.value"
        />
      </div>
      <HandsNext v-if="faces.length > 1" />
    </div>
    <template v-if="mine">
      <TankTemperature :run-id="mine.id" :step="mine.clock.step" :open="measuring" @close="measuring = false" />
      <TakeOverPanel :run="mine.run" :open="leading" @close="leading = false" />
    </template>
    <CueMark :runs="ids" />
  </div>
</template>

<style scoped>
.face {
  container-type: inline-size;
}
.time {
  font-size: min(13rem, 28cqw, 21dvh);
}
.cue {
  font-size: min(3rem, 8cqw);
}
</style>
