<script setup lang="ts">
import { decideRetiring, drumOf, gravest } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import IntoDrum from '../sink/IntoDrum.vue'
import ActPanel from './ActPanel.vue'

const {
  bottle,
  sink = false,
  why = '',
} = defineProps<{ bottle: Bottle & Partial<Pick<BottlePage, 'drum'>>; sink?: boolean; why?: string }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const drumId = ref<string | null>(null)
/** by what is in it where that is known, else by what its family usually is */
const family = bottle.drum === undefined ? drumOf({ family: bottle.family, additions: [] }) : bottle.drum
const { fields, typed, busy, rest, submit } = useContractForm(api.bottle.retire, {
  begin: () => ({ version: bottle.version, reason: why || (gravest(bottle)?.message ?? ''), discard: sink }),
  send: async (body, theirs) => {
    const into = body.discard && family !== null && drumId.value !== null ? { [family]: drumId.value } : {}
    await call(api.bottle.retire, { params: { id: bottle.id }, body: { ...body, into, version: basedOn(bottle, theirs) } })
    emit('done')
  },
})
const decide = () =>
  bottle.retiredAt === null ? decideRetiring(bottle, { why: typed.value.reason ?? '', discard: typed.value.discard === true }) : null
</script>

<template>
  <ActPanel
    :title="`Retire ${bottle.label} ${bottle.name}`"
    :yes="`Retire ${bottle.label}`"
    :decide="decide"
    :bottles="[bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <BodyField v-slot="{ bind }" :of="fields" name="reason"><TextField v-bind="bind" label="Why?" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="discard">
      <SwitchField
        v-bind="bind"
        :label="`Pour away the ${show.volume(bottle.state.volumeMl)} it holds`"
        detail="into the drum of its family, never down the drain"
      />
    </BodyField>
    <IntoDrum v-if="typed.discard && family && bottle.state.volumeMl > 0" v-model="drumId" :family="family" :ml="bottle.state.volumeMl" />
    <p class="text-quiet">Gloves and goggles on; one kind at a time. Your local rules and the supplier’s sheet say what may go where.</p>
  </ActPanel>
</template>
