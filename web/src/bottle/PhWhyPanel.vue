<script setup lang="ts">
import { api, type BottlePage } from '@selvrin/core/contract'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { digits } from '../session/manner'
import { useShow } from '../session/useShow'

/** Why a batch whose pH is off may be used all the same: it takes the flag from its bottles and from what was made of them. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const { fields, busy, rest, submit } = useContractForm(api.formula.phWhy, {
  begin: () => ({ reason: '' }),
  send: async (body) => {
    if (bottle.phOff) await call(api.formula.phWhy, { params: { id: bottle.phOff.batchId }, body })
    emit('done')
  },
})
</script>

<template>
  <FormPanel :title="`The pH of ${bottle.label}`" yes="Write it down" :busy="busy" :problem="rest" @close="$emit('close')" @submit="submit">
    <p v-if="bottle.phOff">
      It read {{ digits(bottle.phOff.ph, 2)
      }}{{ bottle.phOff.celsius === null ? '' : ` at ${show.temperature(bottle.phOff.celsius)}` }} where
      {{ digits(bottle.phOff.expected, 2) }} ± {{ digits(bottle.phOff.uncertainty, 2) }} was expected of what was weighed. Its other bottles
      and what was made of them stand under the same flag.
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="reason">
      <TextField v-bind="bind" label="Why may it be used?" hint="such as: the scrap came out as always" />
    </BodyField>
  </FormPanel>
</template>
