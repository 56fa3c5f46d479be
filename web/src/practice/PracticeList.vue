<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { computed, defineAsyncComponent, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import ChoiceField from '../fields/ChoiceField.vue'
import PageState from '../fields/PageState.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { cameWords, whatWords } from './words'

/** What was practised, and the marks over time: one's own, of everybody for a technician. */
const LineChart = defineAsyncComponent(() => import('../chart/LineChart.vue'))
const session = useSession()
const page = usePage((signal) => call(api.practice.list, { query: {}, signal }))
onMounted(() => void page.load())
defineExpose({ load: page.load })
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const all = computed(() => page.value.value?.rows ?? [])
const who = ref<string | null>('')
const people = computed(() => [
  { value: '', name: 'Everybody' },
  ...[...new Map(all.value.map((row) => [row.personId, row.person]))].map(([value, name]) => ({ value, name })),
])
const rows = computed(() => all.value.filter((row) => !who.value || row.personId === who.value))
/** marks of one person's runs, the oldest first */
const marks = computed(() => {
  const runs = rows.value.filter((row) => row.score !== null).toReversed()
  return new Set(runs.map((row) => row.personId)).size === 1 && runs.length > 1
    ? runs.map((row, i): [number, number] => [i + 1, row.score ?? 0])
    : []
})
</script>

<template>
  <section aria-labelledby="practised">
    <div class="flex flex-wrap items-end justify-between gap-4">
      <h2 id="practised" class="text-2xl font-bold">What was practised</h2>
      <ChoiceField v-if="session.isTechnician && people.length > 2" v-model="who" class="w-64" label="By whom" :choices="people" />
    </div>
    <PageState
      v-if="!page.value.value"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="what was practised"
      back="To the films"
      back-to="/films"
    />
    <p v-else-if="rows.length === 0" class="mt-2 text-quiet">Nothing yet.</p>
    <template v-else>
      <LineChart
        v-if="marks.length > 0"
        class="my-3 h-52"
        :lines="[{ name: 'marks of 100', points: marks }]"
        x-name="practice"
        y-name="marks"
        :says="`Marks over ${marks.length} practices, the last ${marks.at(-1)?.[1]} of 100.`"
      />
      <ul>
        <li v-for="row in rows" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 border-b border-line py-2.5">
          <b class="text-lg">{{ whatWords(row) }}</b>
          <span v-if="session.isTechnician">{{ row.person }}</span>
          <span class="text-quiet">{{ showMoment(row.at, zone) }}</span>
          <span class="ml-auto text-right"
            >{{ row.clean ? '' : '▲ ' }}{{ cameWords(row) }}<b v-if="row.score !== null" class="ml-3 font-mono">{{ row.score }}</b></span
          >
        </li>
      </ul>
    </template>
  </section>
</template>
