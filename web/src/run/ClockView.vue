<script setup lang="ts">
import { showTime } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import BathMark from '../marks/BathMark.vue'
import { benchHidden } from '../hand/bench'
import { useSession } from '../session/store'
import BathFaults from '../tempering/BathFaults.vue'
import ClockKeys from './ClockKeys.vue'
import ClockNotes from './ClockNotes.vue'
import CueMark from './CueMark.vue'
import HandsNext from './HandsNext.vue'
import OtherwisePanel from './OtherwisePanel.vue'
import TakeOverPanel from './TakeOverPanel.vue'
import { useClocks } from './clocks'
import { afterWords, bigTime, cueWords, describedStep } from './clockWords'
import EndView from './EndView.vue'
import GiveUpPanel from './GiveUpPanel.vue'
import { silent as noSound } from '../cue/audio'
import StepRibbon from './StepRibbon.vue'
import TankTemperature from './TankTemperature.vue'
import { useClockHands } from './useClockHands'

/** The clock of a run: what is in the tank, how long still, what the hands do now and next. */
const { run } = defineProps<{ run: Run }>()
const clocks = useClocks()
const session = useSession()
/** over plain http most browsers cannot, and the page says so */
const wake = useWakeLock()
void wake.request('screen').catch(() => undefined)

const measuring = ref(false)
const givingUp = ref(false)
const changing = ref(false)
const leading = ref(false)
const { clock, step, inside, follows, asking, done, hold, touched } = useClockHands(() => run.id, {
  measure: () => (measuring.value = true),
  lead: () => (leading.value = true),
})
const next = computed(() => (clock.value?.phase === 'before' ? clock.value.course[0] : clock.value?.course[clock.value.step + 1]))
/** what the tempering bath has to be right for: while the tank warms in air, what comes after it */
const bathed = computed(() => (step.value?.liquid === 'air' ? next.value : step.value))
/** other tanks are on at the same time: what the hands do next is one list */
const others = computed(() => clocks.running.filter((one) => one.id !== run.id))
const silent = computed(() => session.person?.sounds !== false && noSound.value)

/** What changed, for those who do not see it: the step, a hold, silence. */
const told = computed(() =>
  [
    clock.value?.phase === 'before' ? `Ready: ${step.value?.name ?? ''}` : (step.value?.name ?? ''),
    clock.value?.holding ? 'held at its end' : '',
    silent.value ? 'silent until you touch the screen or press a key' : '',
  ]
    .filter(Boolean)
    .join(', '),
)
// the last page of a run has the stations below it again
watch(
  () => clock.value?.phase === 'done',
  (done) => void (benchHidden.value = !done),
  { immediate: true },
)
const showBench = () => void (benchHidden.value = false)
onBeforeUnmount(showBench)
onBeforeRouteLeave(showBench)
</script>

<template>
  <EndView v-if="clock?.phase === 'done'" :run="run" :clock="clock" />
  <div v-else-if="clock && step" class="flex h-full flex-col" @pointerdown="touched">
    <div
      class="held flex min-h-0 flex-1 flex-col justify-between gap-[min(0.75rem,1.5cqh)] overflow-y-auto px-10 py-[min(1.25rem,1.5vh)] max-sm:px-4"
      tabindex="0"
      role="region"
      aria-label="Clock"
    >
      <div class="steps flex flex-wrap items-center justify-between gap-x-4">
        <h1 class="flex items-center gap-3">
          <BathMark :family="step.family" :size="44" class="max-h-[10cqh]" /><span
            ><b>{{ step.name }}</b> in {{ describedStep(step) }}</span
          >
        </h1>
        <p v-if="next && clock.phase !== 'before'" class="flex items-center gap-3">
          <span
            >then <b>{{ next.name }}</b>, {{ describedStep(next) }}, {{ showTime(next.seconds) }}</span
          >
          <BathMark :family="next.family" :size="34" class="max-h-[8cqh]" />
        </p>
      </div>
      <p class="sr-only" aria-live="polite" data-told>{{ told }}</p>
      <p
        class="clock text-center font-mono leading-none font-bold"
        role="timer"
        :aria-label="`${step.name}, ${bigTime(clock, step)}`"
        data-clock
      >
        {{ bigTime(clock, step) }}
      </p>
      <div class="flex flex-wrap items-center gap-x-8 gap-y-[min(0.75rem,1vh)]">
        <p class="cue border-[5px] border-ink px-8 py-[min(1rem,1.5vh)] font-bold max-sm:px-4" aria-live="assertive" data-cue>
          {{ cueWords(clock, step) }}
        </p>
        <div class="after min-w-56 flex-1">
          <p>{{ afterWords(clock, step, next) }}</p>
          <ClockNotes v-bind="{ run, clock, step, next, asking, follows, silent }" :stays-on="wake.isSupported.value" />
          <BathFaults v-if="bathed && session.isTechnician" :wanted-c="bathed.temperatureC" :tolerance-c="bathed.toleranceC" />
        </div>
      </div>
      <HandsNext v-if="others.length > 0" few />
      <StepRibbon :plan="{ steps: clock.course }" :step="clock.phase === 'before' ? -1 : clock.step" :elapsed-s="clock.elapsedS" />
    </div>
    <ClockKeys
      v-bind="{ inside, follows }"
      :before="clock.phase === 'before'"
      :holding="clock.holding"
      @done="done"
      @measure="measuring = true"
      @hold="hold"
      @otherwise="changing = true"
      @give-up="givingUp = true"
    />
    <TankTemperature :run-id="run.id" :step="clock.step" :open="measuring" @close="measuring = false" />
    <OtherwisePanel v-bind="{ run, clock }" :open="changing" @close="changing = false" />
    <TakeOverPanel :run="run" :open="leading" @close="leading = false" />
    <GiveUpPanel :run="run" :open="givingUp" @close="givingUp = false" />
    <CueMark :runs="[run.id, ...others.map((one) => one.id)]" />
  </div>
  <p v-else class="station text-quiet">Fetching the clock …</p>
</template>

<style scoped>
/* the time and what to do now stay in sight whatever the size of text: nothing here grows beyond its share of the height */
.held {
  container-type: size;
}
.clock {
  font-size: min(20rem, 27vw, 42cqh);
}
.steps {
  font-size: min(1.875rem, 6.5cqh, 6vw);
}
.cue {
  font-size: min(3rem, 9cqh, 8vw);
}
.after {
  font-size: min(1.5rem, max(5cqh, 14px), 5vw);
}
</style>
