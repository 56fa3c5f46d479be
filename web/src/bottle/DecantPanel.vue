<script setup lang="ts">
import { bottlesToFill, decideDecanting, standsFull } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useContractForm, type Typed } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'
import OverruleField from './OverruleField.vue'

/** Into small bottles that stand full: each takes its share of the history along. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const show = useShow()
type Row = Typed<{ id: string; sizeMl: number; ml: number }>
const fill = (sizes: number[]): Row[] => {
  let left = bottle.state.volumeMl
  return [...sizes]
    .sort((a, b) => b - a)
    .map((sizeMl) => {
      const ml = Math.min(left, sizeMl)
      left -= ml
      return { id: uuid(), sizeMl, ml }
    })
}
const { form, fields, typed, ready, busy, rest, submit } = useContractForm(api.bottle.decant, {
  // a figure may be missing while it is typed
  begin: () => ({ into: fill(bottle.decant?.into ?? bottlesToFill(bottle.state.volumeMl, bottle.sizeMl) ?? [500]) as never }),
  send: async (body) => {
    await call(api.bottle.decant, { params: { id: bottle.id }, body })
    emit('done')
  },
})
const rows = computed(() => (typed.value.into ?? []) as Row[])
const set = (into: Row[]) => form.setFieldValue('into', into)
const left = computed(() => bottle.state.volumeMl - rows.value.reduce((sum, row) => sum + (row.ml ?? 0), 0))
const more = () => set([...rows.value, { id: uuid(), sizeMl: 250, ml: Math.max(0, Math.min(250, left.value)) }])
const leaveOut = (i: number) => set(rows.value.filter((_, at) => at !== i))
const decide = () => ready.value && decideDecanting(bottle, ready.value)
const without = () => ready.value && decideDecanting(bottle, { ...ready.value, overrule: undefined })
</script>

<template>
  <ActPanel
    wide
    :title="`Decant ${bottle.label} ${bottle.name}`"
    yes="Decant and label"
    :decide="left >= -0.5 ? decide : () => null"
    :bottles="[bottle]"
    :busy="busy"
    :blocked="left < -0.5"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p>
      Fill them to the neck: air is what ages it. Every bottle gets its own label and keeps the date, the use and the tests of its batch.
    </p>
    <ul class="space-y-3">
      <li v-for="(row, i) in rows" :key="row.id ?? i" class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_auto] items-start gap-4">
        <BodyField v-slot="{ bind }" :of="fields" :name="`into[${i}].sizeMl`">
          <QuantityField v-bind="bind" kind="volume" :label="`Bottle ${i + 1}, size`" />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="fields" :name="`into[${i}].ml`">
          <QuantityField v-bind="bind" kind="volume" label="Filled with" />
        </BodyField>
        <button type="button" class="button button-small mt-7" :aria-label="`Leave bottle ${i + 1} out`" @click="leaveOut(i)">✕</button>
      </li>
    </ul>
    <button type="button" class="button button-small" @click="more">One more bottle</button>
    <p class="text-lg">
      <template v-if="left < -0.5"
        >That is <b class="font-mono">{{ show.volume(-left) }}</b> more than it holds.</template
      >
      <template v-else
        >{{ bottle.label }} keeps <b class="font-mono">{{ show.volume(Math.max(0, left)) }}</b>{{
          left > 0.5 && !standsFull(left, bottle.sizeMl)
            ? `, which ages faster there: ${show.volume(bottle.sizeMl - left)} of air stand over it`
            : ''
        }}.</template
      >
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="overrule" optional>
      <OverruleField v-bind="bind" :bottle="bottle" :without="without" />
    </BodyField>
  </ActPanel>
</template>
