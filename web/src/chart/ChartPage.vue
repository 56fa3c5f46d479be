<script setup lang="ts">
import { parseRatio, showParts, showTemperature, showTime } from '@selvrin/core'
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, reactive, ref } from 'vue'
import { call, sentence } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { useChart, useFormulas } from '../stores'

/** The darkroom's own development chart: every row with its source, and a new one. */
const session = useSession()
const chart = useChart()
const formulas = useFormulas()
onMounted(() => void Promise.all([chart.load(), formulas.load()]))
const { busy, problem, act } = useAction()
const id = ref(uuid())
const draft = reactive({
  film: '',
  formulaId: null as string | null,
  parts: '1+1',
  ei: '400',
  temperatureC: 20 as number | null,
  seconds: null as number | null,
  source: '',
  note: '',
})
const wrong = reactive({ parts: '', ei: '' })
const developers = computed(() =>
  formulas.rows.filter((row) => row.body.family === 'film-developer').map((row) => ({ value: row.id, name: row.body.name })),
)
const named = computed(() => new Map(formulas.rows.map((row) => [row.id, row.body.name])))
const sorted = computed(() =>
  [...chart.rows].sort(
    (a, b) =>
      a.film.localeCompare(b.film) ||
      (named.value.get(a.formulaId) ?? '').localeCompare(named.value.get(b.formulaId) ?? '') ||
      a.ei - b.ei ||
      a.temperatureC - b.temperatureC,
  ),
)

async function add(): Promise<void> {
  wrong.parts = wrong.ei = ''
  let parts: number[] = [1]
  try {
    const read = draft.parts.trim() === 'stock' ? { parts: [1], ambiguous: false } : parseRatio(draft.parts)
    if (read.ambiguous) wrong.parts = 'Write 1+4 for one part plus four; 1:4 is read in two ways.'
    parts = read.parts
  } catch (error) {
    wrong.parts = sentence(error)
  }
  if (!/^[1-9]\d{0,4}$/.test(draft.ei.trim())) wrong.ei = 'Write the exposure index as a whole number.'
  if (wrong.parts || wrong.ei) return
  if (draft.formulaId === null || draft.temperatureC === null || draft.seconds === null) {
    problem.value = 'Choose the developer and write temperature and time.'
    return
  }
  const body = {
    id: id.value,
    film: draft.film,
    formulaId: draft.formulaId,
    parts,
    ei: Number(draft.ei),
    temperatureC: draft.temperatureC,
    seconds: draft.seconds,
    source: draft.source,
    note: draft.note,
  }
  if (!(await act(() => call(api.chart.add, { body })))) return
  id.value = uuid()
  draft.seconds = null
  await chart.load(true)
}
</script>

<template>
  <div class="station grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
    <section>
      <RouterLink to="/tanks" class="link inline-flex min-h-11 items-center">← Tanks</RouterLink>
      <h1 class="mb-3 text-3xl font-bold">Development chart</h1>
      <ProblemLine :problem="chart.problem" />
      <div class="overflow-x-auto">
        <table class="w-full border-collapse text-left">
          <thead>
            <tr class="border-b-2 border-ink">
              <th class="py-2 pr-3">Film</th>
              <th class="pr-3">EI</th>
              <th class="pr-3">Developer</th>
              <th class="pr-3">At</th>
              <th class="pr-3 text-right">Time</th>
              <th>Source</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in sorted" :key="row.id" class="border-b border-line">
              <td class="py-2 pr-3 font-semibold">{{ row.film }}</td>
              <td class="pr-3">{{ row.ei }}</td>
              <td class="pr-3">{{ named.get(row.formulaId) }}, {{ showParts(row.parts) }}</td>
              <td class="pr-3 font-mono whitespace-nowrap">{{ showTemperature(row.temperatureC, session.units) }}</td>
              <td class="pr-3 text-right font-mono text-lg font-bold">{{ showTime(row.seconds) }}</td>
              <td class="text-quiet">{{ row.source }}{{ row.note ? `: ${row.note}` : '' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <form class="card space-y-3 self-start max-lg:order-first" @submit.prevent="add">
      <h2 class="text-xl font-bold">A new row</h2>
      <TextField v-model="draft.film" label="Film" />
      <ChoiceField v-model="draft.formulaId" label="Developer" :choices="developers" placeholder="Choose …" />
      <div class="grid grid-cols-2 gap-3">
        <TextField v-model="draft.parts" label="Dilution" hint="or stock" :problem="wrong.parts" />
        <TextField v-model="draft.ei" label="EI" :problem="wrong.ei" />
        <QuantityField v-model="draft.temperatureC" kind="temperature" label="At" />
        <QuantityField v-model="draft.seconds" kind="time" label="Time" hint="9:30" />
      </div>
      <TextField v-model="draft.source" label="Source" hint="who says so" />
      <TextField v-model="draft.note" label="Note" />
      <ProblemLine :problem="problem" />
      <button class="button button-main w-full" :disabled="busy">Add it to the chart</button>
    </form>
  </div>
</template>
