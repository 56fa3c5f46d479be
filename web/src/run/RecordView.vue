<script setup lang="ts">
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
import RecordTable from './RecordTable.vue'
import StepRibbon from './StepRibbon.vue'
import WashLine from './WashLine.vue'

const { run } = defineProps<{ run: Run }>()
const session = useSession()
const show = useShow()
const clocks = useClocks()
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const takingBack = ref(false)
const why = ref('')
const { busy, problem, act } = useAction()
async function takeBack(): Promise<void> {
  const good = await act(async () =>
    clocks.put(await call(api.run.takeBack, { params: { id: run.id }, body: { version: run.version, reason: why.value } })),
  )
  if (good) takingBack.value = false
}
</script>

<template>
  <div class="space-y-7">
    <div class="flex flex-wrap items-center gap-4">
      <RouterLink to="/tanks" class="link inline-flex min-h-11 items-center">← Tanks</RouterLink>
      <a class="button button-small ml-auto" :href="`/api/print/runs/${run.id}`" target="_blank" rel="noopener">Its sheet, to print</a>
    </div>
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
    <section>
      <h2 class="mb-2 text-2xl font-bold">Step by step</h2>
      <RecordTable :run="run" />
    </section>
    <WashLine :plan="run.plan" />
    <p v-if="run.why">{{ run.why }}</p>
    <p v-if="run.overruled"><b>Overruled:</b> {{ run.overruled }}</p>
    <button v-if="session.isTechnician && (run.state === 'done' || run.state === 'abandoned')" class="button" @click="takingBack = true">
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
