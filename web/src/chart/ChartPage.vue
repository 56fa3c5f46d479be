<script setup lang="ts">
import { showTime } from '@selvrin/core'
import type { ChartRow } from '@selvrin/core/contract'
import { computed, nextTick, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import ChoiceField from '../fields/ChoiceField.vue'
import FindField from '../fields/FindField.vue'
import { matches } from '../fields/matches'
import LongTable, { type LongColumn } from '../fields/LongTable.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useKept } from '../hand/useKept'
import WaitFor from '../fields/WaitFor.vue'
import { useShow } from '../session/useShow'
import { useChart, useFormulas } from '../stores'
import CellPanel from './CellPanel.vue'
import ChartRowForm from './ChartRowForm.vue'
import { wallOf, type Cell, type Wall } from './wall'

/** The darkroom's own wall chart: film by developer, every time at one temperature; behind each the rows it comes from. */
const show = useShow()
const route = useRoute()
const chart = useChart()
const formulas = useFormulas()
onMounted(() => void Promise.all([chart.load(), formulas.load()]))
const celsius = ref<number | null>(20)
const developer = ref<string | null>('all')
const find = ref('')
useKept('chart temperature', celsius)
useKept('chart developer', developer)
const developers = computed(() =>
  formulas.rows.filter((row) => row.body.family === 'film-developer').map((row) => ({ value: row.id, name: row.body.name })),
)
const choices = computed(() => [{ value: 'all', name: 'All developers' }, ...developers.value])
const shown = computed(() =>
  chart.rows.filter(
    (row) =>
      matches(`${row.film} EI ${row.ei} ${formulas.rows.find((one) => one.id === row.formulaId)?.body.name ?? ''}`, find.value) &&
      (developer.value === 'all' || row.formulaId === developer.value),
  ),
)
const wall = computed(() => wallOf(shown.value, formulas.rows, celsius.value ?? 20))
/** s of the quickest set of times in a column: what its films are put in order by */
const quickest = (film: Wall['films'][number], key: string): number | null =>
  (film.cells.get(key) ?? []).reduce<number | null>(
    (least, { seconds }) => (seconds === null ? least : Math.min(seconds, least ?? seconds)),
    null,
  )
const columns = computed((): LongColumn<Wall['films'][number]>[] => [
  { id: 'film', name: 'Film', by: (film) => `${film.film} ${String(film.ei).padStart(6, '0')}`, stays: true, class: 'min-w-36 max-w-52' },
  ...wall.value.columns.map(({ key, name, parts }) => ({
    id: key,
    name,
    below: parts,
    by: (film: Wall['films'][number]) => quickest(film, key),
    class: 'max-w-44 min-w-28',
  })),
])
const wrong = computed(
  () => wall.value.films.flatMap(({ cells }) => [...cells.values()].flat()).filter((cell) => cell.findings.length > 0).length,
)
const films = computed(() => new Set(chart.rows.map((row) => row.film)).size)

const open = ref<string | null>(null)
const cell = computed(
  () => wall.value.films.flatMap((film) => [...film.cells.values()].flat()).find((one) => one.key === open.value) ?? null,
)
const writing = ref(false)
const mending = ref<ChartRow | null>(null)
if (typeof route.query.film === 'string') find.value = route.query.film
async function done(): Promise<void> {
  writing.value = false
  mending.value = null
  await chart.load(true)
}
const cellWords = (one: Cell) => `${one.tried ? '✓ tried' : 'not tried'}${one.between && one.seconds !== null ? ', worked out' : ''}`
const printing = ref(false)
async function print(): Promise<void> {
  printing.value = true
  await nextTick()
  window.print()
  printing.value = false
}
</script>

<template>
  <div class="station">
    <RouterLink to="/tanks" class="no-print link inline-flex min-h-11 items-center">← Tanks</RouterLink>
    <div class="mb-2 flex flex-wrap items-start gap-x-5 gap-y-3">
      <h1 class="pt-8 text-3xl font-bold">Wall chart</h1>
      <QuantityField v-model="celsius" class="w-44" kind="temperature" label="At" />
      <FindField v-model="find" class="no-print" label="Find a film" kept="chart" :count="wall.films.length" :of="films" what="films" />
      <ChoiceField v-model="developer" class="no-print w-64" label="Developer" :choices="choices" />
      <span class="no-print ml-auto flex gap-3 pt-7">
        <button class="button" @click="print">Print it</button>
        <button class="button button-main" @click="writing = true">A new row</button>
      </span>
    </div>
    <WaitFor :of="[chart, formulas]" what="the chart">
      <p v-if="wrong > 0" class="mb-3 text-lg">
        <b>{{ wrong === 1 ? 'One set of times' : `${wrong} sets of times` }} cannot be right:</b> marked ▲. Plans that do not need it go on.
      </p>
      <p v-if="chart.rows.length === 0" class="text-xl">
        The chart is empty. Write its first row: a film, a developer, a time. Or begin with the times of the
        <RouterLink to="/starter" class="link inline-flex min-h-11 items-center">starter set</RouterLink>.
      </p>
      <p v-else-if="wall.films.length === 0" class="text-xl">No film like that is charted.</p>
      <LongTable
        v-else
        class="wall"
        label="Wall chart"
        :whole="printing"
        :rows="wall.films"
        :columns="columns"
        :row-key="(film) => `${film.film} ${film.ei}`"
      >
        <template #cell="{ row: film, column }">
          <template v-if="column.stays">
            <span class="text-lg">{{ film.film }}</span> <span class="block font-normal text-quiet">EI {{ film.ei }}</span>
          </template>
          <template v-else>
            <button
              v-for="one in film.cells.get(column.id) ?? []"
              :key="one.key"
              type="button"
              class="block min-h-11 w-full cursor-pointer text-left underline-offset-4 hover:underline"
              @click="open = one.key"
            >
              <b v-if="one.seconds !== null" class="font-mono text-2xl">{{ showTime(one.seconds) }}</b>
              <span v-else class="text-quiet">out of reach</span>
              <span class="block text-sm"><b v-if="one.findings.length > 0" aria-hidden="true">▲ </b>{{ cellWords(one) }}</span
              ><span class="sr-only">{{ film.film }}, EI {{ film.ei }}, {{ column.name }} {{ column.below }}</span>
            </button>
          </template>
        </template>
      </LongTable>
      <p class="mt-3 text-quiet">
        At {{ show.temperature(celsius ?? 20) }}. A time that is worked out lies between charted ones, or follows the developer’s own rule.
      </p>
    </WaitFor>
    <CellPanel
      v-if="cell"
      :cell="cell"
      :developers="developers"
      @close="open = null"
      @mend="((mending = $event), (open = null))"
      @done="done"
    />
    <ModalPanel
      :open="writing || mending !== null"
      :title="mending ? 'Mend this row' : 'A new row'"
      @close="((writing = false), (mending = null))"
    >
      <ChartRowForm :row="mending" :developers="developers" @kept="done" @leave="((writing = false), (mending = null))" />
    </ModalPanel>
  </div>
</template>
