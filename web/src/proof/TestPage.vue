<script setup lang="ts">
import { DomainError, guideOf, judge, testKinds, type Judgement, type PictureReading, type Reading, type TestKind } from '@selvrin/core'
import { api, type BottlePage, type PictureMarks, type Proof, type ProofContext, type Suspect } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, defineAsyncComponent, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { call, sentence } from '../api/call'
import { onChange } from '../api/live'
import { useAction } from '../api/useAction'
import RetirePanel from '../bottle/RetirePanel.vue'
import { useBench } from '../device/readings'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import BathMark from '../marks/BathMark.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import AfterTest from './AfterTest.vue'
import GuideSteps from './GuideSteps.vue'
import MeasuredTemperature from './MeasuredTemperature.vue'
import { readFigure, readingForm, showReading } from './readings'
import { trendOf } from './trend'
import VerdictPanel from './VerdictPanel.vue'

const PhotoReading = defineAsyncComponent(() => import('./PhotoReading.vue'))
const TrendChart = defineAsyncComponent(() => import('./TrendChart.vue'))
const route = useRoute()
const session = useSession()
const { busy, problem, act } = useAction()
const kind = computed(() => (testKinds.includes(String(route.params.kind) as TestKind) ? (String(route.params.kind) as TestKind) : null))
const guide = computed(() => (kind.value ? guideOf(kind.value) : null))
const form = computed(() => (kind.value ? readingForm(kind.value) : null))
const bottleId = computed(() => String(route.params.id))
const bottle = shallowRef<BottlePage | null>(null)
const context = shallowRef<ProofContext | null>(null)
const missing = ref('')
const phase = ref<'steps' | 'reading' | 'written'>('steps')
const proofId = ref(uuid())
const figure = ref('')
const freshFigure = ref('')
const look = ref<string | null>(null)
const celsius = ref<number | null>(null)
const slow = ref(false)
const fresh = ref(false)
const note = ref('')
const photo = shallowRef<PictureReading | null>(null)
const measuring = ref(false)
const keep = shallowRef<{ name: string; blob: Blob; marks: PictureMarks } | null>(null)
const written = shallowRef<{ proof: Proof; suspects: Suspect[] } | null>(null)
const retiring = ref(false)
const meter = useBench('ph-meter')

async function load(): Promise<void> {
  try {
    const [page, known] = await Promise.all([
      call(api.bottle.get, { params: { id: bottleId.value } }),
      call(api.proof.context, { params: { id: bottleId.value } }),
    ])
    bottle.value = page
    context.value = known
  } catch (error) {
    missing.value = sentence(error)
  }
}
watch([bottleId, kind], () => void load(), { immediate: true })
// someone else may pour from it or test it meanwhile; what was typed here stays
onBeforeUnmount(onChange((event) => void ((event === 'all' || event.id === bottleId.value) && load())))

const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const reference = computed(() => (kind.value ? (context.value?.references[kind.value] ?? null) : null))
/** A fresh reading is offered while the batch is young and has none of its own. */
const mayBeFresh = computed(
  () => bottle.value?.batchId != null && reference.value?.from !== 'batch' && bottle.value.state.rollsPerL === 0 && form.value !== null,
)
watch(mayBeFresh, (may) => (fresh.value = may && (bottle.value?.state.ageDays ?? 99) < 2), { immediate: true })
const value = computed(() => (form.value && figure.value.trim() !== '' ? readFigure(figure.value, form.value) : null))
const besideFresh = computed(() =>
  kind.value === 'scrap-density' && form.value && !fresh.value && freshFigure.value.trim() !== ''
    ? readFigure(freshFigure.value, form.value)
    : null,
)
const wrongFigure = computed(() =>
  figure.value.trim() !== '' && value.value === null ? 'This cannot be read: write a number such as 68 or 8.4.' : '',
)
const reading = computed((): Reading | null => {
  if (look.value !== null) return { look: look.value }
  if (value.value === null) return null
  return {
    value: value.value,
    ...(besideFresh.value === null ? {} : { fresh: besideFresh.value }),
    ...(celsius.value === null ? {} : { celsius: celsius.value }),
    ...(slow.value ? { slowClearing: true } : {}),
    ...(photo.value?.approximate ? { approximate: true } : {}),
  }
})
const judged = computed((): { judgement: Judgement | null; problem: string } => {
  if (!kind.value || !context.value || !reading.value) return { judgement: null, problem: '' }
  try {
    return {
      judgement: judge(kind.value, reading.value, { ...context.value, reference: fresh.value ? null : reference.value }),
      problem: '',
    }
  } catch (error) {
    return { judgement: null, problem: error instanceof DomainError ? error.message : 'This cannot be judged.' }
  }
})
const trend = computed(() => {
  if (!kind.value || !context.value || !bottle.value) return null
  const proofs = written.value
    ? [...context.value.proofs.filter((one) => one.id !== written.value?.proof.id), written.value.proof]
    : context.value.proofs
  return trendOf(kind.value, proofs, context.value, bottle.value)
})

