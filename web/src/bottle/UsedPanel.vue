<script setup lang="ts">
import { carryOutMl, decidePour, formats, rollEquivalents, usualFormat } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { showRolls } from '../marks/words'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'
import { useAct } from './useAct'
import OverruleField from './OverruleField.vue'
import { usualLoad } from './usualLoad'
import { digits } from '../session/manner'

/** What went through and was poured back: by format or by area, with its carry-out and what a pre-wet carried in. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const { entryId, busy, problem, write } = useAct((now) => emit('done', now))
const byArea = 'area'
const format = ref<string | null>(usualFormat(bottle))
const formatChoices = [
  ...Object.entries(formats).map(([value, one]) => ({ value, name: one.name })),
  { value: byArea, name: 'another size, by its area' },
]
const count = ref(String(usualLoad))
const area = ref('')
const onPaper = ref(false)
const colour = ref(false)
const paperKind = ref<'rc-paper' | 'fibre-paper' | null>('rc-paper')
const paperKinds = [
  { value: 'rc-paper' as const, name: 'RC paper' },
  { value: 'fibre-paper' as const, name: 'Fibre paper', detail: 'bears half the silver in its fixer' },
]
const preWet = ref(false)
const carried = ref<number | null>(null)
const note = ref('')
const overrule = ref('')

const whole = (text: string): number | null => (/^\d{1,3}$/.test(text.trim()) ? Number(text) : null)
const squareCm = computed(() => (/^\d+([.,]\d+)?$/.test(area.value.trim()) ? Number(area.value.replace(',', '.')) : null))
const load = computed(() => {
  const pieces = whole(count.value)
  if (pieces === null || format.value === null) return null
  if (format.value !== byArea)
    return { amount: rollEquivalents({ format: format.value, count: pieces }), carry: carryOutMl({ format: format.value, count: pieces }) }
  if (squareCm.value === null) return null
  const areaCm2 = squareCm.value * pieces
  return { amount: rollEquivalents({ areaCm2 }), carry: carryOutMl({ areaCm2, paper: onPaper.value }) }
})
const paper = computed(() => (format.value === byArea ? onPaper.value : formats[format.value ?? '']?.paper === true))
const carry = computed(() => carried.value ?? load.value?.carry ?? 0)
const silvered = bottle.state.silverGPerL !== null

function asked(amount: number) {
  const out = Math.min(carry.value, bottle.state.volumeMl)
  return {
    entryId,
    kind: 'use' as const,
    ml: out,
    rolls: paper.value ? 0 : amount,
    paper: paper.value ? amount : 0,
    ...(paper.value && paperKind.value ? { paperKind: paperKind.value } : {}),
    colourRolls: colour.value && !paper.value ? amount : 0,
    waterInMl: preWet.value ? out : 0,
    note: note.value,
    ...(overrule.value.trim() === '' ? {} : { overrule: overrule.value }),
  }
}
const decide = () => load.value && decidePour({ bottle }, asked(load.value.amount))
const without = () => load.value && decidePour({ bottle }, { ...asked(load.value.amount), overrule: undefined })

const missing = () =>
  format.value === byArea
    ? 'Write how many pieces, and the area of one in square centimetres.'
    : 'Write how many films or sheets, as a whole number.'
const keep = () =>
  write(load.value && asked(load.value.amount), missing(), (body) => call(api.bottle.pour, { params: { id: bottle.id }, body }))
</script>

<template>
  <ActPanel
    :title="`Poured back into ${bottle.label}`"
    :decide="decide"
    :bottles="[bottle]"
    :busy="busy"
    :problem="problem"
    @close="$emit('close')"
    @submit="keep"
  >
    <div class="grid grid-cols-2 gap-4">
      <TextField v-model="count" label="How many went through" />
      <ChoiceField v-model="format" label="Of what" :choices="formatChoices" />
    </div>
    <div v-if="format === byArea" class="grid grid-cols-2 items-end gap-4">
      <TextField v-model="area" label="Area of one, cm²" hint="516 cm² count as one roll" />
      <SwitchField v-model="onPaper" label="Paper" detail="counted on its own scale" />
    </div>
    <p v-if="load">
      Counts as <b>{{ paper ? `${digits(load.amount, 1).replace(/[.,]0$/, '')} prints of 8×10 in` : showRolls(load.amount) }}</b>;
      {{ show.volume(carry) }} left with them.
    </p>
    <div class="grid grid-cols-2 items-end gap-4">
      <QuantityField v-model="carried" kind="volume" label="Carried out, if you know better" />
      <SwitchField v-model="preWet" label="They went in wet" detail="as much water came in: it thins" />
    </div>
    <SwitchField v-if="silvered && !paper" v-model="colour" label="Colour or slide film" detail="all of its silver goes into this bath" />
    <ChoiceField v-if="silvered && paper" v-model="paperKind" label="Paper" :choices="paperKinds" />
    <TextField v-model="note" label="Note, if any" />
    <OverruleField v-model="overrule" :bottle="bottle" :without="without" />
  </ActPanel>
</template>
