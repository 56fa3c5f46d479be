<script setup lang="ts">
import { decidePour, showParts } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import type { z } from 'zod'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField, { type Choice } from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import { useBottles } from '../stores'
import IntoDrum from '../sink/IntoDrum.vue'
import ActPanel from './ActPanel.vue'
import OverruleField from './OverruleField.vue'

type Kind = 'pour-out' | 'pour-back' | 'top-up' | 'water' | 'evaporate' | 'discard'
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const bottles = useBottles()
onMounted(() => void bottles.load())
const kinds: Choice<Kind>[] = [
  { value: 'pour-out', name: 'Poured out', detail: 'to use, or into another vessel' },
  { value: 'pour-back', name: 'Poured back', detail: 'the same liquid, unused' },
  { value: 'top-up', name: 'Topped up', detail: 'with fresh, or from another bottle of its kind' },
  { value: 'water', name: 'Water added', detail: 'thins it; the record keeps its strength' },
  { value: 'evaporate', name: 'Evaporated', detail: 'water is gone, the strength is not' },
  { value: 'discard', name: 'Poured away', detail: 'into the drum of its family' },
]
const open = computed(() =>
  bottle.retiredAt === null ? kinds : kinds.filter((one) => one.value === 'discard' || one.value === 'pour-out'),
)
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
const entryId = uuid()
type Asked = z.output<typeof api.bottle.pour.body>
const { fields, typed, ready, busy, rest, submit } = useContractForm(api.bottle.pour, {
  begin: () => ({ entryId, kind: (bottle.retiredAt === null ? 'pour-out' : 'discard') as Kind, ml: null, note: '' }),
  send: async (body) =>
    emit('done', await call(api.bottle.pour, { params: { id: bottle.id }, body: { ...whole(body), into: into(body) } })),
})
const kind = computed(() => typed.value.kind)
const drumId = ref<string | null>(null)
const into = (body: Asked): Asked['into'] =>
  body.kind === 'discard' && bottle.drum !== null && drumId.value !== null ? { [bottle.drum]: drumId.value } : {}
const source = computed(() => (kind.value === 'top-up' ? bottles.rows.find((one) => one.id === from.value) : undefined))
/** the bottle that is put to use by it */
const used = computed(() => (kind.value === 'pour-out' ? bottle : source.value))
/** With where it comes from, and without a reason nobody asks for. */
function whole({ overrule, ...body }: Asked): Asked {
  return { ...body, ...(source.value ? { fromId: source.value.id } : {}), ...(used.value && overrule !== undefined ? { overrule } : {}) }
}
const decide = () => ready.value && decidePour({ bottle, from: source.value }, whole(ready.value))
const without = () => ready.value && decidePour({ bottle, from: source.value }, { ...whole(ready.value), overrule: undefined })
</script>

<template>
  <ActPanel
    :title="`${bottle.label} ${bottle.name}`"
    :decide="decide"
    :bottles="source ? [source, bottle] : [bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <BodyField v-slot="{ bind }" :of="fields" name="kind"><ChoiceField v-bind="bind" label="What was done" :choices="open" /></BodyField>
    <ChoiceField v-if="kind === 'top-up'" v-model="from" label="From" :choices="sources" />
    <BodyField v-slot="{ bind }" :of="fields" name="ml">
      <QuantityField
        v-bind="bind"
        kind="volume"
        label="How much"
        :near="bottle.state.volumeMl"
        :hint="`it holds ${show.volume(bottle.state.volumeMl)} of ${show.volume(bottle.sizeMl)}`"
      />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="note"><TextField v-bind="bind" label="Note, if any" /></BodyField>
    <BodyField v-if="used" v-slot="{ bind }" :of="fields" name="overrule" optional>
      <OverruleField v-bind="bind" :bottle="used" :without="without" />
    </BodyField>
    <IntoDrum v-if="kind === 'discard' && bottle.drum" v-model="drumId" :family="bottle.drum" :ml="typed.ml ?? 0" />
    <p v-if="kind === 'discard'" class="text-quiet">
      Gloves and goggles on. Fixers go to the silver waste, never together with acids or developer; your local rules decide the rest.
    </p>
  </ActPanel>
</template>
