<script setup lang="ts">
import { DomainError, guideOf, judge, testKinds, type Judgement, type PictureReading, type TestKind } from '@selvrin/core'
import { api, type BottlePage, type PictureMarks, type Proof, type ProofContext, type Suspect } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import { useAction } from '../api/useAction'
import RetirePanel from '../bottle/RetirePanel.vue'
import { useBench } from '../device/readings'
import ChoiceField from '../fields/ChoiceField.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SpokenLine from '../fields/SpokenLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import { useSession } from '../session/store'
import AfterTest from './AfterTest.vue'
import GuideSteps from './GuideSteps.vue'
import MeasuredTemperature from './MeasuredTemperature.vue'
import { showReading } from './readings'
import TestHead from './TestHead.vue'
import TestsBefore from './TestsBefore.vue'
import { trendOf } from './trend'
import { useReading } from './useReading'
import VerdictPanel from './VerdictPanel.vue'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'
import { useTyped } from '../hand/typed'

const show = useShow()
const PhotoReading = defineAsyncComponent(() => import('./PhotoReading.vue'))
const TrendChart = defineAsyncComponent(() => import('./TrendChart.vue'))
const route = useRoute()
const session = useSession()
const { busy, problem, act } = useAction()
const typing = useTyped()
const kind = computed(() => (testKinds.includes(String(route.params.kind) as TestKind) ? (String(route.params.kind) as TestKind) : null))
const guide = computed(() => (kind.value ? guideOf(kind.value) : null))
const { form, figure, freshFigure, baseFigure, look, celsius, filmKind, doubtful, fresh, value, wrongFigure, reading, takePhoto, clear } =
  useReading(kind)
const bottleId = computed(() => String(route.params.id))
const bottle = shallowRef<BottlePage | null>(null)
const context = shallowRef<ProofContext | null>(null)
const phase = ref<'steps' | 'reading' | 'written'>('steps')
const proofId = ref(uuid())
const note = ref('')
const measuring = ref(false)
const keep = shallowRef<{ name: string; blob: Blob; marks: PictureMarks } | null>(null)
const written = shallowRef<{ proof: Proof; suspects: Suspect[] } | null>(null)
const retiring = ref(false)
const meter = useBench('ph-meter')

const page = usePage(
  async (signal) => {
    const [got, known] = await Promise.all([
      call(api.bottle.get, { params: { id: bottleId.value }, signal }),
      call(api.proof.context, { params: { id: bottleId.value }, signal }),
    ])
    return { got, known }
  },
  // someone else may pour from it or test it meanwhile; what was typed here stays
  (event) => event.id === bottleId.value,
)
const { missing, load } = page
watch(page.value, (answer) => {
  bottle.value = answer?.got ?? null
  context.value = answer?.known ?? null
})
watch([bottleId, kind], () => page.begin(), { immediate: true })

const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const reference = computed(() => (kind.value ? (context.value?.references[kind.value] ?? null) : null))
/** A fresh reading is offered while the batch is young and has none of its own. */
const mayBeFresh = computed(
  () => bottle.value?.batchId != null && reference.value?.from !== 'batch' && bottle.value.state.rollsPerL === 0 && form.value !== null,
)
watch(mayBeFresh, (may) => (fresh.value = may && (bottle.value?.state.ageDays ?? 99) < 2), { immediate: true })
// the fresh reading was taken on one kind of film: the next is compared with it on the same
watch(reference, (known) => {
  if (known?.slowClearing != null) filmKind.value ??= known.slowClearing ? 'slow' : 'ordinary'
})
const filmKinds = [
  { value: 'ordinary' as const, name: 'Ordinary', detail: 'fixed twice its clearing time' },
  { value: 'slow' as const, name: 'Tabular grain, or rich in iodide', detail: 'fixed three times its clearing time' },
]
/** heard once the typing pauses, and when it is written */
const verdictWords = { keep: 'Keep', marginal: 'Marginal', failed: 'Failed' }
const spoken = computed(() => {
  const of = written.value?.proof.judgement ?? judged.value.judgement
  return of ? show.said(`${written.value ? 'Written down. ' : ''}${verdictWords[of.verdict]}. ${of.reason}`) : ''
})
const judged = computed((): { judgement: Judgement | null; problem: string; implausible?: boolean } => {
  if (!kind.value || !context.value || !reading.value) return { judgement: null, problem: '' }
  try {
    return {
      judgement: judge(kind.value, reading.value, { ...context.value, reference: fresh.value ? null : reference.value }),
      problem: '',
      implausible: reading.value.doubtful !== undefined,
    }
  } catch (error) {
    return {
      judgement: null,
      implausible: error instanceof DomainError && error.code === 'implausible',
      problem: error instanceof DomainError ? error.message : 'This cannot be judged.',
    }
  }
})
const trend = computed(() => {
  if (!kind.value || !context.value || !bottle.value) return null
  const proofs = written.value
    ? [...context.value.proofs.filter((one) => one.id !== written.value?.proof.id), written.value.proof]
    : context.value.proofs
  return trendOf(kind.value, proofs, context.value, bottle.value)
})

