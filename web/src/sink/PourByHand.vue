<script setup lang="ts">
import { blockWords, meeting, neverMeets, type Drum } from '@selvrin/core'
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import HandField from '../training/HandField.vue'
import { drumName, familyChoices, metalChoices } from './drumWords'
import { readFigure } from '../fields/figure'
import FunnelField from './FunnelField.vue'
import type { SinkView } from './useSink'

/** What no ledger knows of goes into a drum: a tray line, a rinse, what was left in a jug. What may never be is said before the tap. */
const { view, drum } = defineProps<{ view: SinkView; drum: WasteDrum | null }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
type Source = 'batch' | 'tray' | 'wash' | 'other'
const sources: { value: Source; name: string }[] = [
  { value: 'tray', name: 'A tray' },
  { value: 'wash', name: 'A first wash, a rinse' },
  { value: 'batch', name: 'A mix that was given up' },
  { value: 'other', name: 'Something else' },
]
const family = ref<Drum | null>(drum?.family ?? null)
const metal = ref<string | null>(drum?.metal ?? 'silver')
const source = ref<Source | null>('tray')
const ml = ref<number | null>(null)
const silver = ref('')
const ph = ref('')
const note = ref('')
const funnelId = ref<string | null>(null)
const chosen = ref<string | null>(drum?.id ?? null)
const open = computed(() => view.drums.value.filter((one) => one.state.standing === 'open' || one.state.standing === 'empty'))
const choices = computed(() =>
  open.value.map((one) => ({
    value: one.id,
    name: `${one.code}, ${drumName(one)}`,
    detail: `${show.volume(one.state.roomMl)} more go in`,
  })),
)
/** proposed as soon as it is known what it is */
const target = computed({
  get: () => chosen.value ?? (family.value === null ? null : (view.proposed(family.value, ml.value ?? 0)?.id ?? null)),
  set: (value) => (chosen.value = value),
})
const into = computed(() => open.value.find((one) => one.id === target.value))
const block = computed(() => {
  if (!into.value || family.value === null || meeting(into.value.family, family.value).verdict !== 'block') return ''
  const { family: there, state } = into.value
  const found = neverMeets(
    { family: there, ml: state.ml, contents: state.contents },
    { family: family.value, ml: ml.value ?? 0, contents: null },
    { roomM3: view.sink.value?.facts.roomM3 ?? null },
  )
  return found ? blockWords(found) : ''
})
const hand = ref<string | null>()
const wrong = ref('')
const { busy, problem, act } = useAction()
const entryId = uuid()
async function pour(): Promise<void> {
  wrong.value = ''
  const [silverG, measured] = [readFigure(silver.value), readFigure(ph.value)]
  if (family.value === null || source.value === null) return void (wrong.value = 'Say what it is.')
  if (!ml.value) return void (wrong.value = 'Say how much.')
  if (target.value === null) return void (wrong.value = 'Say which drum.')
  if (silverG === undefined || measured === undefined) return void (wrong.value = 'Silver and pH are numbers, or left out.')
  if (hand.value === null) return void (wrong.value = 'Say who pours, or leave it empty for yourself.')
  const [id, handId] = [target.value, hand.value]
  const other = {
    ...{ entryId, family: family.value, source: source.value, ml: ml.value, silverG: silverG ?? 0, note: note.value },
    metal: family.value === 'nob' ? metal.value : null,
  }
  if (
    !(await act(() => call(sinkApi.pour, { params: { id }, body: { waste: [], other, ph: measured, funnelId: funnelId.value, handId } })))
  )
    return
  await view.page.load()
  emit('close')
}
</script>

<template>
  <FormPanel
    wide
    title="Pour by hand"
    yes="It is poured"
    :busy="busy"
    :problem="wrong || problem"
    :blocked="block !== ''"
    @close="emit('close')"
    @submit="pour"
  >
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <ChoiceField v-model="family" label="What it is" :choices="familyChoices" />
      <ChoiceField v-model="source" label="Where from" :choices="sources" />
    </div>
    <ChoiceField v-if="family === 'nob'" v-model="metal" label="Which metal" :choices="metalChoices" />
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <QuantityField v-model="ml" kind="volume" label="How much" />
      <ChoiceField v-model="target" label="Drum" :choices="choices" />
    </div>
    <p v-if="block" role="alert" class="border-l-4 border-alarm pl-3 text-lg font-semibold">■ {{ block }}</p>
    <div class="grid grid-cols-2 gap-3 max-sm:grid-cols-1">
      <FunnelField v-model="funnelId" :view="view" />
      <HandField v-model="hand" label="Who pours" />
    </div>
    <div class="grid grid-cols-2 gap-3">
      <TextField v-model="silver" label="Silver in it, if known" hint="g" />
      <TextField v-model="ph" label="pH, if it was measured" />
    </div>
    <TextField v-model="note" label="Note, if any" />
    <p class="text-quiet">Gloves and goggles on, ventilate. The first rinse of the vessel goes with it.</p>
  </FormPanel>
</template>
