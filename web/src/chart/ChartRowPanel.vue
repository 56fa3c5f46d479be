<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { api, type ChartRow } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** What can be done with a row of the chart: mend it, say how a film by it came out, take it out. */
const { row, developer } = defineProps<{ row: ChartRow; developer: string }>()
const emit = defineEmits<{ close: []; mend: []; done: [] }>()
const session = useSession()
const show = useShow()
const { busy, problem, act } = useAction()
const note = ref(row.tried?.note ?? '')
async function tried(): Promise<void> {
  if (await act(() => call(api.chart.tried, { params: { id: row.id }, body: { version: row.version, note: note.value } }))) emit('done')
}
async function remove(): Promise<void> {
  if (await act(() => call(api.chart.remove, { params: { id: row.id }, body: { version: row.version } }))) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`${row.film} in ${developer}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="tried">
      <p class="text-2xl">
        <b class="font-mono">{{ showTime(row.seconds) }}</b> at {{ show.temperature(row.temperatureC) }}, EI {{ row.ei }}
      </p>
      <p v-if="row.tried" class="text-quiet">
        Tried {{ showDate(row.tried.at, session.darkroom?.zone ?? 'UTC') }} by {{ row.tried.by
        }}{{ row.tried.note ? `: ${row.tried.note}` : '' }}
      </p>
      <TextField v-model="note" label="Tried: how did it come out?" hint="such as: right at 10:30, a little hard" />
      <ProblemLine :problem="problem" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy">It was tried</button>
        <button type="button" class="button" @click="$emit('mend')">Mend it</button>
        <button type="button" class="button ml-auto" :disabled="busy" @click="remove">Take this row out</button>
      </div>
    </form>
  </ModalPanel>
</template>
