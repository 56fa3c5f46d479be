<script setup lang="ts">
import { traysApi } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { usePage } from '../api/usePage'
import FindField from '../fields/FindField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SavePrints from './SavePrints.vue'

/** Prints that were made, found by the words of their names. */
const typed = ref('')
const page = usePage(
  (signal) => call(traysApi.sheets, { query: { find: typed.value, limit: 20 }, signal }),
  (event) => event.subject === 'print',
)
void page.load()
watch(typed, () => void page.load())
const rows = computed(() => page.value.value?.rows ?? [])
</script>

<template>
  <section aria-labelledby="printed">
    <h2 id="printed" class="mb-2 text-2xl font-bold">All prints</h2>
    <FindField
      v-model="typed"
      kept="prints"
      label="Find a print"
      :count="rows.length"
      :more="page.value.value?.after !== null"
      what="prints"
      class="mb-3 max-w-md"
    />
    <ProblemLine :problem="page.problem.value" />
    <p v-if="page.value.value && rows.length === 0" class="text-lg">{{ typed ? 'No print of that name.' : 'None yet.' }}</p>
    <ul class="max-w-3xl">
      <li v-for="row in rows" :key="row.id" class="border-b border-line">
        <RouterLink :to="`/trays/prints/${row.id}`" class="flex min-h-11 flex-wrap items-center gap-x-4 py-1">
          <b class="min-w-56">{{ row.title }}</b><span>{{ row.negative.what }}</span
          ><span class="text-quiet">{{ row.member }}{{ row.done ? '' : ', in the making' }}</span>
        </RouterLink>
      </li>
    </ul>
    <SavePrints v-if="rows.length > 0" />
  </section>
</template>
