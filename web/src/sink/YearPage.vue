<script setup lang="ts">
import { wasteNames, yearCsv } from '@selvrin/core'
import { yearApi, type YearReport } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import PageState from '../fields/PageState.vue'
import PressOne from '../fields/PressOne.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { download } from '../hand/download'
import { counted, showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'
import { kilosIn } from './drumWords'

/** The year of the sink, for the board and the authority: what went where by family and month, silver, collections, spills. */
const session = useSession()
const show = useShow()
const year = ref<number | null>(null)
const page = usePage(
  (signal) => call(yearApi.get, { query: year.value === null ? {} : { year: year.value }, signal }),
  (event) => event.subject === 'sink' || event.subject === 'drum',
)
void page.load()
watch(year, () => void page.load())
const there = computed(() => page.value.value)
const chosen = computed({ get: () => there.value?.year ?? null, set: (value) => void (year.value = value) })
const choices = computed(() => (there.value?.years ?? []).map((value) => ({ value, name: String(value) })))
const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec']
const sum = (values: number[]): number => values.reduce((all, one) => all + one, 0)
const mass = (grams: number): string => kilosIn(grams / 1000, session.manner)
const volume = (ml: number): string => (ml === 0 ? '' : show.volume(ml))
const nameOf = ({ family, drain }: YearReport['rows'][number]): string => `${drain ? 'Down the drain: ' : ''}${wasteNames[family]}`
const all = computed(() => {
  const rows = there.value?.rows ?? []
  return {
    months: months.map((_, i) => sum(rows.map((one) => one.months[i]?.ml ?? 0))),
    ...{ ml: sum(rows.map((one) => one.ml)), grams: sum(rows.map((one) => one.grams)), silverG: sum(rows.map((one) => one.silverG)) },
  }
})
const day = (at: number): string => showDate(at, there.value?.zone ?? 'UTC')
const methods: Record<string, string> = { electrolysis: 'by current', exchange: 'by metal exchange' }
function takeOut(): void {
  const { value: report } = there
  if (report) download(`sink ${report.year}.csv`, yearCsv(report.rows, report, report), 'text/csv')
}
</script>

<template>
  <div class="station">
    <RouterLink to="/sink" class="link inline-flex min-h-11 items-center">← Sink</RouterLink>
    <div class="mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
      <h1 class="text-3xl font-bold">The year in one page</h1>
      <PressOne v-if="choices.length > 1" v-model="chosen" label="Year" :choices="choices" />
      <template v-if="there">
        <a class="button ml-auto" :href="`/api/year/paper?year=${there.year}`" target="_blank" rel="noopener">To print</a>
        <button type="button" class="button" @click="takeOut">Take it out as a table</button>
      </template>
    </div>
    <PageState
      v-if="!there"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="the year"
      back="To the Sink"
      back-to="/sink"
    />
    <template v-else>
      <ProblemLine :problem="page.problem.value" />
      <p class="mb-3 max-w-4xl text-quiet">
        For the board and the authority: by the ledgers, silver ± 30 %, weights of collections by their receipts. Nobody’s name stands in
        it. The local authority says what it wants to see.
      </p>
      <p v-if="there.rows.length === 0" class="mb-6 text-xl">Nothing was poured away in {{ there.year }}.</p>
      <div v-else class="mb-6 overflow-x-auto" tabindex="0" role="region" aria-label="By family and month">
        <table class="w-full text-right">
          <thead>
            <tr class="border-b-2 border-ink">
              <th scope="col" class="py-2 pr-3 text-left">{{ there.year }}</th>
              <th v-for="one in months" :key="one" scope="col" class="px-2 font-normal">{{ one }}</th>
              <th scope="col" class="px-2">Year</th>
              <th scope="col" class="px-2">Mass</th>
              <th scope="col" class="pl-2">Silver</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in there.rows" :key="row.family + row.drain" class="border-b border-line">
              <th scope="row" class="py-2 pr-3 text-left font-semibold">{{ nameOf(row) }}</th>
              <td v-for="(one, i) in row.months" :key="i" class="px-2 font-mono text-sm whitespace-nowrap">{{ volume(one.ml) }}</td>
              <td class="px-2 font-mono text-sm font-bold whitespace-nowrap">{{ volume(row.ml) }}</td>
              <td class="px-2 font-mono text-sm whitespace-nowrap">{{ mass(row.grams) }}</td>
              <td class="pl-2 font-mono text-sm whitespace-nowrap">{{ row.silverG < 0.05 ? '' : show.mass(row.silverG) }}</td>
            </tr>
          </tbody>
          <tfoot>
            <tr class="border-t-2 border-ink font-bold">
              <th scope="row" class="py-2 pr-3 text-left">All</th>
              <td v-for="(ml, i) in all.months" :key="i" class="px-2 font-mono text-sm whitespace-nowrap">{{ volume(ml) }}</td>
              <td class="px-2 font-mono text-sm whitespace-nowrap">{{ volume(all.ml) }}</td>
              <td class="px-2 font-mono text-sm whitespace-nowrap">{{ mass(all.grams) }}</td>
              <td class="pl-2 font-mono text-sm whitespace-nowrap">{{ show.mass(all.silverG) }}</td>
            </tr>
          </tfoot>
        </table>
      </div>
      <div class="grid grid-cols-3 gap-x-10 gap-y-6 max-lg:grid-cols-1">
        <section aria-labelledby="recovered">
          <h2 id="recovered" class="text-xl font-bold">
            Silver recovered: {{ show.mass(sum(there.recoveries.map((one) => one.silverG))) }}
          </h2>
          <ul>
            <li v-for="one in there.recoveries" :key="one.at" class="border-b border-line py-1.5">
              {{ day(one.at) }}: {{ show.mass(one.silverG) }} {{ methods[one.method] ?? one.method }}
            </li>
          </ul>
        </section>
        <section aria-labelledby="collected">
          <h2 id="collected" class="text-xl font-bold">Collected: {{ mass(1000 * sum(there.pickups.map((one) => one.kg))) }}</h2>
          <ul>
            <li v-for="one in there.pickups" :key="one.number" class="border-b border-line py-1.5">
              {{ day(one.at) }}: {{ mass(1000 * one.kg) }}, {{ one.families.map((family) => wasteNames[family]).join(', ') }}, to
              {{ one.contractor }}, licence {{ one.licence }}, {{ one.receipt ? `receipt ${one.receipt}` : 'no receipt' }}
            </li>
          </ul>
          <p class="py-1.5">
            In {{ counted(there.standing.drums, 'drum') }} now: {{ show.volume(there.standing.ml) }}, {{ mass(there.standing.grams) }}.
          </p>
        </section>
        <section aria-labelledby="spilled">
          <h2 id="spilled" class="text-xl font-bold">Spills: {{ there.incidents.length }}</h2>
          <ul>
            <li v-for="one in there.incidents" :key="one.at + one.what" class="border-b border-line py-1.5">
              {{ day(one.at) }}: {{ one.what }}{{ one.ml === null ? '' : `, ${show.volume(one.ml)}` }}
            </li>
          </ul>
        </section>
      </div>
    </template>
  </div>
</template>
