<script setup lang="ts">
import { sinkApi, type WasteRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import HandField from '../training/HandField.vue'
import { drumName } from './drumWords'
import { readFigure } from '../fields/figure'
import FunnelField from './FunnelField.vue'
import type { SinkView } from './useSink'

/** What waits goes into a drum somebody chooses, through a funnel that is named. */
const { view, row } = defineProps<{ view: SinkView; row: WasteRow; zone: string }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const choices = computed(() =>
  view.drums.value
    .filter((one) => one.state.standing === 'open' || one.state.standing === 'empty')
    .map((one) => ({ value: one.id, name: `${one.code}, ${drumName(one)}`, detail: `${show.volume(one.state.roomMl)} more go in` })),
)
const drumId = ref<string | null>(row.drum === null ? null : (view.proposed(row.drum, row.ml)?.id ?? null))
const funnelId = ref<string | null>(null)
const ph = ref('')
const hand = ref<string | null>()
const wrong = ref('')
const { busy, problem, act } = useAction()
const pour = async (): Promise<void> => {
  wrong.value = ''
  if (drumId.value === null) return void (wrong.value = 'Say which drum.')
  const measured = readFigure(ph.value)
  if (measured === undefined) return void (wrong.value = 'The pH is a number, such as 4.5.')
  if (hand.value === null) return void (wrong.value = 'Say who pours, or leave it empty for yourself.')
  const id = drumId.value
  const body = {
    waste: [{ wasteId: row.id, entryId: uuid() }],
    other: null,
    ph: measured,
    funnelId: funnelId.value,
    handId: hand.value ?? undefined,
  }
  if (!(await act(() => call(sinkApi.pour, { params: { id }, body })))) return
  await view.page.load()
  emit('close')
}
</script>

<template>
  <FormPanel
    :title="`${show.volume(row.ml)} into a drum`"
    yes="It is poured"
    :busy="busy"
    :problem="wrong || problem"
    @close="emit('close')"
    @submit="pour"
  >
    <p class="text-lg">{{ row.note || `from ${row.label}` }}</p>
    <ChoiceField v-model="drumId" label="Drum" :choices="choices" />
    <FunnelField v-model="funnelId" :view="view" />
    <HandField v-model="hand" label="Who pours" />
    <TextField v-model="ph" label="pH, if it was measured" />
    <p class="text-quiet">Gloves and goggles on, ventilate. The first rinse of the jug goes with it.</p>
  </FormPanel>
</template>
