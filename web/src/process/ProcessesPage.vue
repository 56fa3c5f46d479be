<script setup lang="ts">
import { readProcessCsv, readProcessFile, writeProcessCsv, writeProcessFile } from '@selvrin/core'
import { api, type ProcessRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FindField from '../fields/FindField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { download } from '../hand/download'
import { matches } from '../fields/matches'
import { useProcesses } from '../stores'

/** The processes of the house, by what they develop. */
const processes = useProcesses()
onMounted(() => void processes.load())
const { busy, problem, act } = useAction()
const find = ref('')
const materials: Record<ProcessRow['body']['material'], string> = {
  'bw-film': 'Black-and-white film',
  'bw-slide': 'Black-and-white slides',
  'colour-negative': 'Colour negatives',
  slide: 'Colour slides',
  paper: 'Paper',
  'hand-coated': 'Hand-coated work',
}
const groups = computed(() =>
  Object.entries(materials)
    .map(([material, name]) => ({
      name,
      rows: processes.rows.filter((row) => row.body.material === material && matches(row.body.name, find.value)),
    }))
    .filter((group) => group.rows.length > 0),
)
const shown = computed(() => groups.value.reduce((sum, group) => sum + group.rows.length, 0))
const bodies = () => processes.rows.map((row) => row.body)

const input = useTemplateRef<HTMLInputElement>('input')
const said = ref('')
async function read(): Promise<void> {
  const file = input.value?.files?.[0]
  if (!file) return
  said.value = ''
  await act(async () => {
    const text = await file.text()
    const found = /\.csv$/i.test(file.name) ? readProcessCsv(text) : readProcessFile(text)
    for (const body of found) await call(api.process.create, { body: { id: uuid(), versionId: uuid(), body } })
    said.value = `Taken in: ${found.map((one) => one.name).join(', ')}.`
  })
  if (input.value) input.value.value = ''
}
</script>

<template>
  <div class="station space-y-6">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="mr-auto text-3xl font-bold">Processes</h1>
      <button
        type="button"
        class="button"
        :disabled="!processes.loaded"
        @click="download('processes.json', writeProcessFile(bodies()), 'application/json')"
      >
        All as JSON
      </button>
      <button
        type="button"
        class="button"
        :disabled="!processes.loaded"
        @click="download('processes.csv', writeProcessCsv(bodies()), 'text/csv')"
      >
        All as CSV
      </button>
      <label class="button cursor-pointer focus-within:outline-3">
        Take a file in<input
          ref="input"
          type="file"
          accept=".json,.csv,application/json,text/csv"
          class="sr-only"
          :disabled="busy"
          @change="read"
        />
      </label>
    </div>
    <ProblemLine :problem="problem" />
    <p v-if="said" role="status" class="card">{{ said }}</p>
    <WaitFor :of="[processes]" what="the processes">
      <FindField v-model="find" class="max-w-sm" label="Find a process" kept="processes" :count="shown" :more="false" what="processes" />
      <section v-for="group in groups" :key="group.name">
        <h2 class="mb-1 text-xl font-bold">{{ group.name }}</h2>
        <ul>
          <li v-for="row in group.rows" :key="row.id" class="border-b border-line">
            <RouterLink
              :to="`/tanks/processes/${row.id}`"
              class="grid min-h-12 grid-cols-[minmax(0,2fr)_minmax(0,3fr)_12rem] items-center gap-x-4 py-1 underline-offset-4 hover:underline max-lg:grid-cols-1"
            >
              <b class="text-lg">{{ row.body.name }}</b>
              <span class="text-quiet">{{ row.body.roles.map((role) => role.name.toLowerCase()).join(', ') }}</span>
              <span class="text-quiet">{{
                row.shipped && row.number === 1 ? 'comes with the house' : `version ${row.number}, ${row.changedBy}`
              }}</span>
            </RouterLink>
          </li>
        </ul>
      </section>
    </WaitFor>
  </div>
</template>
