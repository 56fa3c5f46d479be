<script setup lang="ts">
import { api, type Roll } from '@selvrin/core/contract'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'

/** A dry film is cut, sleeved and numbered. */
const { roll } = defineProps<{ roll: Roll }>()
const emit = defineEmits<{ close: []; put: [roll: Roll] }>()
const wide = roll.format === '120' || roll.format === '220'
const cuts = [
  ...(wide ? [3, 4] : roll.format === '4x5in' ? [] : [6, 5]).map((frames) => ({ value: String(frames), name: `Strips of ${frames}` })),
  { value: '0', name: 'Left whole' },
]
const { fields, busy, rest, current, submit } = useContractForm(api.film.sleeve, {
  begin: () => ({
    version: roll.version,
    cut: roll.cut ?? Number(cuts[0]?.value ?? 0),
    sleeve: roll.sleeve ?? `${roll.runNumber ?? '–'}-${roll.reel ?? 1}`,
  }),
  send: async (body, theirs) => {
    emit('put', await call(api.film.sleeve, { params: { id: roll.id }, body: { ...body, version: basedOn(roll, theirs) } }))
    emit('close')
  },
})
</script>

<template>
  <FormPanel
    :title="`${roll.film}, ${roll.member}`"
    :yes="current ? 'Keep mine over theirs' : 'It is in its sleeve'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p>Cotton gloves, and a clean, dust-free place. Its owner is told where it is; its place in the dryer is free.</p>
    <BodyField v-slot="{ bind }" :of="fields" name="cut"
      ><ChoiceField
        :model-value="String(bind.modelValue)"
        :problem="bind.problem"
        label="Cut"
        :choices="cuts"
        @update:model-value="(frames: string | null) => bind['onUpdate:modelValue'](Number(frames))"
    /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="sleeve"><TextField v-bind="bind" label="On the sleeve" /></BodyField>
  </FormPanel>
</template>
