<script setup lang="ts">
import { DomainError, judgeStrips, measureOf, stripMeans, stripMeasures, usualStripLimits, type StripLimits } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import { showDate, showDay } from '../marks/words'
import { digits } from '../session/manner'
import TakeTestBack from './TakeTestBack.vue'
import { useSession } from '../session/store'
import { useBottles, useInstruments } from '../stores'
import ControlChart from './ControlChart.vue'
import LimitsPanel from './LimitsPanel.vue'
import { readFigure } from './readings'
import { useShow } from '../session/useShow'
import { useTyped } from '../hand/typed'

const show = useShow()
/** A process under control strips: what the newest one calls for, and the four charts. */
const route = useRoute()
const session = useSession()
const instruments = useInstruments()
const bottles = useBottles()
onMounted(() => void Promise.all([instruments.load(), bottles.load()]))
const { busy, problem, act } = useAction()
const typing = useTyped()
const one = computed(() => instruments.rows.find((row) => row.id === route.params.id && row.kind === 'process'))
const zone = computed(() => session.darkroom?.zone ?? 'UTC')
const limits = computed((): StripLimits => one.value?.limits ?? usualStripLimits)
const strips = computed(() => one.value?.strips ?? [])
const chart = computed(() => {
  if (!one.value || strips.value.length === 0) return { means: null, judgement: null, problem: '' }
  try {
    const good = strips.value.filter((row) => row.good)
    const means = stripMeans(one.value.reference, good, strips.value.at(-1)?.batchId ?? null)
    return {
      means,
      judgement: judgeStrips(
        strips.value.map((row) => row.strip),
        means,
        limits.value,
      ),
      problem: '',
    }
  } catch (error) {
    return { means: null, judgement: null, problem: error instanceof DomainError ? error.message : 'The chart cannot be drawn.' }
  }
})
const calls = {
  stop: 'Stop: nothing more goes through',
  'second-strip': 'Run a second strip',
  watch: 'Watch it',
  'in-control': 'In control',
}

const typed = reactive({ fog: '', low: '', high: '', max: '' })
const fields = [
  ['fog', 'Base + fog'],
  ['low', 'Low step'],
  ['high', 'High step'],
  ['max', 'Maximum'],
] as const
const good = ref(false)
const asReference = ref(false)
const batchId = ref<string | null>('none')
const limiting = ref(false)
const batches = computed(() => [
  { value: 'none', name: 'not said' },
  ...[
    ...new Map(
      bottles.rows.flatMap((bottle) =>
        bottle.batchId && bottle.family.includes('developer') && bottle.retiredAt === null ? [[bottle.batchId, bottle] as const] : [],
      ),
    ).entries(),
  ].map(([value, bottle]) => ({
    value,
    name: `${bottle.label} ${bottle.name}`,
  })),
])
let proofId = uuid()
async function add(): Promise<void> {
  const id = one.value?.id
  const form = { label: '', unit: 'D' as const, temperature: false, most: 5 }
  const [fog, low, high, max] = fields.map(([key]) => readFigure(typed[key], form))
  if (!id || fog == null || low == null || high == null || max == null) {
    problem.value = 'Write four densities, such as 0.24.'
    return
  }
  const saved = await act(() =>
    call(api.proof.strip, {
      params: { id },
      body: {
        proofId,
        strip: { fog, low, high, max },
        good: good.value,
        reference: asReference.value,
        batchId: batchId.value === 'none' ? null : batchId.value,
      },
    }),
  )
  if (!saved) return
  proofId = uuid()
  typing.kept()
  Object.assign(typed, { fog: '', low: '', high: '', max: '' })
  await instruments.load(true)
}
</script>

<template>
  <div class="station">
    <RouterLink to="/proofs" class="link inline-flex min-h-11 items-center">← Proofs</RouterLink>
    <p v-if="!instruments.loaded" role="status" data-waiting>Fetching the control chart … {{ instruments.problem }}</p>
    <p v-else-if="!one" class="text-xl">There is no such process any more.</p>
    <div v-else-if="one" class="grid grid-cols-[minmax(0,1fr)_300px] gap-8 max-lg:grid-cols-1">
      <section>
        <h1 class="text-3xl font-bold">{{ one.name }}</h1>
        <p v-if="chart.judgement" class="mt-1 text-5xl font-bold">{{ calls[chart.judgement.newest] }}</p>
        <ul v-if="chart.judgement" class="mt-2 text-lg">
          <li v-for="line in chart.judgement.says" :key="line">{{ show.said(line) }}</li>
        </ul>
        <p v-if="strips.length === 0" class="mt-3 text-xl">No strip yet. Read the first one in, or a reference strip.</p>
        <p v-else-if="chart.problem" class="mt-3 text-xl">{{ chart.problem }}</p>
        <div v-if="chart.judgement && chart.means" class="mt-4 grid grid-cols-2 gap-x-8 gap-y-4 max-md:grid-cols-1">
          <ControlChart
            v-for="measure in stripMeasures"
            :key="measure"
            :measure="measure"
            :values="strips.map((row) => measureOf(row.strip, measure))"
            :days="strips.map((row) => showDay(row.at, zone))"
            :mean="chart.means[measure]"
            :limits="limits[measure]"
            :flags="chart.judgement.flags[measure]"
          />
        </div>
        <p v-if="chart.means" class="mt-3 text-quiet">
          Held against
          {{ one.reference ? 'the reference strip' : `the mean of ${strips.filter((row) => row.good).length} strips of good batches` }}.
          Triangle: a rule speaks. Square: past the control limit.
        </p>
        <details v-if="strips.length > 0" class="mt-3">
          <summary class="min-h-11 cursor-pointer font-semibold">The strips</summary>
          <ul>
            <li v-for="row in [...strips].reverse()" :key="row.id" class="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
              <b>{{ showDate(row.at, zone) }}</b>
              <span class="font-mono">{{ fields.map(([key]) => digits(row.strip[key], 2)).join(' · ') }}</span>
              <span class="flex-1 text-quiet">{{ row.by }}{{ row.good ? ', good batch' : '' }}</span>
              <TakeTestBack :id="row.id" :what="`strip of ${showDate(row.at, zone)}`" @done="instruments.load(true)" />
            </li>
          </ul>
        </details>
      </section>
      <form class="card space-y-3 self-start" @submit.prevent="add">
        <h2 class="text-xl font-bold">A new strip</h2>
        <div class="grid grid-cols-2 gap-3">
          <TextField v-for="[key, label] in fields" :key="key" v-model="typed[key]" :label="label" />
        </div>
        <ChoiceField v-model="batchId" label="Developer of" :choices="batches" />
        <SwitchField v-model="good" label="From a good batch" detail="counts for the mean" />
        <SwitchField v-model="asReference" label="It is the reference strip" />
        <ProblemLine :problem="problem" />
        <button class="button button-main w-full" :disabled="busy">Read it in</button>
        <button type="button" class="link min-h-11" @click="limiting = true">The limits</button>
      </form>
      <LimitsPanel
        v-if="limiting"
        :instrument="one"
        :limits="limits"
        @close="limiting = false"
        @done="((limiting = false), instruments.load(true))"
      />
    </div>
  </div>
</template>
