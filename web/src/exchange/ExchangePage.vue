<script setup lang="ts">
import { exchangeKinds, writeFile, type ExchangeKind, type Present, type Understood } from '@selvrin/core'
import type { Bottle, ImportRow } from '@selvrin/core/contract'
import { proxy, wrap } from 'comlink'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { catalogue } from '../chemical/chemistry'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useChart, useFormulas, useJars, useShelves, useVessels } from '../stores'
import { everyBottle, everyLine, everyTest } from './everything'
import ProgressBar from './ProgressBar.vue'
import type { ExchangeReading } from './understand.worker'
import UnderstoodList from './UnderstoodList.vue'
import { useImport, type Progress } from './useImport'

/** Formulas, jars and the chart, out to a file and in from one: what would be written is shown line by line first. */
const route = useRoute()
const formulas = useFormulas()
const jars = useJars()
const chart = useChart()
const { busy, problem, field, act } = useAction()
/** retired ones as well: a file holds all */
const bottles = shallowRef<Bottle[]>([])
const shelves = useShelves()
const vessels = useVessels()
const load = (fresh = false) =>
  Promise.all([
    ...[formulas, jars, chart, shelves, vessels].map((list) => list.load(fresh)),
    fresh || bottles.value.length === 0 ? everyBottle().then((rows) => (bottles.value = rows)) : undefined,
  ])
onMounted(() => void load().catch(() => undefined))

const asked = route.query.kind
const kind = ref<ExchangeKind | null>(exchangeKinds.find((one) => one === asked) ?? 'formulas')
const names: Record<ExchangeKind, string> = {
  formulas: 'Formulas',
  shelves: 'Shelves',
  tanks: 'Tanks and drums',
  jars: 'Jars',
  chart: 'Development chart',
  bottles: 'Bottles',
  ledger: 'Ledger of the bottles',
  tests: 'Tests of the bottles',
}
const kinds = exchangeKinds.map((value) => ({ value, name: names[value] }))
const counts = computed((): Partial<Record<ExchangeKind, number>> => ({
  formulas: formulas.rows.length,
  jars: jars.rows.length,
  chart: chart.rows.length,
  bottles: bottles.value.length,
  shelves: shelves.rows.length,
  tanks: vessels.rows.length,
}))
const present = (): Present => ({
  formulas: formulas.rows,
  jars: jars.rows,
  chart: chart.rows,
  bottles: bottles.value,
  shelves: shelves.rows,
  tanks: vessels.rows,
})

async function save(format: 'json' | 'csv'): Promise<void> {
  if (kind.value === null) return
  const all = present()
  const good = await act(async () => {
    await load(true)
    Object.assign(all, present())
    const told = (done: number) => (reading.value = { words: 'Fetching', done, of: done })
    if (kind.value === 'ledger') all.ledger = await everyLine(told)
    if (kind.value === 'tests') all.tests = await everyTest(told)
  })
  reading.value = null
  if (!good) return
  const link = document.createElement('a')
  link.href = URL.createObjectURL(
    new Blob([writeFile(kind.value, format, all)], { type: format === 'json' ? 'application/json' : 'text/csv' }),
  )
  link.download = `${kind.value}-${new Date(now()).toISOString().slice(0, 10)}.${format}`
  link.click()
  URL.revokeObjectURL(link.href)
}

const input = useTemplateRef<HTMLInputElement>('input')
const fileName = ref('')
const lines = shallowRef<Understood[]>([])
const reading = ref<Progress | null>(null)
const sending = useImport()
const progress = computed(() => reading.value ?? sending.progress.value)
const written = ref<number | null>(null)
let worker: Worker | undefined
/** why what has grave findings is written all the same: one reason for all of the file */
const why = ref('')
const grave = computed(() => lines.value.filter((line) => line.row && line.grave).length)
const rows = computed(() =>
  lines.value.flatMap((line): ImportRow[] => {
    if (!line.row) return []
    return [line.row.kind === 'formulas' && line.grave && why.value.trim() !== '' ? { ...line.row, overrule: why.value.trim() } : line.row]
  }),
)
const wrong = computed(() => lines.value.filter((line) => line.state === 'wrong').length)

