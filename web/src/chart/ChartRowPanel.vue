<script setup lang="ts">
import { showTime } from '@selvrin/core'
import { api, type ChartRow } from '@selvrin/core/contract'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { showDate } from '../marks/words'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** What can be done with a row of the chart: mend it, say how a film by it came out, take it out. */
const { row, developer } = defineProps<{ row: ChartRow; developer: string }>()
const emit = defineEmits<{ close: []; mend: []; done: [] }>()
const session = useSession()
const show = useShow()
const { fields, busy, rest, submit } = useContractForm(api.chart.tried, {
  begin: () => ({ version: row.version, note: row.tried?.note ?? '' }),
  send: async (body, theirs) => {
    await call(api.chart.tried, { params: { id: row.id }, body: { ...body, version: basedOn(row, theirs) } })
    emit('done')
  },
})
const removing = useAction()
async function remove(): Promise<void> {
  if (await removing.act(() => call(api.chart.remove, { params: { id: row.id }, body: { version: row.version } }))) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`${row.film} in ${developer}`" @close="$emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="submit">
      <p class="text-2xl">
        <b class="font-mono">{{ showTime(row.seconds) }}</b> at {{ show.temperature(row.temperatureC) }}, EI {{ row.ei }}
      </p>
      <p v-if="row.tried" class="text-quiet">
        Tried {{ showDate(row.tried.at, session.darkroom?.zone ?? 'UTC') }} by {{ row.tried.by
        }}{{ row.tried.note ? `: ${row.tried.note}` : '' }}
      </p>
      <BodyField v-slot="{ bind }" :of="fields" name="note">
        <TextField v-bind="bind" label="Tried: how did it come out?" hint="such as: right at 10:30, a little hard" />
      </BodyField>
      <ProblemLine :problem="rest || removing.problem.value" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy">It was tried</button>
        <button type="button" class="button" @click="$emit('mend')">Mend it</button>
        <button type="button" class="button ml-auto" :disabled="removing.busy.value" @click="remove">Take this row out</button>
      </div>
    </form>
  </ModalPanel>
</template>
