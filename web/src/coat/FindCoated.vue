<script setup lang="ts">
import { coatStanding } from '@selvrin/core'
import { coatApi } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import FindField from '../fields/FindField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useShow } from '../session/useShow'
import { sheetWords } from './coatWords'

/** Hand-coated prints that were made, found by the words of their names. */
const show = useShow()
const typed = ref('')
const page = usePage(
  (signal) => call(coatApi.list, { query: { find: typed.value, limit: 20 }, signal }),
  (event) => event.subject === 'trays',
)
void page.load()
watch(typed, () => void page.load())
const rows = computed(() => page.value.value?.rows ?? [])
const isDone = (one: (typeof rows.value)[number]): boolean => coatStanding(one.body.process, one.acts).stage === 'done'
</script>

<template>
  <section aria-labelledby="coated">
    <h2 id="coated" class="mb-2 text-2xl font-bold">All hand-coated prints</h2>
    <FindField
      v-model="typed"
      kept="coated"
      label="Find a print"
      :count="rows.length"
      :more="page.value.value?.after !== null"
      what="prints"
      class="mb-3 max-w-md"
    />
    <ProblemLine :problem="page.problem.value" />
    <p v-if="page.value.value && rows.length === 0" class="text-lg">{{ typed ? 'No print of that name.' : 'None yet.' }}</p>
    <ul class="max-w-4xl">
      <li v-for="row in rows" :key="row.id" class="border-b border-line">
        <RouterLink :to="`/trays/coated/${row.id}`" class="flex min-h-11 flex-wrap items-center gap-x-4 py-1">
          <b class="min-w-56">{{ row.body.title }}</b><span>{{ sheetWords(row.body, show.plain) }}</span
          ><span class="text-quiet">{{ row.member }}{{ isDone(row) ? '' : ', in the making' }}</span>
        </RouterLink>
      </li>
    </ul>
  </section>
</template>
