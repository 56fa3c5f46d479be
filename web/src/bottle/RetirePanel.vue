<script setup lang="ts">
import { decideRetiring, gravest } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type Bottle } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'

const { bottle, sink = false, why = '' } = defineProps<{ bottle: Bottle; sink?: boolean; why?: string }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const reason = ref(why || (gravest(bottle)?.message ?? ''))
const discard = ref(sink)
const decide = () => (bottle.retiredAt === null ? decideRetiring(bottle, { why: reason.value, discard: discard.value }) : null)
async function retire(): Promise<void> {
  const good = await act(() =>
    call(api.bottle.retire, { params: { id: bottle.id }, body: { version: bottle.version, reason: reason.value, discard: discard.value } }),
  )
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`Retire ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="retire">
      <TextField v-model="reason" label="Why?" />
      <SwitchField
        v-model="discard"
        :label="`Pour away the ${show.volume(bottle.state.volumeMl)} it holds`"
        detail="written into the waste: fixers to the silver drum, never down the drain with developer"
      />
      <p class="text-quiet">Gloves and goggles on; one kind at a time. Your local rules and the supplier’s sheet say what may go where.</p>
      <WouldWrite :decide="decide" :bottles="[bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Retire {{ bottle.label }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
