<script setup lang="ts">
import { api, type Mix } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import { readFigure } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import { useContractForm } from '../fields/useContractForm'
import { digits } from '../session/manner'
import { useShow } from '../session/useShow'

/** The pH of a bottled batch, and the way to put it right. */
const { mix } = defineProps<{ mix: Mix }>()
const emit = defineEmits<{ changed: [mix: Mix] }>()
const show = useShow()
const open = ref(false)
const { fields, busy, rest, submit, again } = useContractForm(api.mix.putRightPh, {
  begin: () => ({ ph: mix.batchPh?.ph ?? null, celsius: mix.batchPh?.celsius ?? null }),
  send: async (body) => {
    emit('changed', await call(api.mix.putRightPh, { params: { id: mix.id }, body }))
    open.value = false
  },
})
function begin(): void {
  again()
  open.value = true
}
const writePh = (ph: number) => digits(ph, 2)
</script>

<template>
  <p>
    <template v-if="mix.batchPh?.ph != null">
      Measured pH <b class="font-mono">{{ digits(mix.batchPh.ph, 2) }}</b>
      {{ mix.batchPh.celsius === null ? ', its temperature was not written down' : `at ${show.temperature(mix.batchPh.celsius)}` }}.
    </template>
    <template v-else>Its pH was not measured.</template>
    <button class="link ml-3 min-h-11" @click="begin">{{ mix.batchPh?.ph == null ? 'Write it down' : 'Put it right' }}</button>
  </p>
  <FormPanel :open="open" title="pH of the batch" yes="Keep it so" :busy="busy" :problem="rest" @close="open = false" @submit="submit">
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="ph">
        <ReadField v-bind="bind" label="pH" hint="empty: it was not measured" :read="readFigure" :write="writePh" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="celsius"><QuantityField v-bind="bind" kind="temperature" label="at" /></BodyField>
    </div>
  </FormPanel>
</template>
