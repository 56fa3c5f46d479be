<script setup lang="ts">
import { stripMeasureNames, stripMeasures, type StripLimits } from '@selvrin/core'
import { api, type Instrument } from '@selvrin/core/contract'
import { reactive } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { readFigure } from './readings'

const { instrument, limits } = defineProps<{ instrument: Instrument; limits: StripLimits }>()
const emit = defineEmits<{ close: []; done: [] }>()
const { busy, problem, act } = useAction()
const typed = reactive(
  Object.fromEntries(
    stripMeasures.map((measure) => [measure, { action: String(limits[measure].action), control: String(limits[measure].control) }]),
  ),
)
const form = { label: '', unit: 'D' as const, temperature: false, most: 2 }
async function save(): Promise<void> {
  const read = stripMeasures.map(
    (measure) =>
      [
        measure,
        { action: readFigure(typed[measure]?.action ?? '', form), control: readFigure(typed[measure]?.control ?? '', form) },
      ] as const,
  )
  if (read.some(([, limit]) => !limit.action || !limit.control)) {
    problem.value = 'Write each limit as a density, such as 0.06.'
    return
  }
  const good = await act(() =>
    call(api.proof.limits, {
      params: { id: instrument.id },
      body: { version: instrument.version, limits: Object.fromEntries(read) as unknown as StripLimits },
    }),
  )
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open title="Limits, ± from the mean" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="save">
      <div v-for="measure in stripMeasures" :key="measure" class="grid grid-cols-2 gap-4">
        <template v-if="typed[measure]">
          <TextField v-model="typed[measure].action" :label="`${stripMeasureNames[measure]}: action`" />
          <TextField v-model="typed[measure].control" label="control" />
        </template>
      </div>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Keep these limits</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
