<script setup lang="ts">
import { ref } from 'vue'
import FindField from '../src/fields/FindField.vue'
import LongTable from '../src/fields/LongTable.vue'
import PageState from '../src/fields/PageState.vue'
import ProgressBar from '../src/fields/ProgressBar.vue'
import UndoNotice from '../src/fields/UndoNotice.vue'
import WaitFor from '../src/fields/WaitFor.vue'

/** What a page says while it waits, while the server is away, where there is nothing, and over a long list. */
const away = 'The connection to the darkroom’s server is lost.'
const rows = Array.from({ length: 3000 }, (_, i) => ({ id: `${i}`, film: `Film ${i}`, s: 300 + ((i * 37) % 600) }))
const columns = [
  { id: 'film', name: 'Film', by: (row: (typeof rows)[0]) => row.film, stays: true },
  { id: 's', name: 'Seconds', by: (row: (typeof rows)[0]) => row.s, class: 'text-right' },
]
const find = ref('')
</script>

<template>
  <PageState missing="" problem="" what="the bottle" back="Back to the shelf" back-to="/shelf" />
  <PageState missing="" :problem="away" what="the bottle" back="Back to the shelf" back-to="/shelf" />
  <PageState missing="There is no such bottle." problem="" what="the bottle" back="Back to the shelf" back-to="/shelf" />
  <WaitFor :of="[{ loaded: true, problem: away }]" what="the jars"><p>What was here before stays.</p></WaitFor>
  <ProgressBar words="Sending the picture" :share="0.4" count="4 of 10" />
  <ProgressBar words="Writing it down" :share="1" :stoppable="false" />
  <FindField v-model="find" label="Find a film" kept="rooms" :count="3000" :of="3000" what="films" />
  <LongTable label="Films" :rows="rows" :columns="columns" :row-key="(row) => row.id" :row-height="40">
    <template #cell="{ row, column }">{{ column.id === 'film' ? row.film : row.s }}</template>
  </LongTable>
  <UndoNotice says="D3: 2 rolls used." />
</template>
