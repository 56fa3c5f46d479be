<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useTyped } from '../hand/typed'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import PlanBaths from './PlanBaths.vue'
import PlanFilms from './PlanFilms.vue'
import PlanOptions from './PlanOptions.vue'
import PlanShown from './PlanShown.vue'
import { usePlan } from './usePlan'
import { usePlanAgain } from './usePlanAgain'

const router = useRouter()
const show = useShow()
const session = useSession()
const { busy, problem, act } = useAction()
const typing = useTyped()
const runId = uuid()
const planning = usePlan()
const { asked, choices, request, plan, refused, lacking, blocked, empty } = planning
const toBeakers = useTemplateRef<HTMLButtonElement>('toBeakers')
const again = usePlanAgain(planning, problem, () => toBeakers.value?.focus())
const overrule = ref('')

async function keep(): Promise<void> {
  // whoever is quicker than the shelf waits for it here
  await planning.load()
  const body = request.value
  if (!body || !plan.value) return void (problem.value = lacking.value || refused.value)
  const reason = blocked.value ? { overrule: overrule.value } : {}
  if (!(await act(() => call(api.run.plan, { body: { id: runId, request: body, ...reason } })))) return
  typing.kept()
  await router.push(`/tanks/${runId}`)
}
</script>

<template>
  <form class="station grid grid-cols-[340px_minmax(0,1fr)] gap-10 max-lg:grid-cols-1" @submit.prevent="keep">
    <section class="space-y-4">
      <h1 class="text-3xl font-bold">Plan a run</h1>
      <p v-if="again" class="card" role="status">
        As run {{ again.number }}, with what stands on the shelf now. Measure the developer: it had
        {{ show.temperature(again.plan.temperatureC) }} then.
      </p>
      <template v-if="session.isTechnician">
        <p v-if="empty.chart" class="card">
          The development chart is empty. <RouterLink to="/tanks/chart" class="link">Write its first row</RouterLink>: a film, a developer,
          a time.
        </p>
        <p v-if="empty.vessels" class="card">There is no tank yet. <RouterLink to="/tanks" class="link">Add one</RouterLink> first.</p>
      </template>
      <p v-else-if="empty.processes" class="card">
        There is nothing you may develop by yourself now.
        <RouterLink to="/tanks" class="link">What is to be done before</RouterLink>
      </p>
      <p v-else-if="empty.chart || empty.vessels" class="card">For this the house lacks a time or a tank. Ask the technician on duty.</p>
      <ChoiceField v-model="asked.processId" label="Process" :choices="choices.processes" />
      <PlanFilms :planning="planning" />
      <PlanBaths :planning="planning" />
      <SwitchField v-model="asked.critical" label="Someone’s only negatives" detail="every bath tested the same day, or a reason" />
      <SwitchField
        v-model="asked.slow"
        label="Tabular grain, or rich in iodide"
        detail="it is fixed three times the clearing time instead of twice"
      />
      <PlanOptions :planning="planning" />
    </section>

    <section aria-live="polite" class="space-y-7">
      <PlanShown :planning="planning" />
      <div class="space-y-3">
        <p v-if="blocked && !session.isTechnician" class="border-l-4 border-alarm pl-4 font-semibold" role="status">
          Only a technician overrules what speaks against it. Choose otherwise, or ask the one on duty.
        </p>
        <TextField v-else-if="blocked" v-model="overrule" label="Overrule it all the same? Say why; it stays on the record." />
        <ProblemLine :problem="problem" />
        <button ref="toBeakers" class="button button-main min-h-16 px-8" :disabled="busy || (blocked && overrule.trim().length < 3)">
          To the beakers
        </button>
      </div>
    </section>
  </form>
</template>
