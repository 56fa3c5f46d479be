<script setup lang="ts">
import { sinkApi, type Pickup } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import { kilosIn } from './drumWords'
import { readFigure } from '../fields/figure'

/** The contractor has the drums: what each weighed, and the receipt. */
const { pickup } = defineProps<{ pickup: Pickup }>()
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const receipt = ref('')
const kg = ref<Record<string, string>>(Object.fromEntries(pickup.drums.map((one) => [one.id, ''])))
const wrong = ref('')
const { busy, problem, current, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  const weights = pickup.drums.map((one) => ({ drumId: one.id, kg: readFigure(kg.value[one.id] ?? '') ?? 0 }))
  if (weights.some((one) => !(one.kg > 0))) return void (wrong.value = 'Say what each drum weighed, as the receipt has it.')
  const version = (current.value as Pickup | null)?.version ?? pickup.version
  if (await act(() => call(sinkApi.collected, { params: { id: pickup.id }, body: { version, receipt: receipt.value, weights } })))
    emit('close')
}
</script>

<template>
  <FormPanel
    :title="`Collection ${pickup.number}: they have it`"
    yes="It is collected"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <TextField v-model="receipt" label="Receipt" hint="its number; the file is attached afterwards" begin />
    <TextField
      v-for="drum in pickup.drums"
      :key="drum.id"
      :model-value="kg[drum.id] ?? ''"
      :label="`${drum.code} weighed`"
      :hint="`kg; by its lines ${kilosIn(drum.kg, session.manner)}`"
      @update:model-value="kg[drum.id] = $event"
    />
  </FormPanel>
</template>
