<script setup lang="ts">
import { inOrder, runClock, showTime } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import WouldTakeBack from '../bottle/WouldTakeBack.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { useClocks } from './clocks'
import FilmJudgement from './FilmJudgement.vue'
import StepRibbon from './StepRibbon.vue'

const { run } = defineProps<{ run: Run }>()
const session = useSession()
const show = useShow()
const clocks = useClocks()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const times = computed(() => (run.events.length === 0 ? [] : runClock(run.plan, run.events, Number.MAX_SAFE_INTEGER).times))
const reason = (step: number) => inOrder(run.events).findLast((event) => event.kind === 'reason' && event.step === step)?.text
const takingBack = ref(false)
const why = ref('')
const { busy, problem, act } = useAction()
async function takeBack(): Promise<void> {
  const good = await act(async () =>
    clocks.put(await call(api.run.takeBack, { params: { id: run.id }, body: { version: run.version, reason: why.value } })),
  )
  if (good) takingBack.value = false
}
const movedBy = (step: number): string => {
  const moved = times.value.find((time) => time.step === step)?.moved
  return moved && Math.abs(moved.byS) >= 1
    ? `: it ended ${showTime(Math.abs(moved.byS))} ${moved.byS < 0 ? 'earlier' : 'later'} than planned`
    : ''
}
const measured = computed(() => inOrder(run.events).filter((event) => event.kind === 'temperature'))
</script>

<template>
  <div class="space-y-7">
    <RouterLink to="/tanks" class="link inline-flex min-h-11 items-center">← Tanks</RouterLink>
    <div>
      <h1 class="text-4xl font-bold">Run {{ run.number }}, {{ run.vessel }}</h1>
      <p class="text-xl text-quiet">
        {{ run.state === 'taken-back' ? 'Taken back: it counts for nothing.' : '' }}
        {{ run.state === 'abandoned' ? 'Given up' : 'Developed' }} {{ showMoment(run.endedAt ?? run.plannedAt, zone) }} by {{ run.by }},
        developer at {{ show.temperature(run.plan.temperatureC) }}
      </p>
    </div>
    <StepRibbon :plan="run.plan" :step="run.plan.steps.length" />
    <section>
      <h2 class="mb-2 text-2xl font-bold">Films</h2>
      <ul class="space-y-4">
        <FilmJudgement v-for="roll in run.filmRows" :key="roll.id" :roll="roll" @judged="clocks.load(run.id)" />
      </ul>
    </section>
    <section v-if="times.length > 0">
      <h2 class="mb-2 text-2xl font-bold">What happened</h2>
      <ul>
        <li v-for="time in times" :key="time.step" class="border-b border-line py-2">
          <b>{{ run.plan.steps[time.step]?.name }}</b> {{ run.plan.steps[time.step]?.bottle?.label ?? '' }}:
          {{ time.endedAt ? showTime((time.endedAt - time.startedAt) / 1000) : 'not ended' }} of {{ showTime(time.plannedS) }}
          <template v-if="time.overS > 1"
            >, {{ showTime(time.overS) }} over{{ time.held ? ', held' : ''
            }}{{ reason(time.step) ? `: ${reason(time.step)}` : '' }}</template
          >
        </li>
        <li v-for="one in measured" :key="one.id" class="border-b border-line py-2">
          Measured {{ show.temperature(one.celsius ?? 0) }} in {{ run.plan.steps[one.step]?.name }}{{ movedBy(one.step) }}
        </li>
      </ul>
    </section>
    <button v-if="run.state === 'done' || run.state === 'abandoned'" class="button" @click="takingBack = true">
      Take run {{ run.number }} back
    </button>
    <ModalPanel :open="takingBack" :title="`Take run ${run.number} back`" @close="takingBack = false">
      <form class="space-y-4" @submit.prevent="takeBack">
        <WouldTakeBack :ask="(signal) => call(api.run.wouldTakeBack, { params: { id: run.id }, signal })" />
        <p>Its lines in every bottle are taken back, and its films are off the record. The run itself stays readable.</p>
        <TextField v-model="why" label="Why?" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Take run {{ run.number }} back</button>
          <button type="button" class="button" @click="takingBack = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </div>
</template>
