<script setup lang="ts">
import { api, type BottlePage } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { digits } from '../session/manner'

/** Why a batch whose pH is off may be used all the same: it takes the flag from its bottles and from what was made of them. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const { busy, problem, act } = useAction()
const show = useShow()
const reason = ref('')
async function keep(): Promise<void> {
  const off = bottle.phOff
  if (!off) return
  const good = await act(() => call(api.formula.phWhy, { params: { id: off.batchId }, body: { reason: reason.value } }))
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`The pH of ${bottle.label}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="keep">
      <p v-if="bottle.phOff">
        It read {{ digits(bottle.phOff.ph, 2)
        }}{{ bottle.phOff.celsius === null ? '' : ` at ${show.temperature(bottle.phOff.celsius)}` }} where
        {{ digits(bottle.phOff.expected, 2) }} ± {{ digits(bottle.phOff.uncertainty, 2) }} was expected of what was weighed. Its other
        bottles and what was made of them stand under the same flag.
      </p>
      <TextField v-model="reason" label="Why may it be used?" hint="such as: the scrap came out as always" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Write it down</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
