<script setup lang="ts">
import { showTime, type PlanStep } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { useEventListener, useWakeLock } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { onBeforeRouteLeave, useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import { benchHidden } from '../hand/bench'
import { isDoneKey, typing } from '../hand/keys'
import { darker } from '../light/light'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useClocks } from './clocks'
import EndView from './EndView.vue'
import { silent as noSound, wake as wakeSound } from './sound'
import StepRibbon from './StepRibbon.vue'

const { run } = defineProps<{ run: Run }>()
const clocks = useClocks()
const session = useSession()
const show = useShow()
const router = useRouter()
/** over plain http most browsers cannot, and the page says so */
const wake = useWakeLock()
void wake.request('screen').catch(() => undefined)
const { busy, problem, act } = useAction()

const clock = computed(() => clocks.clockOf(run.id))
const steps = computed(() => run.plan.steps)
const step = computed((): PlanStep | undefined => steps.value[clock.value?.step ?? 0])
const next = computed((): PlanStep | undefined =>
  clock.value?.phase === 'before' ? steps.value[0] : steps.value[(clock.value?.step ?? 0) + 1],
)
const inside = computed(() => clock.value?.phase === 'running' || clock.value?.phase === 'over')
const silent = computed(() => session.person?.sounds !== false && noSound.value)

const described = (one: PlanStep | undefined) =>
  one?.bottle ? `${one.bottle.label}${one.bottle.parts.length > 1 ? `, ${one.bottle.parts.join('+')}` : ''}` : (one?.bath ?? '')
const big = computed(() => {
  if (!clock.value) return ''
  if (clock.value.phase === 'before') return showTime(step.value?.seconds ?? 0)
  return clock.value.remainingS > 0 ? showTime(Math.ceil(clock.value.remainingS)) : `+${showTime(-clock.value.remainingS)}`
})
const cue = computed(() => {
  const state = clock.value
  if (!state) return ''
  if (state.phase === 'before') return `Pour in: ${step.value?.name ?? ''}`
  if (state.phase === 'over') return state.holding ? 'Held' : 'Time is up'
  return state.cue?.word ?? ''
})
const after = computed(() => {
  const state = clock.value
  if (!state) return ''
  if (state.phase === 'before') return 'Press Space as the pour begins; the clock runs from there.'
  if (state.phase === 'over')
    return next.value ? `Pour ${next.value.name} when you are ready, and press Space.` : 'Press Space when it is out.'
  const until = state.cue
    ? showTime(Math.max(0, Math.ceil((state.times.at(-1)?.plannedS ?? step.value?.seconds ?? 0) - state.cue.untilS)))
    : ''
  return state.next
    ? `until ${until}, then ${state.next.word.toLowerCase()}`
    : next.value
      ? step.value?.waits
        ? `then ${next.value.name} is ready`
        : `then ${next.value.name} goes in at once`
      : 'then out'
})

// ---- what the hands do
const asking = ref(false)
let askingUntil = 0
function done(): void {
  const state = clock.value
  touched()
  if (!state || !step.value) return
  if (state.phase === 'before') void clocks.note(run.id, { kind: 'start', step: 0 })
  else if (inside.value) {
    const early = state.remainingS > step.value.drainS && !step.value.waits
    if (early && now() > askingUntil) {
      asking.value = true
      askingUntil = now() + 3000
      return
    }
    askingUntil = 0
    void clocks.note(run.id, { kind: 'next', step: state.step })
  }
  asking.value = false
}
watch(
  () => clocks.time,
  (time) => {
    if (asking.value && time > askingUntil) asking.value = false
  },
)
const hold = () => {
  touched()
  if (inside.value && clock.value) void clocks.note(run.id, { kind: clock.value.holding ? 'unhold' : 'hold', step: clock.value.step })
}
const measuring = ref(false)
const measured = ref<number | null>(null)
async function keepTemperature(): Promise<void> {
  if (measured.value === null) return
  await clocks.note(run.id, { kind: 'temperature', step: clock.value?.step ?? 0, celsius: measured.value })
  measured.value = null
  measuring.value = false
}
const moved = computed(() => {
  const found = clock.value?.times.at(-1)?.moved
  return found && Math.abs(found.byS) >= 1 ? found : null
})
const lastMeasured = computed(() => (clocks.events.get(run.id) ?? []).findLast((event) => event.kind === 'temperature')?.celsius)

