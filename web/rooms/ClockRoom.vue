<script setup lang="ts">
import { runClock, type RunEvent } from '@selvrin/core'
import ClockKeys from '../src/run/ClockKeys.vue'
import ClockNotes from '../src/run/ClockNotes.vue'
import StepRibbon from '../src/run/StepRibbon.vue'
import { plan, run } from './samples'

/** What the clock of a run says and offers, in each of its states. */
const startedAt = run.startedAt ?? 0
const line = (seq: number, kind: RunEvent['kind'], more: Partial<RunEvent> = {}): RunEvent => ({
  ...{ id: `line ${seq}`, seq, device: 'bench', at: startedAt, kind, step: 0 },
  ...more,
})
const first = plan.steps[0]?.seconds ?? 60
const after = (seconds: number, ...lines: RunEvent[]) => runClock(plan, [line(0, 'start'), ...lines], startedAt + seconds * 1000)
const states = {
  'just poured': after(20),
  'near its end': after(first - 8),
  held: after(60, line(1, 'hold')),
  'held, and over': after(first + 40, line(1, 'hold')),
  'one step on': after(first + 30, line(1, 'next', { at: startedAt + first * 1000 })),
}
const usual = { asking: false, follows: false, silent: false, staysOn: true }
const said = {
  'as usual': usual,
  'asked first': { ...usual, asking: true },
  'silent, sleeping': { ...usual, silent: true, staysOn: false },
}
</script>

<template>
  <section v-for="(clock, name) in states" :key="name" class="card space-y-3">
    <p class="text-quiet">{{ name }}</p>
    <StepRibbon :plan="plan" :step="clock.step" :elapsed-s="clock.elapsedS" />
    <ClockNotes
      v-if="plan.steps[clock.step]"
      :run="run"
      :clock="clock"
      :step="plan.steps[clock.step]!"
      :next="plan.steps[clock.step + 1]"
      v-bind="usual"
    />
  </section>
  <section v-for="(asked, name) in said" :key="name" class="card space-y-3">
    <p class="text-quiet">{{ name }}</p>
    <ClockNotes v-if="plan.steps[0]" :run="run" :clock="states['just poured']" :step="plan.steps[0]" :next="plan.steps[1]" v-bind="asked" />
  </section>
  <ClockKeys before :inside="false" :holding="false" :follows="false" />
  <ClockKeys :before="false" inside holding follows />
</template>
