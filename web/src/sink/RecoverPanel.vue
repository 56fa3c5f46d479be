<script setup lang="ts">
import {
  electrolysisEfficiency,
  electrolysisG,
  exchangeG,
  flakeAssay,
  recoveryAdvice,
  recoveryBalance,
  type RecoveryBody,
} from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import PressOne from '../fields/PressOne.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import { useShow } from '../session/useShow'
import { drumName } from './drumWords'
import { readFigure } from '../fields/figure'
import type { SinkView } from './useSink'

/** A recovery with its balance: what left the liquid against what was found. */
const { view } = defineProps<{ view: SinkView }>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
const method = ref<RecoveryBody['method'] | null>('electrolysis')
const methods: { value: RecoveryBody['method']; name: string }[] = [
  { value: 'electrolysis', name: 'By current' },
  { value: 'exchange', name: 'By metal exchange' },
]
const none = 'none'
const drumId = ref<string | null>(none)
const choices = computed(() => [
  { value: none, name: 'From no drum' },
  ...view.drums.value.filter((one) => one.family === 'sil').map((one) => ({ value: one.id, name: `${one.code}, ${drumName(one)}` })),
])
const written = ref({
  litres: '',
  inGPerL: '',
  outGPerL: '',
  grams: '',
  assay: String(100 * flakeAssay),
  amps: '',
  hours: '',
  ironG: '',
  note: '',
})
const read = computed((): RecoveryBody | null => {
  const { note, ...figures } = written.value
  const all = Object.fromEntries(Object.entries(figures).map(([key, text]) => [key, readFigure(text)])) as Record<
    keyof typeof figures,
    number | null | undefined
  >
  const { litres, inGPerL, outGPerL, grams, assay, amps = null, hours = null, ironG = null } = all
  if (method.value === null || litres == null || inGPerL == null || outGPerL == null || grams == null || assay == null) return null
  return { method: method.value, litres, inGPerL, outGPerL, grams, assay: assay / 100, amps, hours, ironG, note }
})
const balance = computed(() => {
  try {
    return read.value && recoveryBalance(read.value)
  } catch {
    return null
  }
})
/** what the current, or the metal, could have taken out */
const expected = computed(() => {
  const [amps, hours, iron] = [written.value.amps, written.value.hours, written.value.ironG].map(readFigure)
  if (method.value === 'exchange') return iron ? exchangeG(iron) : null
  return amps && hours ? electrolysisG({ amps, hours, efficiency: electrolysisEfficiency.fixer }) : null
})
const wrong = ref('')
const { busy, problem, act } = useAction()
const id = uuid()
async function keep(): Promise<void> {
  wrong.value = ''
  const { value: body } = read
  if (!body) return void (wrong.value = 'Litres, silver before and after, what was found and its assay are needed.')
  const drum = drumId.value === none ? null : drumId.value
  if (await act(() => call(sinkApi.recover, { body: { id, drumId: drum, body } }))) emit('close')
}
</script>

<template>
  <FormPanel
    title="What was recovered"
    yes="Write it down"
    :busy="busy"
    :problem="wrong || problem"
    wide
    @close="emit('close')"
    @submit="keep"
  >
    <PressOne v-model="method" label="How" :choices="methods" />
    <ChoiceField v-model="drumId" label="From" :choices="choices" />
    <div class="grid grid-cols-3 gap-3 max-sm:grid-cols-1">
      <TextField v-model="written.litres" label="Liquid" hint="litres" />
      <TextField v-model="written.inGPerL" label="Silver before" hint="g/L, tested" />
      <TextField v-model="written.outGPerL" label="Silver after" hint="g/L, tested" />
      <TextField v-model="written.grams" label="Found" hint="g of flake or sludge" />
      <TextField v-model="written.assay" label="Of it silver" hint="%; flake about 90, sludge only by assay" />
      <template v-if="method === 'electrolysis'">
        <TextField v-model="written.amps" label="Current" hint="A" />
        <TextField v-model="written.hours" label="For" hint="hours" />
      </template>
      <TextField v-else v-model="written.ironG" label="Metal in the cartridge" hint="g" />
    </div>
    <p v-if="expected !== null" class="text-lg">That could take out about {{ show.mass(expected) }}.</p>
    <p v-if="balance" class="text-lg">{{ show.mass(balance.leftG) }} left the liquid, {{ show.mass(balance.foundG) }} were found.</p>
    <FindingList v-if="balance && read" :findings="[...balance.findings, ...recoveryAdvice(read)]" />
    <TextField v-model="written.note" label="Note, if any" />
  </FormPanel>
</template>
