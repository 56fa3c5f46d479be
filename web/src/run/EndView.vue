<script setup lang="ts">
import { showTime, usesAtEnd, type RunClock } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { computed, reactive, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useClocks } from './clocks'
import { useTyped } from '../hand/typed'

/** A bath that ran over by more than this asks why. s */
const tolerated = 15
const { run, clock } = defineProps<{ run: Run; clock: RunClock }>()
const clocks = useClocks()
const { busy, problem, act } = useAction()
useTyped()
const note = ref('')
const endAt = Math.round(now())
const reasons = reactive<Record<number, string>>({})
const over = computed(() => clock.times.filter((time) => run.plan.steps[time.step]?.bottle && (time.held || time.overS > tolerated)))
const back = computed(() =>
  usesAtEnd(run.plan).map((use) => run.plan.steps.find((step) => step.bottle?.id === use.bottleId)?.bottle?.label),
)

async function finish(): Promise<void> {
  for (const time of over.value) {
    const text = reasons[time.step]?.trim()
    const known = (clocks.events.get(run.id) ?? []).some(
      (event) => event.kind === 'reason' && event.step === time.step && event.text === text,
    )
    if (text && !known) await clocks.note(run.id, { kind: 'reason', step: time.step, text })
  }
  await act(async () =>
    clocks.put(
      await call(api.run.finish, {
        params: { id: run.id },
        body: { version: run.version, at: endAt, events: (clocks.events.get(run.id) ?? []).slice(-200), note: note.value },
      }),
    ),
  )
}
</script>

<template>
  <form class="station space-y-6" @submit.prevent="finish">
    <h1 class="text-5xl font-bold">Run {{ run.number }} is out</h1>
    <p class="text-2xl">
      Hang {{ run.filmRows.length === 1 ? 'it' : 'them' }} up, weighted, out of dust and draught.
      {{ back.length > 0 ? `Pour back ${back.join(' and ')}.` : '' }}
    </p>
    <div v-for="time in over" :key="time.step" class="max-w-xl">
      <TextField
        :model-value="reasons[time.step] ?? ''"
        :label="`${run.plan.steps[time.step]?.name} ran ${showTime(time.overS)} over${time.held ? ', held' : ''}: why?`"
        @update:model-value="(text: string) => (reasons[time.step] = text)"
      />
    </div>
    <div class="max-w-xl"><TextField v-model="note" label="Note on the run, if any" multiline /></div>
    <ProblemLine :problem="problem" />
    <button class="button button-main min-h-16 px-8" :disabled="busy" data-next>Write it down: tallies and films</button>
  </form>
</template>
