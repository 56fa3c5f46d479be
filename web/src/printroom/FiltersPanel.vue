<script setup lang="ts">
import { filterWeight, usualWeights } from '@selvrin/core'
import { traysApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import { readFigure } from '../fields/figure'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import type { RoomView } from './useRoom'

/** What a dial costs: a grey patch printed, the dial turned up, and the time that gives the same grey again. */
const { room } = defineProps<{ room: RoomView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const enlargerId = ref<string | null>(room.enlargerChoices.value[0]?.value ?? null)
const papers = computed(() =>
  (room.there.value?.papers ?? []).filter((one) => one.material !== 'black-and-white').map(({ id, name }) => ({ value: id, name })),
)
const paperId = ref<string | null>(papers.value[0]?.value ?? null)
const dial = ref<'y' | 'm' | 'c' | null>('m')
const [units, before, after, note] = [ref('20'), ref(''), ref(''), ref('')]
const wrong = ref('')
const read = computed(() => {
  const [turned, beforeS, afterS] = [units, before, after].map((one) => readFigure(one.value))
  return turned && turned > 0 && beforeS && beforeS > 0 && afterS && afterS > 0 ? { units: turned, beforeS, afterS } : null
})
const weight = computed(() => (read.value ? filterWeight(read.value) : null))
const usual = computed(() => usualWeights[dial.value ?? 'm'])
const id = uuid()
const { busy, problem, act } = useAction()
async function keep(): Promise<void> {
  wrong.value = ''
  if (!read.value || enlargerId.value === null)
    return void (wrong.value = 'Write by how many units the dial was turned, and the seconds of the same grey before and after.')
  const body = {
    ...{ kind: 'filters' as const, enlargerId: enlargerId.value, paperId: paperId.value, dial: dial.value ?? 'm' },
    ...{ ...read.value, note: note.value },
  }
  if (await act(() => call(traysApi.calibrate, { body: { id, body } }))) emit('close')
}
</script>

<template>
  <FormPanel
    title="What a dial costs"
    yes="It holds from now on"
    wide
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="keep"
  >
    <p>A grey patch, printed; then one dial turned up, and strips until the grey is as dark as it was. Its colour does not matter.</p>
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <ChoiceField v-model="enlargerId" label="Head" :choices="room.enlargerChoices.value" />
      <ChoiceField v-model="paperId" label="Paper" :choices="papers" />
    </div>
    <PressOne
      v-model="dial"
      label="Dial"
      :choices="[
        { value: 'y', name: 'yellow' },
        { value: 'm', name: 'magenta' },
        { value: 'c', name: 'cyan' },
      ]"
    />
    <div class="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
      <TextField v-model="units" label="Turned up by" hint="units" />
      <TextField v-model="before" label="The grey before" hint="s" />
      <TextField v-model="after" label="The same grey after" hint="s" />
    </div>
    <p v-if="weight !== null" class="text-xl" role="status">
      Each unit costs <b class="font-mono">{{ show.number(weight, 2) }}</b> of its density, where {{ show.number(usual, 1) }} is usual.
    </p>
    <TextField v-model="note" label="Note, if any" />
  </FormPanel>
</template>
