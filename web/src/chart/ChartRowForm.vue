<script setup lang="ts">
import { api, type ChartRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { watch } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import RatioField from '../fields/RatioField.vue'
import { readWhole } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'

/** A new row of the chart, or one that is mended. */
const { row, developers } = defineProps<{ row: ChartRow | null; developers: { value: string; name: string }[] }>()
const emit = defineEmits<{ kept: []; leave: [] }>()
const fresh = { film: '', formulaId: null, parts: [1, 1], ei: 400, temperatureC: 20, seconds: null, source: '', note: '' }
/** the next row is most often of the same film */
let last: Omit<ReturnType<typeof factsOf>, 'seconds'> | null = null
function factsOf({ film, formulaId, parts, ei, temperatureC, seconds, source, note }: ChartRow) {
  return { film, formulaId, parts, ei, temperatureC, seconds, source, note }
}
const { fields, busy, rest, current, submit, again } = useContractForm(api.chart.add, {
  begin: () => (row ? { id: row.id, ...factsOf(row) } : { id: uuid(), ...fresh, ...last }),
  send: async ({ id, ...body }, theirs) => {
    await (row
      ? call(api.chart.change, { params: { id: row.id }, body: { ...body, version: basedOn(row, theirs) } })
      : call(api.chart.add, { body: { ...body, id } }))
    const { seconds: _, ...same } = body
    last = same
    emit('kept')
  },
})
watch(() => row?.id, again)
const readEi = readWhole('Write the exposure index as a whole number.')
</script>

<template>
  <form class="space-y-3" novalidate @submit.prevent="submit">
    <BodyField v-slot="{ bind }" :of="fields" name="film"><TextField v-bind="bind" label="Film" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="formulaId">
      <ChoiceField v-bind="bind" label="Developer" :choices="developers" placeholder="Choose …" />
    </BodyField>
    <div class="grid grid-cols-2 gap-3">
      <BodyField v-slot="{ bind }" :of="fields" name="parts"><RatioField v-bind="bind" stock label="Dilution" hint="or stock" /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="ei"><ReadField v-bind="bind" label="EI" :read="readEi" :write="String" /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="temperatureC"
        ><QuantityField v-bind="bind" kind="temperature" label="At"
      /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="seconds">
        <QuantityField v-bind="bind" kind="time" label="Time" hint="9:30" />
      </BodyField>
    </div>
    <BodyField v-slot="{ bind }" :of="fields" name="source"><TextField v-bind="bind" label="Source" hint="who says so" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="note"><TextField v-bind="bind" label="Note" /></BodyField>
    <ProblemLine :problem="rest" />
    <div class="flex flex-wrap gap-3">
      <button class="button button-main flex-1" :disabled="busy">
        {{ row ? (current ? 'Keep mine over theirs' : 'Keep it') : 'Add it to the chart' }}
      </button>
      <button type="button" class="button" @click="$emit('leave')">Not now</button>
    </div>
  </form>
</template>
