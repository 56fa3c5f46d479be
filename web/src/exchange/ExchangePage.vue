<script setup lang="ts">
import { exchangeKinds, writeFile, type ExchangeKind, type Present, type Understood } from '@selvrin/core'
import { api, importPortion, type ImportRow } from '@selvrin/core/contract'
import { proxy, wrap } from 'comlink'
import { v7 as uuid } from 'uuid'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import { catalogue } from '../chemical/chemistry'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useBottles, useChart, useFormulas, useJars, useShelves } from '../stores'
import { everyLine, everyTest } from './everything'
import type { ExchangeReading } from './understand.worker'
import UnderstoodList from './UnderstoodList.vue'

/** Formulas, jars and the chart, out to a file and in from one: what would be written is shown line by line first. */
const route = useRoute()
const formulas = useFormulas()
const jars = useJars()
const chart = useChart()
const { busy, problem, act } = useAction()
const bottles = useBottles()
const shelves = useShelves()
const load = (fresh = false) =>
  Promise.all([formulas.load(fresh), jars.load(fresh), chart.load(fresh), bottles.load(fresh), shelves.load(fresh)])
onMounted(() => void load())

const asked = route.query.kind
const kind = ref<ExchangeKind | null>(exchangeKinds.find((one) => one === asked) ?? 'formulas')
const names: Record<ExchangeKind, string> = {
  formulas: 'Formulas',
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
  bottles: bottles.rows.length,
}))
const present = (): Present => ({
  formulas: formulas.rows,
  jars: jars.rows,
  chart: chart.rows,
  bottles: bottles.rows,
  shelves: shelves.rows,
})

async function save(format: 'json' | 'csv'): Promise<void> {
  if (kind.value === null) return
  await load()
  const all = present()
  const good = await act(async () => {
    const told = (done: number) => (progress.value = { words: 'Fetching', done, of: done })
    if (kind.value === 'ledger') all.ledger = await everyLine(told)
    if (kind.value === 'tests') all.tests = await everyTest(told)
  })
  progress.value = null
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
const progress = ref<{ words: string; done: number; of: number } | null>(null)
const written = ref<number | null>(null)
let worker: Worker | undefined
let importId: string | null = null
let cancelled = false
const rows = computed(() => lines.value.flatMap((line): ImportRow[] => (line.row ? [line.row] : [])))
const wrong = computed(() => lines.value.filter((line) => line.state === 'wrong').length)

function forget(): void {
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
    progress.value = { words: 'Reading', done: 0, of: 1 }
    await load(true)
    worker = new Worker(new URL('./understand.worker.ts', import.meta.url), { type: 'module' })
    try {
      const remote = wrap<ExchangeReading>(worker)
      const told = proxy((done: number, of: number) => (progress.value = { words: 'Reading', done, of }))
      const plain = JSON.parse(JSON.stringify(present())) as ReturnType<typeof present>
      const answer = await remote.understand(wanted, await file.text(), plain, catalogue(), told as never)
      if ('problem' in answer) throw new Error(answer.problem)
      lines.value = answer.lines
      if (answer.lines.length === 0) throw new Error('The file has no lines.')
    } finally {
      worker?.terminate()
      progress.value = null
    }
  })
  if (input.value) input.value.value = ''
}
async function apply(): Promise<void> {
  const wanted = kind.value
  if (wanted === null) return
  cancelled = false
  const id = uuid()
  const good = await act(async () => {
    const all = rows.value
    progress.value = { words: 'Sending', done: 0, of: all.length }
    await call(api.import.begin, { body: { id, kind: wanted, rows: all.length } })
    importId = id
    for (let from = 0; from < all.length && !cancelled; from += importPortion) {
      await call(api.import.stage, { params: { id }, body: { from, rows: all.slice(from, from + importPortion) } })
      progress.value = { words: 'Sending', done: Math.min(all.length, from + importPortion), of: all.length }
    }
    if (cancelled) {
      await call(api.import.cancel, { params: { id } })
      throw new Error('Cancelled: nothing was written.')
    }
    progress.value = { words: 'Writing', done: all.length, of: all.length }
    const answer = await call(api.import.apply, { params: { id } })
    await load(true)
    written.value = answer.written
  })
  progress.value = null
  importId = null
  if (good) lines.value = []
}
function cancel(): void {
  cancelled = true
  if (importId === null) {
    worker?.terminate()
    progress.value = null
    busy.value = false
    forget()
  }
}
onBeforeUnmount(() => {
  cancelled = true
  worker?.terminate()
})
</script>

<template>
  <div class="station">
    <RouterLink to="/formulary" class="link inline-flex min-h-11 items-center">← Formulary</RouterLink>
    <h1 class="mb-4 text-3xl font-bold">Files</h1>
    <div class="mb-6 grid max-w-4xl grid-cols-[16rem_1fr] items-end gap-6 max-sm:grid-cols-1">
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
    <div v-if="progress" class="mb-5 max-w-4xl" role="status">
      <p class="mb-2 text-xl font-semibold">{{ progress.words }} … {{ progress.done }} of {{ progress.of }}</p>
      <div class="h-6 border-2 border-quiet bg-panel">
        <div class="h-full bg-primary" :style="{ width: `${progress.of > 0 ? (progress.done / progress.of) * 100 : 0}%` }" />
      </div>
      <button v-if="progress.words !== 'Writing'" class="button mt-3" @click="cancel">Cancel</button>
    </div>
    <ProblemLine :problem="problem" class="mb-4 max-w-4xl" />
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
      <UnderstoodList :lines="lines" />
    </template>
    <p v-else-if="!progress && written === null && kind" class="max-w-3xl text-lg text-quiet">
      {{ counts[kind] === undefined ? '' : `${counts[kind]} ${names[kind].toLowerCase()} here. `
      }}{{ kind === 'ledger' || kind === 'tests' ? 'Their bottles come first, in a file of their own. ' : '' }}Amounts in any unit: 2.5 L, 3
      oz, 68 °F, 9:30. What a file says is shown line by line before anything is written. The shape of the files is in docs/formats.
    </p>
  </div>
</template>
