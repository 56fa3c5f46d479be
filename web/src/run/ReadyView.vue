<script setup lang="ts">
import { developsFirst, showTime } from '@selvrin/core'
import { api, type Run } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePage } from '../api/usePage'
import WouldHold from '../bottle/WouldHold.vue'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useSession } from '../session/store'
import BathFaults from '../tempering/BathFaults.vue'
import BeakerRow from './BeakerRow.vue'
import BesideOthers from './BesideOthers.vue'
import { useClocks } from './clocks'
import LoadingPanel from './LoadingPanel.vue'
import StepRibbon from './StepRibbon.vue'
import TimeFactors from './TimeFactors.vue'
import WashLine from './WashLine.vue'

const { run } = defineProps<{ run: Run }>()
const clocks = useClocks()
const router = useRouter()
const session = useSession()
const { busy, problem, current, act } = useAction()
/** What starting it would write as the shelf is now, or what stands against it. */
const ahead = usePage(
  (signal) => call(api.run.wouldStart, { params: { id: run.id }, signal }),
  (event) => event.subject === 'bottle' || event.subject === 'run',
)
void ahead.load()
/** What the run comes to now, where something changed since it was planned. */
const changed = computed(() => {
  const refused = (current.value as Run | null)?.plan
  const plan = refused ?? ahead.value.value?.plan
  return plan && (refused ? JSON.stringify(plan.steps) !== JSON.stringify(run.plan.steps) : ahead.value.value?.changed.length) ? plan : null
})
const plan = computed(() => changed.value ?? run.plan)
/** the step that decides how warm it has to be */
const wanted = computed(() => plan.value.steps.find(developsFirst))
const dropping = ref(false)
const why = ref('')
const startAt = ref(0)

async function begin(): Promise<void> {
  // the same moment when it is tried again, so that it counts once
  startAt.value ||= Math.round(now())
  const agreed = changed.value !== null
  await act(async () =>
    clocks.put(
      await call(api.run.start, {
        params: { id: run.id },
        body: { version: run.version, at: startAt.value, ...(agreed ? { agreed } : {}) },
      }),
    ),
  )
}
async function drop(): Promise<void> {
  const good = await act(() =>
    call(api.run.abandon, { params: { id: run.id }, body: { version: run.version, at: Math.round(now()), reason: why.value } }),
  )
  if (good) await router.push('/tanks')
}
</script>

<template>
  <div class="space-y-7">
    <div class="flex flex-wrap items-baseline gap-5">
      <h1 class="text-4xl font-bold">Run {{ run.number }}, {{ run.vessel }}</h1>
      <p class="text-xl text-quiet">
        {{ run.filmRows.map((roll) => `${roll.film} (${roll.member})`).join(', ')
        }}{{ run.byMember && session.isTechnician ? ` · led by ${run.by}, a member` : '' }}
      </p>
      <a class="button button-small ml-auto" :href="`/api/print/runs/${run.id}`" target="_blank" rel="noopener">Its sheet, to print</a>
    </div>
    <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] items-start gap-10 max-lg:grid-cols-1">
      <TimeFactors v-if="plan.developing" :developing="plan.developing" :temperature-c="plan.temperatureC" />
      <div class="card space-y-3">
        <p>
          Gloves on, liquids in order, thermometer in the developer. Tank loaded in the dark and closed. About
          {{
            showTime(
              plan.steps.reduce((sum, step) => sum + step.seconds, 0),
              60,
            )
          }}
          in all.
        </p>
        <WouldHold v-if="ahead.value.value?.would.length" :would="ahead.value.value.would" />
        <ProblemLine :problem="problem || ahead.missing.value" />
        <p v-if="ahead.value.value?.changed.length && !problem" class="border-l-4 border-alarm pl-4 font-semibold" role="status">
          Since it was planned: {{ ahead.value.value.changed.join(', ') }}. Look at it again before it goes on.
        </p>
        <button class="button button-main min-h-16 w-full" :disabled="busy" data-next @click="begin">
          {{ changed ? 'Take it as it is now, to the clock' : 'All measured out, to the clock' }}
        </button>
        <button class="button button-small w-full" @click="dropping = true">Drop run {{ run.number }}</button>
      </div>
    </div>
    <FindingList :findings="plan.findings" />
    <BathFaults v-if="wanted && session.isTechnician" :wanted-c="wanted.temperatureC" :tolerance-c="wanted.toleranceC" />
    <BesideOthers :plan="plan" />
    <p v-if="run.overruled"><b>Overruled:</b> {{ run.overruled }}</p>
    <LoadingPanel :run="run" />
    <BeakerRow :plan="plan" />
    <WashLine :plan="plan" />
    <StepRibbon :plan="plan" />
    <ModalPanel :open="dropping" :title="`Drop run ${run.number}`" @close="dropping = false">
      <form class="space-y-4" @submit.prevent="drop">
        <p>Nothing was poured yet, so nothing leaves the bottles.</p>
        <TextField v-model="why" label="Why?" />
        <ProblemLine :problem="problem" />
        <div class="flex gap-3">
          <button class="button button-main" :disabled="busy">Drop it</button>
          <button type="button" class="button" @click="dropping = false">Not now</button>
        </div>
      </form>
    </ModalPanel>
  </div>
</template>