let lastH = 0
function onKey(event: KeyboardEvent): void {
  if (typing(event)) return
  const letters = session.person?.letterKeys !== false
  if (isDoneKey(event)) {
    // Space on a button one went to with Tab presses that button; everywhere else it belongs to the clock, and PageDown always
    if (event.key === ' ' && (event.target as HTMLElement).closest('button, summary')) return
    event.preventDefault()
    if (event.type === 'keydown' && !event.repeat) done()
  } else if (event.type === 'keydown' && letters && !event.repeat && event.key.toLowerCase() === 'h') {
    if (now() - lastH < 1000) {
      lastH = 0
      hold()
    } else lastH = now()
  } else if (event.type === 'keydown' && letters && event.key.toLowerCase() === 't') {
    event.preventDefault()
    measuring.value = true
  }
}

/** A button that was pressed with a pointer does not keep the focus: the next Space is the clock's. */
function letGo(event: MouseEvent): void {
  if (event.detail > 0 && document.activeElement instanceof HTMLElement && document.activeElement.tagName === 'BUTTON')
    document.activeElement.blur()
}
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

// ---- sound, vibration, wake lock
function touched(): void {
  if (session.person?.sounds !== false) wakeSound()
}
watch(
  () => clock.value?.cue?.word,
  (word) => void (word && inside.value && navigator.vibrate?.([120, 60, 120])),
)

// the last page of a run has the stations below it again
watch(
  () => clock.value?.phase === 'done',
  (done) => void (benchHidden.value = !done),
  { immediate: true },
)

const guard = (event: BeforeUnloadEvent) => {
  if (inside.value) event.preventDefault()
}
useEventListener(document, ['keydown', 'keyup'], onKey)
useEventListener(document, 'click', letGo)
useEventListener(window, 'beforeunload', guard)
onBeforeUnmount(() => {
  benchHidden.value = false
  void wake.release()
})
onBeforeRouteLeave(() => {
  benchHidden.value = false
})

