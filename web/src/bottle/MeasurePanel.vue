<script setup lang="ts">
import { decideMeasure } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'

/** What a bottle holds, measured: the graduate decides over the sum of its lines. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const entryId = uuid()
const { fields, ready, busy, rest, submit } = useContractForm(api.bottle.measure, {
  begin: () => ({ entryId, ml: null, note: '' }),
  send: async (body) => emit('done', await call(api.bottle.measure, { params: { id: bottle.id }, body })),
})
const off = computed(() => ready.value && ready.value.ml - bottle.state.volumeMl)
const decide = () => ready.value && decideMeasure(bottle, ready.value)
</script>

<template>
  <ActPanel
    :title="`What ${bottle.label} holds`"
    :decide="decide"
    :bottles="[bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <BodyField v-slot="{ bind }" :of="fields" name="ml">
      <QuantityField
        v-bind="bind"
        kind="volume"
        label="Measured"
        :near="bottle.state.volumeMl"
        :hint="`by its lines ${show.volume(bottle.state.volumeMl)}`"
      />
    </BodyField>
    <p v-if="off !== null" class="text-lg" role="status">
      {{
        Math.abs(off) < 0.5
          ? 'Just what its lines come to.'
          : `${show.volume(Math.abs(off))} ${off < 0 ? 'less' : 'more'} than its lines come to.`
      }}
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="note"><TextField v-bind="bind" label="Note, if any" /></BodyField>
  </ActPanel>
</template>
