<script setup lang="ts">
import { asWritten, houseDefault, starterParts, understandStarter, type Present, type StarterPart } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { useAction } from '../api/useAction'
import { catalogue } from '../chemical/chemistry'
import { vFocusFirst } from '../hand/focusFirst'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import WaitFor from '../fields/WaitFor.vue'
import { useShow } from '../session/useShow'
import { useChart, useFormulas, useShelves, useVessels } from '../stores'
import ImportProgress from './ImportProgress.vue'
import { useImport } from './useImport'

/** House formulas, tanks, shelves and times to begin with, chosen part by part and written as a file of them would be. */
const [formulas, chart, vessels, shelves] = [useFormulas(), useChart(), useVessels(), useShelves()]
const lists = [formulas, chart, vessels, shelves]
const load = (fresh = false) => Promise.all(lists.map((list) => list.load(fresh)))
onMounted(() => void load())
const show = useShow()
const { busy, problem, act } = useAction()
const { progress, write, stop } = useImport()
const left = ref<string[]>([])
const written = ref<number | null>(null)

/** Each part against what is here and against the chosen parts before it. */
const parts = computed(() => {
  let present: Present = { formulas: formulas.rows, chart: chart.rows, tanks: vessels.rows, shelves: shelves.rows, jars: [] }
  return starterParts.map((part) => {
    const lines = understandStarter(part, present, uuid, catalogue())
    const rows = lines.flatMap((line) => (line.row ? [line.row] : []))
    const chosen = !left.value.includes(part.key) && rows.length > 0
    if (chosen) present = asWritten(present, rows)
    return { part, lines, rows, chosen }
  })
})
const chosen = computed(() => parts.value.filter((one) => one.chosen))
const count = computed(() => chosen.value.reduce((sum, one) => sum + one.rows.length, 0))
const choose = (part: StarterPart, on: boolean) =>
  (left.value = on ? left.value.filter((key) => key !== part.key) : [...left.value, part.key])
const state = ({ lines, rows, chosen: on }: (typeof parts.value)[number]) =>
  rows.length === 0
    ? lines.some((line) => line.state === 'wrong')
      ? 'needs the film developers first'
      : 'all here already'
    : `${rows.length} new${rows.length < lines.length ? `, ${lines.length - rows.length} here already` : ''}${on ? '' : ', left out'}`

async function begin(): Promise<void> {
  written.value = null
  const todo = chosen.value.map(({ part, rows }) => ({ kind: part.kind, rows }))
  let sum = 0
  await act(async () => {
    try {
      for (const { kind, rows } of todo) sum += await write(kind, rows)
    } finally {
      await load(true)
      if (sum > 0) written.value = sum
    }
  })
}
</script>

<template>
  <div class="station max-w-5xl">
    <RouterLink to="/" class="link inline-flex min-h-11 items-center">← Shelf</RouterLink>
    <h1 class="mb-2 text-3xl font-bold">Starter set</h1>
    <p class="mb-5 max-w-3xl text-lg">
      Generic chemistry, usual tanks and times, so that a house need not begin with nothing. All of it is marked “{{ houseDefault }}, not
      yet tried here”: run a test film before anybody’s only negatives depend on it. What is here under the same name stays as it is.
    </p>
    <WaitFor :of="lists" what="what is here already">
      <ul class="mb-5">
        <li v-for="one in parts" :key="one.part.key" class="border-b border-line py-2">
          <div class="flex flex-wrap items-center gap-x-6">
            <SwitchField
              v-if="one.rows.length > 0"
              class="min-w-0 flex-1"
              :model-value="one.chosen"
              :label="one.part.name"
              :detail="one.part.why"
              @update:model-value="(on: boolean) => choose(one.part, on)"
            />
            <p v-else class="min-w-0 flex-1 pl-17">
              <b>{{ one.part.name }}</b> <span class="block text-quiet">{{ one.part.why }}</span>
            </p>
            <span class="font-semibold">{{ state(one) }}</span>
          </div>
          <details class="pl-17">
            <summary class="link inline-flex min-h-11 cursor-pointer items-center">
              {{ one.lines.length === 1 ? 'Show it' : `Show the ${one.lines.length}` }}
            </summary>
            <ul class="pb-2">
              <li v-for="line in one.lines" :key="line.line">
                {{ line.state === 'new' ? '+' : line.state === 'wrong' ? '▲' : '=' }} {{ show.said(line.says) }}
                <span v-for="wrong in line.problems" :key="wrong" class="text-alarm">{{ wrong }}</span>
              </li>
            </ul>
          </details>
        </li>
        <li class="border-b border-line py-2 pl-17">
          <b>When tests fall due</b>
          <span class="block text-quiet">
            in place from the first day, house defaults too; <RouterLink to="/proofs/rules" class="link">change them</RouterLink>
          </span>
        </li>
      </ul>
      <ProblemLine :problem="problem" class="mb-3" />
      <p v-if="written !== null" v-focus-first class="mb-4 text-2xl font-bold" role="status" tabindex="-1">
        {{ written }} {{ written === 1 ? 'line is' : 'lines are' }} written.
        <RouterLink to="/" class="link text-lg">On with the first steps</RouterLink>
      </p>
      <ImportProgress v-if="progress" :progress="progress" @stop="stop" />
      <button class="button button-main min-h-14 px-8" :disabled="busy || count === 0" @click="begin">
        {{ count === 0 ? 'Nothing to write' : `Write ${count} ${count === 1 ? 'line' : 'lines'}` }}
      </button>
    </WaitFor>
  </div>
</template>
