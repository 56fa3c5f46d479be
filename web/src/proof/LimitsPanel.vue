<script setup lang="ts">
import { stripMeasureNames, stripMeasures, type StripLimits } from '@selvrin/core'
import { api, type Instrument } from '@selvrin/core/contract'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { readFigure, writeFigure } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'

/** How far a strip of a process may stand from the mean, in densities. */
const { instrument, limits } = defineProps<{ instrument: Instrument; limits: StripLimits }>()
const emit = defineEmits<{ close: []; done: [] }>()
const { fields, busy, rest, current, submit } = useContractForm(api.proof.limits, {
  begin: () => ({ version: instrument.version, limits }),
  send: async (body, theirs) => {
    await call(api.proof.limits, { params: { id: instrument.id }, body: { ...body, version: basedOn(instrument, theirs) } })
    emit('done')
  },
})
</script>

<template>
  <FormPanel
    title="Limits, ± from the mean"
    :yes="current ? 'Keep mine over theirs' : 'Keep these limits'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <div v-for="measure in stripMeasures" :key="measure" class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" :name="`limits.${measure}.action`">
        <ReadField v-bind="bind" :label="`${stripMeasureNames[measure]}: action`" :read="readFigure" :write="writeFigure" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" :name="`limits.${measure}.control`">
        <ReadField v-bind="bind" label="control" :read="readFigure" :write="writeFigure" />
      </BodyField>
    </div>
  </FormPanel>
</template>
