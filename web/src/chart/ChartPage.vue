<script setup lang="ts">
import { checkChart, showParts, showTime, type Finding } from '@selvrin/core'
import type { ChartRow } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { useShow } from '../session/useShow'
import { useChart, useFormulas } from '../stores'
import ChartRowForm from './ChartRowForm.vue'
import ChartRowPanel from './ChartRowPanel.vue'
import WaitFor from '../fields/WaitFor.vue'

/** The darkroom's own development chart: every row with its source and what is wrong with it; rows are added, mended, tried, taken out. */
const show = useShow()
const chart = useChart()
const formulas = useFormulas()
onMounted(() => void Promise.all([chart.load(), formulas.load()]))
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
const setOf = (row: ChartRow): string => [row.film, row.formulaId, row.parts.join('+'), row.ei, row.source].join('|')
/** What is wrong with the temperatures of a set of rows, at the last of them. */
const wrong = computed(() => {
  const sets = new Map<string, ChartRow[]>()
  for (const row of sorted.value) sets.set(setOf(row), [...(sets.get(setOf(row)) ?? []), row])
  const said = new Map<string, Finding[]>()
  for (const rows of sets.values()) {
    const findings = checkChart(rows)
    const last = rows.at(-1)
    if (findings.length > 0 && last) said.set(last.id, findings)
  }
  return said
})
const open = ref<ChartRow | null>(null)
const mending = ref<ChartRow | null>(null)
async function done(): Promise<void> {
  open.value = mending.value = null
  await chart.load(true)
}
</script>

<template>
  <div class="station grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
    <section>
      <RouterLink to="/tanks" class="link inline-flex min-h-11 items-center">← Tanks</RouterLink>
      <h1 class="mb-3 text-3xl font-bold">Development chart</h1>
      <WaitFor :of="[chart, formulas]" what="the chart">
        <p v-if="wrong.size > 0" class="mb-3 text-lg">
          <b>{{ wrong.size === 1 ? 'One set of times' : `${wrong.size} sets of times` }} cannot be right.</b> Each is said at its last row;
          plans that do not need it go on.
        </p>
        <div class="overflow-x-auto">
          <table class="w-full border-collapse text-left">
            <thead>
              <tr class="border-b-2 border-ink">
                <th class="py-2 pr-3">Film</th>
                <th class="pr-3">EI</th>
                <th class="pr-3">Developer</th>
                <th class="pr-3">At</th>
                <th class="pr-3 text-right">Time</th>
                <th class="pr-3">Source</th>
                <th><span class="sr-only">What to do</span></th>
              </tr>
            </thead>
            <tbody>
              <template v-for="row in sorted" :key="row.id">
                <tr class="border-b border-line">
                  <td class="py-2 pr-3 font-semibold">{{ row.film }}</td>
                  <td class="pr-3">{{ row.ei }}</td>
                  <td class="pr-3">{{ named.get(row.formulaId) }}, {{ showParts(row.parts) }}</td>
                  <td class="pr-3 font-mono whitespace-nowrap">{{ show.temperature(row.temperatureC) }}</td>
                  <td class="pr-3 text-right font-mono text-lg font-bold">{{ showTime(row.seconds) }}</td>
                  <td class="pr-3 text-quiet">
                    {{ row.source }}{{ row.note ? `: ${row.note}` : '' }}<b v-if="row.tried" class="text-ink"> · tried</b>
                  </td>
                  <td>
                    <button
                      type="button"
                      class="link min-h-11 whitespace-nowrap"
                      :aria-label="`Change ${row.film}, ${show.temperature(row.temperatureC)}`"
                      @click="open = row"
                    >
                      change
                    </button>
                  </td>
                </tr>
                <tr v-for="finding in wrong.get(row.id) ?? []" :key="finding.message" class="border-b border-line">
                  <td colspan="7" class="py-2">
                    <b :class="finding.severity === 'error' ? 'text-alarm' : ''">{{ show.said(finding.message) }}</b>
                  </td>
                </tr>
              </template>
            </tbody>
          </table>
        </div>
      </WaitFor>
    </section>
    <ChartRowForm :row="mending" :developers="developers" @kept="done" @leave="mending = null" />
    <ChartRowPanel
      v-if="open"
      :key="open.id"
      :row="open"
      :developer="named.get(open.formulaId) ?? ''"
      @close="open = null"
      @mend="((mending = open), (open = null))"
      @done="done"
    />
  </div>
</template>
