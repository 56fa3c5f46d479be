<script setup lang="ts">
import { clockAt, prepOf, type JugToFill, type PrepTask } from '@selvrin/core'
import { eveningApi } from '@selvrin/core/contract'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { call } from '../api/call'
import PageState from '../fields/PageState.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TickBox from '../fields/TickBox.vue'
import BathMark from '../marks/BathMark.vue'
import { showDate } from '../marks/words'
import { useShow } from '../session/useShow'
import ClosingList from './ClosingList.vue'
import SafetyFirst from './SafetyFirst.vue'
import { useEvening } from './useEvening'

/** What is to be done before each load, by when; what stands in the record ticks itself off. */
const id = String(useRoute().params.id)
const view = useEvening(id)
const { page, evening, house, runs, asIs, names, time, problem, act } = view
const show = useShow()
const tasks = computed(() =>
  evening.value && house.value && asIs.value
    ? prepOf(evening.value.body, { house: house.value, runs: runs.value, asIs: asIs.value, ticked: page.value.value?.ticked ?? [] })
    : [],
)
const open = computed(() => tasks.value.filter((task) => !task.done))
const done = computed(() => tasks.value.filter((task) => task.done))
const nowS = computed(() => (names.value ? (time.value - names.value.midnight) / 1000 : 0))
const byItself = (task: PrepTask): boolean => task.kind === 'test'
const tick = (task: PrepTask, isDone: boolean) =>
  act(async () => {
    await call(eveningApi.tick, { params: { id }, body: { task: task.id, done: isDone } })
    await page.load()
  })
const jugWords = ({ label, partsMl, temperatureC }: JugToFill): string => {
  const [concentrate = 0, ...rest] = partsMl
  const water = rest.reduce((sum, ml) => sum + ml, 0)
  return `${label} ${show.volume(concentrate)}${water > 0 ? ` + water ${show.volume(water)}` : ''}, ${show.temperature(temperatureC)}`
}
</script>

<template>
  <div class="station max-w-4xl">
    <RouterLink :to="`/rota/evenings/${id}`" class="link inline-flex min-h-11 items-center">← The board</RouterLink>
    <PageState
      v-if="!evening || !names"
      :missing="page.missing.value"
      :problem="page.problem.value"
      what="this evening"
      back="To the Rota"
      back-to="/rota"
    />
    <template v-else>
      <h1 class="mb-1 text-3xl font-bold">Before the doors open</h1>
      <p class="mb-4 text-lg text-quiet">
        {{ showDate(evening.body.opensAt, house?.zone ?? 'UTC') }}, open at {{ clockAt(names, asIs?.problem.opensS ?? 0) }}.
        {{ open.length === 0 ? 'All is done.' : `${open.length} to do.` }}
      </p>
      <p class="mb-4 border-l-4 border-ink pl-3">
        Gloves and goggles; ventilate; acid into water, never the other way. The supplier’s safety sheet decides over this list.
      </p>
      <SafetyFirst :opens-at="evening.body.opensAt" />
      <ProblemLine :problem="problem" />
      <ul aria-label="To do">
        <li
          v-for="task in [...open, ...done]"
          :key="task.id"
          class="flex items-start gap-4 border-b border-line py-3"
          :class="task.done ? 'text-quiet' : ''"
        >
          <TickBox
            v-if="!byItself(task)"
            class="justify-center"
            :checked="task.done"
            :label="`Done: ${task.kind}`"
            @change="tick(task, !task.done)"
          />
          <span v-else class="flex min-h-11 min-w-11 items-center justify-center text-2xl" :aria-label="task.done ? 'done' : 'to do'">{{
            task.done ? '✓' : '○'
          }}</span>
          <b class="w-20 shrink-0 pt-2 font-mono text-xl" :class="!task.done && task.byS < nowS ? 'text-alarm' : ''">{{
            clockAt(names, 60 * Math.floor(task.byS / 60))
          }}</b>
          <div class="min-w-0 flex-1 pt-1.5">
            <template v-if="task.kind === 'mix'"
              ><p class="text-lg">
                <b>Mix</b> <RouterLink class="link" :to="`/formulary/${task.formulaId}`">{{ task.name }}</RouterLink>
              </p>
              <p class="text-quiet">{{ show.said(task.why) }}</p></template
            >
            <template v-else-if="task.kind === 'test'"
              ><p class="text-lg">
                <b>Test</b>{{ ' '
                }}<RouterLink class="link" :to="`/proofs/${task.test}/${task.bottleId}`"
                  >{{ task.label }}: {{ task.name.toLowerCase() }}</RouterLink
                >
              </p>
              <p v-if="task.says" class="text-quiet">{{ show.said(task.says) }}</p></template
            >
            <p v-else-if="task.kind === 'heat'" class="text-lg">
              <b>Set</b> {{ names.bath(task.bath) }} to <b class="font-mono">{{ show.temperature(task.c) }}</b>
            </p>
            <template v-else-if="task.kind === 'set-out'"
              ><p class="text-lg"><b>Set out</b> the bottles</p>
              <ul class="flex flex-wrap gap-x-6">
                <li v-for="one in task.bottles" :key="one.label" class="flex items-center gap-2">
                  <BathMark :family="one.family" :size="18" /><b>{{ one.label }}</b> {{ one.name }}
                </li>
              </ul></template
            >
            <p v-else-if="task.kind === 'trays'" class="text-lg">
              <b>Set the trays</b> for printing: developer, stop bath, fixer, water; {{ task.light }} safelight on.
            </p>
            <template v-else
              ><p class="text-lg"><b>Measure out</b> for {{ names.load(task.load) }}, {{ names.vessel(task.vessel) }}</p>
              <ul>
                <li v-for="(jug, i) in task.jugs" :key="i" class="flex items-center gap-2">
                  <BathMark :family="jug.family" :size="18" /><span class="font-mono">{{ jugWords(jug) }}</span>
                </li>
              </ul></template
            >
          </div>
        </li>
      </ul>
      <ClosingList v-if="house" class="mt-8" :body="evening.body" :house="house" :runs="runs" />
    </template>
  </div>
</template>