const inField = (area: PictureReading['scrap']): string => area.density.toFixed(2)
function read(seconds: number | null): void {
  if (seconds !== null) figure.value = String(seconds)
  phase.value = 'reading'
}
/** What a photograph gave goes again with it; a figure written by hand stays. */
function fromPhoto(found: PictureReading | null, kept: typeof keep.value): void {
  if (photo.value && !found) {
    if (figure.value === inField(photo.value.scrap)) figure.value = ''
    if (freshFigure.value === inField(photo.value.fresh)) freshFigure.value = ''
  }
  // a picture with the fresh scrap beside the new one is no fresh reading of its batch
  if (found) fresh.value = false
  photo.value = found
  keep.value = kept
  if (found && !found.scrap.opaque) figure.value = inField(found.scrap)
  if (found && !found.fresh.opaque) freshFigure.value = inField(found.fresh)
}
function choose(one: string): void {
  look.value = look.value === one ? null : one
}
const base64 = async (blob: Blob): Promise<string> => {
  const bytes = new Uint8Array(await blob.arrayBuffer())
  let text = ''
  for (let i = 0; i < bytes.length; i += 8192) text += String.fromCharCode(...bytes.subarray(i, i + 8192))
  return btoa(text)
}
async function write(): Promise<void> {
  const [asked, said] = [kind.value, reading.value]
  if (!asked || !said) {
    problem.value = 'Write down what was read first.'
    return
  }
  const picture = keep.value ? { name: keep.value.name, base64: await base64(keep.value.blob), marks: keep.value.marks } : undefined
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
    })
  })
  if (!good) return
  phase.value = 'written'
  await load()
}
function again(): void {
  proofId.value = uuid()
  figure.value = ''
  freshFigure.value = ''
  look.value = null
  photo.value = null
  keep.value = null
  written.value = null
  phase.value = 'steps'
}
</script>

<template>
  <div class="station">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <p v-if="missing || !guide || !kind" class="text-xl">{{ missing || 'There is no such test.' }}</p>
    <template v-else-if="bottle && context">
      <header class="mb-4 flex flex-wrap items-center gap-x-6 gap-y-2">
        <h1 class="text-3xl font-bold">{{ guide.name }}</h1>
        <RouterLink :to="`/shelf/${bottle.id}`" class="flex items-center gap-2 text-xl font-bold underline-offset-4 hover:underline">
          <BathMark :family="bottle.family" :size="28" /> {{ bottle.label }} {{ bottle.name }}
        </RouterLink>
      </header>
      <ul v-if="phase === 'steps'" class="mb-6 flex flex-wrap gap-x-8 gap-y-1 border-l-4 border-alarm pl-4">
        <li><b>Light.</b> {{ guide.light }}</li>
        <li v-for="caution in guide.cautions" :key="caution"><b>Care.</b> {{ caution }}</li>
      </ul>
      <GuideSteps v-if="phase === 'steps'" :guide="guide" :normal-s="context.usualS" @done="read" />

      <form
        v-else-if="phase === 'reading'"
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1"
        @submit.prevent="write"
      >
        <div class="space-y-5" :class="kind === 'scrap-density' ? 'col-span-2 max-lg:col-span-1' : ''">
          <div v-if="guide.looks.length > 0" role="group" aria-label="What is seen" class="flex flex-wrap gap-3">
            <button
              v-for="one in guide.looks"
              :key="one.value"
              type="button"
              class="button min-h-16 text-xl"
              :class="look === one.value ? 'button-main' : ''"
              :aria-pressed="look === one.value"
              @click="choose(one.value)"
            >
              {{ one.name }}
            </button>
          </div>
          <PhotoReading v-if="kind === 'scrap-density' && look === null" v-model:working="measuring" @read="fromPhoto" />
          <div v-if="form && look === null" class="grid grid-cols-2 items-start gap-4 max-sm:grid-cols-1">
            <TextField
              v-model="figure"
              :label="`${form.label}${form.unit === 'pH' ? '' : `, ${form.unit}`}`"
              :hint="reference ? `fresh ${showReading(kind, reference.value)}` : 'no fresh reading yet'"
              :problem="wrongFigure"
            />
            <TextField
              v-if="kind === 'scrap-density' && !fresh"
              v-model="freshFigure"
              label="Density of the fresh scrap beside it, D"
              hint="kept from the fresh batch"
            />
            <button
              v-if="form.unit === 'pH' && meter.reading.value?.value != null"
              type="button"
              class="button mt-7"
              @click="figure = (meter.reading.value?.value ?? 0).toFixed(2)"
            >
              Take {{ meter.reading.value.value.toFixed(2) }} from {{ meter.device.value?.name }}
            </button>
          </div>
          <MeasuredTemperature v-if="form?.temperature && look === null" v-model="celsius" label="Its temperature" />
          <SwitchField
            v-if="kind === 'clearing-time'"
            v-model="slow"
            label="Tabular grain, or rich in iodide"
            detail="fix three times the clearing time instead of twice"
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
        <div aria-live="polite">
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

      <section v-if="phase !== 'written' && context.proofs.some((one) => one.kind === kind)" class="mt-8" aria-labelledby="before">
        <h2 id="before" class="mb-2 text-xl font-bold">Before</h2>
        <div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-10 max-lg:grid-cols-1">
          <ul>
            <li
              v-for="one in context.proofs.filter((proof) => proof.kind === kind).slice(0, 6)"
              :key="one.id"
              class="border-b border-line py-1.5"
            >
              <b>{{ showDate(one.at, zone) }}</b>{{ one.reading.value === undefined ? '' : `, ${showReading(kind, one.reading.value)}`
              }}{{ one.fresh ? ', fresh' : '' }}.
              <span class="text-quiet">{{ one.by }}</span>
            </li>
          </ul>
          <TrendChart v-if="trend" :trend="trend" />
        </div>
      </section>
      <RetirePanel
        v-if="retiring"
        :bottle="bottle"
        :why="written?.proof.judgement.reason ?? ''"
        @close="retiring = false"
        @done="((retiring = false), load())"
      />
    </template>
    <p v-else class="text-quiet" role="status">Fetching the bottle …</p>
  </div>
</template>