function read(seconds: number | null): void {
  if (seconds !== null) figure.value = String(seconds)
  phase.value = 'reading'
}
function fromPhoto(found: PictureReading | null, kept: typeof keep.value): void {
  takePhoto(found)
  keep.value = kept
}
async function write(): Promise<void> {
  const [asked, said] = [kind.value, reading.value]
  if (!asked || !said) {
    problem.value = 'Write down what was read first.'
    return
  }
  const picture = keep.value ? { name: keep.value.name, marks: keep.value.marks } : undefined
  const good = await act(async () => {
    written.value = await call(api.proof.write, {
      body: {
        id: proofId.value,
        kind: asked,
        bottleId: bottleId.value,
        reading: said,
        fresh: fresh.value,
        note: note.value,
        ...(picture ? { picture } : {}),
      },
      ...(keep.value ? { file: keep.value.blob } : {}),
    })
  })
  if (!good) return
  typing.kept()
  phase.value = 'written'
  await load()
}
function again(): void {
  proofId.value = uuid()
  clear()
  keep.value = null
  written.value = null
  phase.value = 'steps'
}
</script>

<template>
  <div class="station">
    <SpokenLine :says="spoken" />
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <p v-if="!guide || !kind" class="text-xl">There is no such test.</p>
    <template v-else-if="bottle && context">
      <header class="mb-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 class="text-3xl font-bold">{{ guide.name }}</h1>
        <RouterLink :to="`/shelf/${bottle.id}`" class="go gap-2 text-xl">
          <BathMark :family="bottle.family" :size="28" /> {{ bottle.label }} {{ bottle.name }}
        </RouterLink>
      </header>
      <TestHead v-if="phase === 'steps'" :guide="guide" />
      <GuideSteps v-if="phase === 'steps'" :guide="guide" :normal-s="context.usualS" @done="read" />

      <form
        v-else-if="phase === 'reading'"
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1"
        @submit.prevent="write"
      >
        <div class="space-y-5" :class="kind === 'scrap-density' ? 'col-span-2 max-lg:col-span-1' : ''">
          <PressOne v-if="guide.looks.length > 0" v-model="look" label="What is seen" :choices="guide.looks" clearable large />
          <PhotoReading v-if="kind === 'scrap-density' && look === null" v-model:working="measuring" @read="fromPhoto" />
          <div v-if="form && look === null" class="grid grid-cols-2 items-start gap-4 max-sm:grid-cols-1">
            <TextField
              v-model="figure"
              begin
              :label="`${form.label}${form.unit === 'pH' ? '' : `, ${form.unit}`}`"
              :hint="reference ? show.said(`fresh ${showReading(kind, reference.value)}`) : 'no fresh reading yet'"
              :problem="wrongFigure"
            />
            <TextField
              v-if="kind === 'scrap-density' && !fresh"
              v-model="freshFigure"
              label="Density of the fresh scrap beside it, D"
              hint="kept from the fresh batch"
            />
            <TextField
              v-if="kind === 'scrap-density'"
              v-model="baseFigure"
              label="Density of clear film, D"
              hint="base and fog: unexposed, fixed"
            />
            <button
              v-if="form.unit === 'pH' && meter.reading.value?.value != null"
              type="button"
              class="button mt-7"
              @click="figure = (meter.reading.value?.value ?? 0).toFixed(2)"
            >
              Take {{ digits(meter.reading.value.value, 2) }} from {{ meter.device.value?.name }}
            </button>
          </div>
          <MeasuredTemperature
            v-if="form?.temperature && look === null"
            v-model="celsius"
            :label="kind === 'scrap-density' ? 'Developed at' : 'Its temperature'"
          />
          <ChoiceField
            v-if="kind === 'clearing-time'"
            v-model="filmKind"
            label="Kind of film"
            :choices="filmKinds"
            placeholder="Say which: it sets the fixing time"
          />
          <p v-if="kind === 'clearing-time' && reference?.slowClearing != null && look === null" class="text-quiet">
            As the fresh scrap was: change it if this one is another film.
          </p>
          <TextField
            v-if="judged.implausible && kind === 'clearing-time'"
            v-model="doubtful"
            label="Keep it all the same? Say why"
            hint="it shortens no fixing and lengthens no life"
          />
          <SwitchField
            v-if="mayBeFresh && look === null"
            v-model="fresh"
            label="This is the fresh reading of its batch"
            detail="later tests are held against it"
          />
          <TextField v-model="note" label="Note, if any" />
          <ProblemLine :problem="problem || judged.problem" />
          <div class="flex flex-wrap gap-3">
            <button class="button button-main" :disabled="busy || measuring || !judged.judgement">Write it down</button>
            <button type="button" class="button" @click="phase = 'steps'">Back to the steps</button>
          </div>
        </div>
        <div>
          <p v-if="fresh && judged.judgement" class="text-2xl">
            It becomes the fresh reading every later test of this batch is held against.
          </p>
          <VerdictPanel v-else-if="judged.judgement" :kind="kind" :judgement="judged.judgement" :reading="value" />
          <p v-else class="text-lg text-quiet">The verdict follows the reading.</p>
        </div>
      </form>

      <div v-else-if="written" class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
        <div class="space-y-5">
          <VerdictPanel :kind="kind" :judgement="written.proof.judgement" :reading="written.proof.reading.value ?? null" />
          <AfterTest
            :proof="written.proof"
            :suspects="written.suspects"
            :bottle="bottle"
            :zone="zone"
            @retire="retiring = true"
            @again="again"
            @changed="load"
          />
        </div>
        <TrendChart v-if="trend" :trend="trend" />
      </div>

      <TestsBefore v-if="phase !== 'written'" :kind="kind" :proofs="context.proofs" :trend="trend" :zone="zone" @changed="load" />
      <RetirePanel
        v-if="retiring"
        :bottle="bottle"
        :why="written?.proof.judgement.reason ?? ''"
        @close="retiring = false"
        @done="((retiring = false), load())"
      />
    </template>
    <PageState v-else :missing="missing" :problem="page.problem.value" what="the bottle" back="Back to what is due" back-to="/proofs" />
  </div>
</template>
