<script setup lang="ts">
import { decideWrongBottle, showParts } from '@selvrin/core'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useBottles } from '../stores'
import ActPanel from './ActPanel.vue'

/** Some of it went into another bottle by mistake: both are retired. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const bottles = useBottles()
onMounted(() => void bottles.load())
const entryId = uuid()
const { fields, typed, busy, rest, submit } = useContractForm(api.bottle.wrong, {
  begin: () => ({ entryId, intoId: null, ml: null, reason: '' }),
  send: async (body) => {
    await call(api.bottle.wrong, { params: { id: bottle.id }, body })
    emit('done')
  },
})
const others = computed(() =>
  bottles.rows
    .filter((one) => one.id !== bottle.id && one.retiredAt === null)
    .map((one) => ({ value: one.id, name: `${one.label} ${one.name}, ${showParts(one.parts)}` })),
)
const other = computed(() => bottles.rows.find((one) => one.id === typed.value.intoId))
const label = computed(() => other.value?.label ?? 'the other bottle')
const decide = () => {
  const { ml, reason } = typed.value
  return other.value && ml !== null ? decideWrongBottle({ from: bottle, into: other.value }, { entryId, ml, reason: reason ?? '' }) : null
}
</script>

<template>
  <ActPanel
    :title="`${bottle.label} was poured into the wrong bottle`"
    :yes="`Retire ${bottle.label} and ${label}`"
    :decide="decide"
    :bottles="other ? [bottle, other] : [bottle]"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p class="border-l-4 border-alarm pl-4">
      Step back if it fizzes, warms or smells; open the window. Do not pour anything after it. Acid on sulfite, sulfide or bleach sets gases
      free.
    </p>
    <BodyField v-slot="{ bind }" :of="fields" name="intoId"><ChoiceField v-bind="bind" label="Into" :choices="others" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="ml">
      <QuantityField v-bind="bind" kind="volume" label="How much, about" :near="bottle.state.volumeMl" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="reason"><TextField v-bind="bind" label="How it came about" /></BodyField>
    <p>{{ bottle.label }} and {{ label }} are both retired: nobody knows any more what is in them.</p>
  </ActPanel>
</template>
