<script setup lang="ts">
import { showTime, takerOf, type PlanStep, type RunClock } from '@selvrin/core'
import type { Run } from '@selvrin/core/contract'
import { computed } from 'vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { canReload } from '../offline/keepPage'
import { useClocks } from './clocks'
import { deviceName } from './device'
import { probedRun, probeElsewhere } from './probing'

/** What is to be known beside the time: what was asked twice, held, measured, kept, or cannot be. */
const { run, clock, step, next, asking, follows, silent, staysOn } = defineProps<{
  run: Run
  clock: RunClock
  step: PlanStep
  next: PlanStep | undefined
  asking: boolean
  /** another device leads it */
  follows: boolean
  silent: boolean
  /** the browser can keep the screen on */
  staysOn: boolean
}>()
const clocks = useClocks()
const session = useSession()
const reloads = canReload()
const taken = computed(() => takerOf(clocks.events.get(run.id) ?? []))
/** on duty, in a member's run */
/** whoever led it before leads it again */
const giveBack = () => clocks.note(run.id, { kind: 'give-back', step: clock.step })
const steppedIn = computed(() => run.byMember && session.isTechnician && taken.value?.device === deviceName())
const show = useShow()
const moved = computed(() => {
  const found = clock.times.at(-1)?.moved
  return found && Math.abs(found.byS) >= 1 ? found : null
})
const lastMeasured = computed(() => (clocks.events.get(run.id) ?? []).findLast((event) => event.kind === 'temperature')?.celsius)
</script>

<template>
  <p v-if="probedRun === run.id && probeElsewhere" class="font-bold" role="status">
    The probe reads far from {{ show.temperature(step.temperatureC) }}: it does not stand in this bath, and is not believed.
  </p>
  <p v-if="follows" class="font-bold" role="status">
    {{ taken?.text ? `${taken.text} leads it on another device` : 'Led on another device' }}; this one follows.
  </p>
  <p v-if="steppedIn" class="flex flex-wrap items-center gap-3">
    You have stepped in.
    <button type="button" class="button button-small" @click="giveBack">Give it back to {{ run.by }}</button>
  </p>
  <p v-if="asking" class="font-bold" role="alert">{{ showTime(clock.remainingS) }} to go. Press Space again to end {{ step.name }} now.</p>
  <p v-else-if="clock.holding && clock.phase === 'running'" class="font-bold">Held: the film stays in at the end of this step.</p>
  <p v-else-if="clock.getReady && next" class="font-bold">Get ready: {{ next.name }}.</p>
  <p v-if="moved" class="font-bold" role="status">
    {{ show.temperature(moved.celsius) }} instead of {{ show.temperature(run.plan.temperatureC) }}: by the chart {{ step.name }} ends
    {{ showTime(Math.abs(moved.byS)) }} {{ moved.byS < 0 ? 'earlier' : 'later' }}.
  </p>
  <p v-else-if="lastMeasured !== undefined">
    Measured {{ show.temperature(lastMeasured) }}, planned {{ show.temperature(step.temperatureC) }}.
  </p>
  <p v-if="clocks.waiting > 0" role="status">
    {{ clocks.waiting === 1 ? 'One line of the log waits' : `${clocks.waiting} lines of the log wait` }} for the server; the clock goes
    on.{{ reloads ? '' : ' Do not load this page again meanwhile: over plain http a browser cannot, without the server.' }}
  </p>
  <p v-if="clocks.keepsNothing" class="font-bold" role="status">
    This device keeps nothing: its storage is blocked or full. Do not reload until every line is with the server.
  </p>
  <p v-if="clocks.refused > 0" role="status">
    {{ clocks.refused === 1 ? 'One line of the log was' : `${clocks.refused} lines of the log were` }} refused by the server.
  </p>
  <p v-if="silent">Silent until you touch the screen or press a key here.</p>
  <p v-if="!staysOn">This browser cannot keep the screen on: switch its sleep off.</p>
</template>