const givingUp = ref(false)
const why = ref('')
async function giveUp(): Promise<void> {
  const good = await act(() =>
    call(api.run.abandon, {
      params: { id: run.id },
      // what this device knows goes along: it says which baths the film was in
      body: { version: run.version, at: Math.round(now()), reason: why.value, events: (clocks.events.get(run.id) ?? []).slice(-200) },
    }),
  )
  if (good) await router.push('/tanks')
}
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
          <BathMark :family="step.bath === 'water' ? 'wash' : step.bath" :size="44" class="max-h-[10cqh]" /><span
            ><b>{{ step.name }}</b> in {{ described(step) }}</span
          >
        </h1>
        <p v-if="next && clock.phase !== 'before'" class="flex items-center gap-3">
          <span
            >then <b>{{ next.name }}</b>, {{ described(next) }}, {{ showTime(next.seconds) }}</span
          >
          <BathMark :family="next.bath === 'water' ? 'wash' : next.bath" :size="34" class="max-h-[8cqh]" />
        </p>
      </div>
      <p class="sr-only" aria-live="polite" data-told>{{ told }}</p>
      <p class="clock text-center font-mono leading-none font-bold" role="timer" :aria-label="`${step.name}, ${big}`" data-clock>
        {{ big }}
      </p>
      <div class="flex flex-wrap items-center gap-x-8 gap-y-[min(0.75rem,1vh)]">
        <p class="cue border-[5px] border-ink px-8 py-[min(1rem,1.5vh)] font-bold max-sm:px-4" aria-live="assertive" data-cue>
          {{ cue }}
        </p>
        <div class="after min-w-56 flex-1">
          <p>{{ after }}</p>
          <p v-if="asking" class="font-bold" role="alert">
            {{ showTime(clock.remainingS) }} to go. Press Space again to end {{ step.name }} now.
          </p>
          <p v-else-if="clock.holding && clock.phase === 'running'" class="font-bold">Held: the film stays in at the end of this step.</p>
          <p v-else-if="clock.getReady && next" class="font-bold">Get ready: {{ next.name }}.</p>
          <p v-if="moved" class="font-bold" role="status">
            {{ show.temperature(moved.celsius) }} instead of {{ show.temperature(run.plan.temperatureC) }}: by the chart
            {{ step.name }} ends {{ showTime(Math.abs(moved.byS)) }} {{ moved.byS < 0 ? 'earlier' : 'later' }}.
          </p>
          <p v-else-if="lastMeasured !== undefined">
            Measured {{ show.temperature(lastMeasured) }}, planned {{ show.temperature(step.temperatureC) }}.
          </p>
          <p v-if="clocks.waiting > 0" role="status">
            {{ clocks.waiting === 1 ? 'One line of the log waits' : `${clocks.waiting} lines of the log wait` }} for the server; the clock
            goes on.
          </p>
          <p v-if="clocks.keepsNothing" class="font-bold" role="status">
            This device keeps nothing: its storage is blocked or full. Do not reload until every line is with the server.
          </p>
          <p v-if="clocks.refused > 0" role="status">
            {{ clocks.refused === 1 ? 'One line of the log was' : `${clocks.refused} lines of the log were` }} refused by the server.
          </p>
          <p v-if="silent">Silent until you touch the screen or press a key here.</p>
          <p v-if="!wake.isSupported.value">This browser cannot keep the screen on: switch its sleep off.</p>
        </div>
      </div>
      <StepRibbon :plan="run.plan" :step="clock.phase === 'before' ? -1 : clock.step" :elapsed-s="clock.elapsedS" />
    </div>
    <nav
      aria-label="Run"
      class="grid grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)_minmax(0,1fr)] border-t-[3px] border-ink bg-panel text-lg font-semibold max-sm:grid-cols-2"
    >
      <button class="act text-2xl max-sm:col-span-2" data-next @click="done">
        {{ clock.phase === 'before' ? 'Pouring, start' : 'Done, next' }}<kbd>Space or pedal</kbd>
      </button>
      <button class="act" @click="measuring = true">Temperature<kbd>T</kbd></button>
      <button class="act" :disabled="!inside" @click="hold">
        {{ clock.holding ? 'Do not hold' : 'Hold at end of step' }}<kbd>H H</kbd>
      </button>
      <button class="act" @click="darker">Darker<kbd>L</kbd></button>
      <button class="act" @click="givingUp = true">Give up<kbd>…</kbd></button>
    </nav>
    <ModalPanel :open="measuring" title="Temperature in the tank" @close="measuring = false">
      <form class="space-y-4" @submit.prevent="keepTemperature">
        <MeasuredTemperature v-model="measured" label="Measured" />
        <div class="flex gap-3">
          <button class="button button-main">Write it down</button>
          <button type="button" class="button" @click="measuring = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
    <ModalPanel :open="givingUp" :title="`Give run ${run.number} up`" @close="givingUp = false">
      <form class="space-y-4" @submit.prevent="giveUp">
        <p>The baths it has been through keep their tallies. The films stay on the record.</p>
        <TextField v-model="why" label="What happened?" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Give run {{ run.number }} up</button>
          <button type="button" class="button" @click="givingUp = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
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
.act {
  display: flex;
  min-height: 4.5rem;
  cursor: pointer;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  border-right: 1px solid var(--line);
}
.act:focus-visible {
  outline-offset: -5px;
}
.act kbd {
  font-family: var(--font-mono);
  font-size: 0.875rem;
  font-weight: 400;
}
</style>
