<script setup lang="ts">
import { practiceApi } from '@selvrin/core/contract'
import { computed, onMounted, ref, shallowRef } from 'vue'
import type { z } from 'zod'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { usePaged } from '../api/usePaged'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import WaitFor from '../fields/WaitFor.vue'
import { showMoment } from '../marks/words'
import { useSession } from '../session/store'
import { usePeople } from '../stores'
import { cameWords, whatWords } from './words'
import { part } from '../part/part'

/** What was practised, and the marks over time: one's own, of everybody for a technician. */
const PracticeResult = part(() => import('./PracticeResult.vue'))
const LineChart = part(() => import('../chart/LineChart.vue'))
const { of } = defineProps<{ /** of this person alone */ of?: string }>()
const session = useSession()
const who = ref<string | null>(of ?? '')
const list = usePaged(practiceApi.list, () => (who.value ? { personId: who.value } : {}), {
  holds: (row) => !who.value || row.personId === who.value,
})
defineExpose({ put: list.put })
const people = usePeople()
onMounted(() => void (session.isTechnician && !of && people.load()))
const choices = computed(() => [{ value: '', name: 'Everybody' }, ...people.rows.map(({ id, name }) => ({ value: id, name }))])
const zone = computed(() => session.session?.darkroom.zone ?? 'UTC')
const known = computed(() => ({ loaded: list.loaded.value, problem: list.problem.value }))
const rows = list.rows
const looked = shallowRef<z.output<typeof practiceApi.get.response> | null>(null)
const { problem, act } = useAction()
const look = (id: string) => act(async () => (looked.value = await call(practiceApi.get, { params: { id } })))
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
      <ChoiceField v-if="session.isTechnician && !of" v-model="who" class="w-64" label="By whom" :choices="choices" />
    </div>
    <WaitFor :of="[known]" what="what was practised">
      <p v-if="rows.length === 0" class="mt-2 text-quiet">{{ who ? 'Nothing of theirs.' : 'Whoever practises finds it here.' }}</p>
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
          <button v-if="row.kind === 'run'" type="button" class="link min-h-11 text-left text-lg font-bold" @click="look(row.id)">
            {{ whatWords(row) }}
          </button>
          <b v-else class="py-2 text-lg">{{ whatWords(row) }}</b>
          <span v-if="session.isTechnician && !of">{{ row.person }}</span>
          <span class="text-quiet">{{ showMoment(row.at, zone) }}</span>
          <span class="ml-auto text-right"
            >{{ row.clean ? '' : '▲ ' }}{{ cameWords(row) }}<b v-if="row.score !== null" class="ml-3 font-mono">{{ row.score }}</b></span
          >
        </li>
      </ul>
      <ModalPanel :open="looked !== null" wide :title="looked ? whatWords(looked.row) : ''" @close="looked = null">
        <PracticeResult v-if="looked" :row="looked.row" :plan="looked.plan" :practised="looked.practised" />
        <button type="button" class="button mt-5" @click="looked = null">Close</button>
      </ModalPanel>
      <ProblemLine :problem="problem" />
      <button v-if="list.hasMore.value" class="button mt-4" :disabled="list.busy.value" @click="list.more()">Show more</button>
    </WaitFor>
  </section>
</template>
