<script setup lang="ts">
import { exchangeKinds, writeFile, type ExchangeKind } from '@selvrin/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { download } from '../hand/download'
import ImportProgress from './ImportProgress.vue'
import UnderstoodList from './UnderstoodList.vue'
import { useImport } from './useImport'
import { usePresent } from './usePresent'
import { useReading } from './useReading'

/** Formulas, jars and the chart, out to a file and in from one: what would be written is shown line by line first. */
const route = useRoute()
const { busy, problem, field, act } = useAction()
const { load, counts, against, whole } = usePresent()
const file = useReading()
const { fileName, lines, grave, wrong, rows, why } = file
const sending = useImport()
const progress = computed(() => file.progress.value ?? sending.progress.value)
const written = ref<number | null>(null)

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
  papers: 'Papers and their boxes',
  enlargers: 'Enlargers',
  calibrations: 'What was matched in the print room',
  prints: 'Sheets of prints',
  swatches: 'Swatch book of toned strips',
  lamps: 'UV lamps',
  coated: 'Hand-coated prints',
}
/** what has to be here before a file of a kind can be read */
const before: Partial<Record<ExchangeKind, string>> = {
  ledger: 'Their bottles come first, in a file of their own. ',
  tests: 'Their bottles come first, in a file of their own. ',
  calibrations: 'Papers and enlargers come first, in files of their own. ',
  prints: 'Papers and enlargers come first, in files of their own. ',
}
/** kinds that are the print room's */
const printRoom: (ExchangeKind | null)[] = ['papers', 'enlargers', 'calibrations', 'prints']
/** kinds that have a page of their own to go back to */
const benches: Partial<Record<ExchangeKind, { to: string; name: string }>> = {
  swatches: { to: '/trays/toning', name: 'Toning' },
  lamps: { to: '/trays/coating', name: 'Hand-coated' },
  coated: { to: '/trays/coating', name: 'Hand-coated' },
}
const back = computed(() =>
  printRoom.includes(kind.value)
    ? { to: '/trays/stock', name: 'Papers and enlargers' }
    : ((kind.value === null ? undefined : benches[kind.value]) ?? { to: '/formulary', name: 'Formulary' }),
)
const kinds = exchangeKinds.map((value) => ({ value, name: names[value] }))

async function save(format: 'json' | 'csv'): Promise<void> {
  const wanted = kind.value
  if (wanted === null) return
  await act(async () => {
    const all = await whole(wanted, (done) => (file.progress.value = { words: 'Fetching', done, of: done }))
    const name = `${wanted}-${new Date(now()).toISOString().slice(0, 10)}.${format}`
    download(name, writeFile(wanted, format, all), format === 'json' ? 'application/json' : 'text/csv')
  })
  file.stop()
}
function forget(): void {
  file.forget()
  written.value = null
  problem.value = ''
}
const input = useTemplateRef<HTMLInputElement>('input')
async function read(): Promise<void> {
  const chosen = input.value?.files?.[0]
  const wanted = kind.value
  if (!chosen || wanted === null) return
  forget()
  await act(async () => {
    file.progress.value = { words: 'Reading', done: 0, of: 1 }
    const here = await against(wanted, () => undefined).catch((error: unknown) => {
      file.stop()
      throw error
    })
    await file.read(chosen, wanted, here)
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
  file.stop()
  busy.value = false
  forget()
}
</script>

<template>
  <div class="station">
    <RouterLink :to="back.to" class="link inline-flex min-h-11 items-center">← {{ back.name }}</RouterLink>
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
    <ImportProgress v-if="progress" :progress="progress" @stop="stop" />
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
      {{ counts[kind] === undefined ? '' : `${counts[kind]} ${names[kind].toLowerCase()} here. ` }}{{ before[kind] ?? '' }}Amounts in any
      unit: 2.5 L, 3 oz, 68 °F, 9:30. What a file says is shown line by line before anything is written. The shape of the files is in
      docs/formats.
    </p>
  </div>
</template>
