<script setup lang="ts">
import { api, type Mix } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { digits, readNumber } from '../session/manner'
import { useShow } from '../session/useShow'

/** The pH of a bottled batch, and the way to put it right. */
const { mix } = defineProps<{ mix: Mix }>()
const emit = defineEmits<{ changed: [mix: Mix] }>()
const show = useShow()
const { busy, problem, act } = useAction()
const open = ref(false)
const ph = ref('')
const celsius = ref<number | null>(null)
function begin(): void {
  ph.value = mix.batchPh?.ph == null ? '' : digits(mix.batchPh.ph, 2)
  celsius.value = mix.batchPh?.celsius ?? null
  open.value = true
}
async function keep(): Promise<void> {
  const read = ph.value.trim() === '' ? null : readNumber(ph.value)
  if (Number.isNaN(read) || (read !== null && read > 14)) {
    problem.value = 'A pH is a number from 0 to 14.'
    return
  }
  const good = await act(async () =>
    emit('changed', await call(api.mix.putRightPh, { params: { id: mix.id }, body: { ph: read, celsius: celsius.value } })),
  )
  if (good) open.value = false
}
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
  <ModalPanel :open="open" title="pH of the batch" @close="open = false">
    <form class="space-y-4" @submit.prevent="keep">
      <div class="grid grid-cols-2 gap-4">
        <TextField v-model="ph" label="pH" hint="empty: it was not measured" />
        <QuantityField v-model="celsius" kind="temperature" label="at" />
      </div>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Keep it so</button>
        <button type="button" class="button" @click="open = false">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
