<script setup lang="ts">
import { decidePour, showParts } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import ChoiceField, { type Choice } from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'
import { useAct } from './useAct'
import { useBottles } from '../stores'
import OverruleField from './OverruleField.vue'

type Kind = 'pour-out' | 'pour-back' | 'top-up' | 'water' | 'evaporate' | 'discard'
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const bottles = useBottles()
onMounted(() => void bottles.load())
const { entryId, busy, problem, write } = useAct((now) => emit('done', now))
const kind = ref<Kind | null>(bottle.retiredAt === null ? 'pour-out' : 'discard')
const kinds: Choice<Kind>[] = [
  { value: 'pour-out', name: 'Poured out', detail: 'to use, or into another vessel' },
  { value: 'pour-back', name: 'Poured back', detail: 'the same liquid, unused' },
  { value: 'top-up', name: 'Topped up', detail: 'with fresh, or from another bottle of its kind' },
  { value: 'water', name: 'Water added', detail: 'thins it; the record keeps its strength' },
  { value: 'evaporate', name: 'Evaporated', detail: 'water is gone, the strength is not' },
  { value: 'discard', name: 'Poured away', detail: 'to the waste of its kind' },
]
const open = computed(() =>
  bottle.retiredAt === null ? kinds : kinds.filter((one) => one.value === 'discard' || one.value === 'pour-out'),
)
const ml = ref<number | null>(null)
const note = ref('')
const overrule = ref('')
const from = ref<string | null>('fresh')
const sources = computed(() => [
  { value: 'fresh', name: 'Fresh, from no bottle here' },
  ...bottles.rows
    .filter((one) => one.id !== bottle.id && one.family === bottle.family && one.retiredAt === null && one.state.volumeMl > 0)
    .map((one) => ({
      value: one.id,
      name: `${one.label} ${one.name}, ${showParts(one.parts)}`,
      detail: show.volume(one.state.volumeMl),
    })),
])
const asks = computed(() => kind.value === 'pour-out')

const source = computed(() => (kind.value === 'top-up' ? bottles.rows.find((one) => one.id === from.value) : undefined))
const asked = computed(() =>
  ml.value === null || kind.value === null
    ? null
    : {
        entryId,
        kind: kind.value,
        ml: ml.value,
        note: note.value,
        ...(asks.value && overrule.value.trim() !== '' ? { overrule: overrule.value } : {}),
      },
)
const nothingThrough = { rolls: 0, colourRolls: 0, paper: 0, waterInMl: 0 }
const decide = () => asked.value && decidePour({ bottle, from: source.value }, { ...nothingThrough, ...asked.value })

const send = (body: NonNullable<typeof asked.value>) =>
  call(api.bottle.pour, { params: { id: bottle.id }, body: { ...body, ...(source.value ? { fromId: source.value.id } : {}) } })
const keep = () => write(asked.value, 'Write how much.', send)
</script>

<template>
  <ActPanel
    :title="`${bottle.label} ${bottle.name}`"
    :decide="decide"
    :bottles="source ? [source, bottle] : [bottle]"
    :busy="busy"
    :problem="problem"
    @close="$emit('close')"
    @write="keep"
  >
    <ChoiceField v-model="kind" label="What was done" :choices="open" />
    <ChoiceField v-if="kind === 'top-up'" v-model="from" label="From" :choices="sources" />
    <QuantityField
      v-model="ml"
      kind="volume"
      label="How much"
      :near="bottle.state.volumeMl"
      :hint="`it holds ${show.volume(bottle.state.volumeMl)} of ${show.volume(bottle.sizeMl)}`"
    />
    <TextField v-model="note" label="Note, if any" />
    <OverruleField v-if="asks" v-model="overrule" :bottle="bottle" />
    <p v-if="kind === 'discard'" class="text-quiet">
      Gloves and goggles on. Fixers go to the silver waste, never together with acids or developer; your local rules decide the rest.
    </p>
  </ActPanel>
</template>
