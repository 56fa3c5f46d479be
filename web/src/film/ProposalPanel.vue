<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { api, type Pair } from '@selvrin/core/contract'
import { computed } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import { useShow } from '../session/useShow'
import { cameWords } from './pairWords'

/** A time proposed from how films came out: what is charted, what is proposed, where it lies, and why; taken by a hand or not at all. */
const { pair } = defineProps<{ pair: Pair }>()
const emit = defineEmits<{ close: []; taken: [] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const rows = computed(() => pair.proposal?.rows ?? [])
async function take(): Promise<void> {
  const body = {
    films: pair.proposal?.films ?? 0,
    rows: rows.value.map(({ id, version, proposedS }) => ({ id, version, seconds: proposedS })),
  }
  if (!(await act(() => call(api.film.take, { body })))) return
  emit('taken')
  emit('close')
}
</script>

<template>
  <FormPanel
    :title="`${pair.film}, EI ${pair.ei}`"
    yes="Take it into the chart"
    :busy="busy"
    :problem="problem"
    wide
    @close="$emit('close')"
    @submit="take"
  >
    <p>
      In {{ pair.developer }}: {{ pair.films }} films, {{ cameWords(pair) }}. {{ pair.proposal?.films }} of them say something of the time.
      It is drawn towards the chart as far as they are few or differ.
    </p>
    <table class="w-full text-left">
      <thead>
        <tr class="border-b-2 border-ink">
          <th scope="col" class="py-1 pr-4">At</th>
          <th scope="col" class="pr-4 text-right">Charted</th>
          <th scope="col" class="pr-4 text-right">Proposed</th>
          <th scope="col">It lies, by 95 %</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" class="border-b border-line">
          <th scope="row" class="py-1.5 pr-4 font-semibold">{{ show.temperature(row.temperatureC) }}</th>
          <td class="pr-4 text-right font-mono">{{ showTime(row.seconds) }}</td>
          <td class="pr-4 text-right font-mono text-xl font-bold">{{ showTime(row.proposedS) }}</td>
          <td class="font-mono">{{ showTime(row.lowestS) }} to {{ showTime(row.highestS) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="text-quiet">
      The chart keeps in its note what it was before. Density alone is the exposure’s as well: contrast speaks first. One more film of the
      pair, read for its density, would make it surer.
    </p>
  </FormPanel>
</template>