function forget(): void {
  why.value = ''
  lines.value = []
  fileName.value = ''
  written.value = null
  problem.value = ''
}
async function read(): Promise<void> {
  const file = input.value?.files?.[0]
  const wanted = kind.value
  if (!file || wanted === null) return
  forget()
  fileName.value = file.name
  await act(async () => {
    reading.value = { words: 'Reading', done: 0, of: 1 }
    await load(true)
    worker = new Worker(new URL('./understand.worker.ts', import.meta.url), { type: 'module' })
    try {
      const remote = wrap<ExchangeReading>(worker)
      const told = proxy((done: number, of: number) => (reading.value = { words: 'Reading', done, of }))
      const plain = JSON.parse(JSON.stringify(present())) as ReturnType<typeof present>
      const answer = await remote.understand(wanted, await file.text(), plain, catalogue(), told as never)
      if ('problem' in answer) throw new Error(answer.problem)
      lines.value = answer.lines
      if (answer.lines.length === 0) throw new Error('The file has no lines.')
    } finally {
      worker?.terminate()
      reading.value = null
    }
  })
  if (input.value) input.value.value = ''
}
async function apply(): Promise<void> {
  const wanted = kind.value
  if (wanted === null) return
  const good = await act(async () => {
    written.value = await sending.write(wanted, rows.value)
    await load(true)
  })
  if (good) lines.value = []
}
function stop(): void {
  if (sending.stop()) return
  worker?.terminate()
  reading.value = null
  busy.value = false
  forget()
}
onBeforeUnmount(() => worker?.terminate())
</script>

<template>
  <div class="station">
    <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Files</h1>
    <div class="mb-6 grid max-w-4xl grid-cols-[16rem_minmax(0,1fr)] items-end gap-6 max-sm:grid-cols-1">
      <ChoiceField v-model="kind" label="What" :choices="kinds" @update:model-value="forget" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy" @click="input?.click()">Read a file</button>
        <button class="button" :disabled="busy" @click="save('csv')">Save as CSV</button>
        <button class="button" :disabled="busy" @click="save('json')">Save as JSON</button>
      </div>
      <input
        ref="input"
        type="file"
        class="sr-only"
        tabindex="-1"
        aria-label="File to read"
        accept=".csv,.json,.txt,text/csv,application/json"
        @change="read"
      />
    </div>
    <ProgressBar v-if="progress" :progress="progress" @stop="stop" />
    <ProblemLine :problem="field.endsWith('overrule') && grave > 0 ? '' : problem" class="mb-4 max-w-4xl" />
    <p v-if="written !== null" class="text-2xl font-bold" role="status">
      {{ written }} {{ written === 1 ? 'line is' : 'lines are' }} written.
    </p>
    <template v-if="lines.length > 0 && !progress">
      <div class="mb-4 flex flex-wrap items-center gap-4">
        <p class="text-xl">
          <b>{{ fileName }}</b>: nothing is written yet.
        </p>
        <button class="button button-main" :disabled="busy || rows.length === 0" @click="apply">
          {{ rows.length === 0 ? 'Nothing to write' : `Write ${rows.length} ${rows.length === 1 ? 'line' : 'lines'}`
          }}{{ wrong > 0 ? `, leave ${wrong} out` : '' }}
        </button>
        <button class="button" @click="forget">Drop it</button>
      </div>
      <TextField
        v-if="grave > 0"
        v-model="why"
        class="mb-4 max-w-4xl"
        :label="`${grave} ${grave === 1 ? 'formula has' : 'formulas have'} a grave finding. Keep ${grave === 1 ? 'it' : 'them'} all the same? Say why`"
        hint="it stays on the version"
        :problem="field.endsWith('overrule') ? problem : ''"
      />
      <UnderstoodList :lines="lines" />
    </template>
    <p v-else-if="!progress && written === null && kind" class="max-w-3xl text-lg text-quiet">
      {{ counts[kind] === undefined ? '' : `${counts[kind]} ${names[kind].toLowerCase()} here. `
      }}{{ kind === 'ledger' || kind === 'tests' ? 'Their bottles come first, in a file of their own. ' : '' }}Amounts in any unit: 2.5 L, 3
      oz, 68 °F, 9:30. What a file says is shown line by line before anything is written. The shape of the files is in docs/formats.
    </p>
  </div>
</template>
