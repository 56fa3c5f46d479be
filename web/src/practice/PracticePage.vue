<script setup lang="ts">
import { stepsOf, troubleKinds, type TroubleKind } from '@selvrin/core'
import { practiceApi, type PracticeRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import PressOne from '../fields/PressOne.vue'
import PressSome from '../fields/PressSome.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { useKept } from '../hand/useKept'
import { useProcesses } from '../stores'
import LoadingPractice from './LoadingPractice.vue'
import PracticeClock from './PracticeClock.vue'
import PracticeList from './PracticeList.vue'
import PracticeResult from './PracticeResult.vue'
import { practisedAgitation, usePractice } from './usePractice'
import { troubleNames } from './words'

/** Any process done dry, faster than it is, with whatever may go wrong; and what it would have done to the film. */
const processes = useProcesses()
onMounted(() => void processes.load())
const wanted = reactive({ process: null as string | null, speed: 5 as number | null, troubles: [] as TroubleKind[] })
const kept = ref({ ...wanted })
useKept('practice', kept)
Object.assign(wanted, kept.value)
const { process: named } = useRoute().query
if (typeof named === 'string') wanted.process = named
watch(wanted, () => (kept.value = { ...wanted }), { deep: true })
const choices = computed(() =>
  processes.rows.filter((row) => stepsOf(row.body, {}).length > 0).map((row) => ({ value: row.id, name: row.body.name })),
)
const chosen = computed(() => processes.rows.find((row) => row.id === wanted.process))
const speeds = [1, 2, 5, 10, 20].map((value) => ({ value, name: `${value}×` }))
const troubles = troubleKinds.map((value) => ({ value, name: troubleNames[value] }))

const practice = usePractice()
const list = ref<InstanceType<typeof PracticeList> | null>(null)
const problem = ref('')
const result = ref<PracticeRow | null>(null)
const sending = useAction()
function begin(): void {
  problem.value = chosen.value ? '' : 'Choose a process.'
  if (!chosen.value) return
  result.value = null
  const seed = Math.floor(Math.random() * 2_000_000_000)
  problem.value = practice.begin({
    id: uuid(),
    process: chosen.value,
    options: {},
    speed: wanted.speed ?? 1,
    troubles: wanted.troubles,
    seed,
  })
}
/** What was done is sent as it is; what it would have done comes back. */
async function send(): Promise<void> {
  const asked = practice.asked.value
  if (!asked) return
  const { id, process } = asked
  const body = { id, processVersionId: process.versionId, options: {}, agitation: practisedAgitation, practised: practice.practised() }
  const good = await sending.act(async () => (result.value = await call(practiceApi.run, { body })))
  if (good && result.value) list.value?.put(result.value)
}
watch(practice.over, (over) => void (over && send()), { immediate: true })
// what comes next begins at the top
const top = useTemplateRef<HTMLElement>('top')
watch([() => practice.plan.value, result], () => top.value?.scrollIntoView(), { flush: 'post' })
function again(): void {
  result.value = null
  practice.stop()
}
</script>

<template>
  <div class="station max-w-6xl">
    <h1 ref="top" class="mb-4 text-3xl font-bold">Practice</h1>
    <PracticeResult
      v-if="practice.over.value && result && practice.plan.value"
      :row="result"
      :plan="practice.plan.value"
      :practised="practice.practised()"
      now
      @again="again"
    />
    <div v-else-if="practice.over.value" class="space-y-4">
      <p class="text-2xl font-bold">The film is out.</p>
      <ProblemLine :problem="sending.problem.value" />
      <button v-if="sending.problem.value" type="button" class="button button-main" :disabled="sending.busy.value" @click="send">
        Try again
      </button>
    </div>
    <PracticeClock v-else-if="practice.plan.value" :practice="practice" />
    <div v-else class="grid grid-cols-[minmax(0,1fr)_minmax(0,24rem)] items-start gap-10 max-lg:grid-cols-1">
      <WaitFor :of="[processes]" what="the processes">
        <section class="space-y-5" aria-label="A run, dry">
          <p class="text-lg">
            A run with empty beakers and a film that was never there. It is timed as a real one, says at its end what it would have done to
            the film, and touches no bottle, record or tank.
          </p>
          <ChoiceField v-model="wanted.process" label="Process" :choices="choices" />
          <div>
            <p class="mb-1 font-semibold">How fast</p>
            <PressOne v-model="wanted.speed" label="How fast" :choices="speeds" />
          </div>
          <div>
            <p class="mb-1 font-semibold">What may go wrong</p>
            <PressSome v-model="wanted.troubles" label="What may go wrong" :choices="troubles" />
          </div>
          <ProblemLine :problem="problem" />
          <button type="button" class="button button-main min-h-16 px-10 text-xl" @click="begin">Begin</button>
        </section>
      </WaitFor>
      <LoadingPractice @kept="list?.put($event)" />
    </div>
    <PracticeList v-if="!practice.plan.value || practice.over.value" ref="list" class="mt-10" />
  </div>
</template>
