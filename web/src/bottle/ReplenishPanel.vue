<script setup lang="ts">
import { decideReplenish, replenishSteps, showParts } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useShow } from '../session/useShow'
import { useBottles } from '../stores'
import IntoDrum from '../sink/IntoDrum.vue'
import ActPanel from './ActPanel.vue'
import OverruleField from './OverruleField.vue'

/** Replenishing, in the order of the hands: water, bleed, replenisher. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const bottles = useBottles()
onMounted(() => void bottles.load())
const rate = bottle.use.replenishment?.mlPerRoll ?? 0
const entryId = uuid()
const { fields, typed, ready, busy, rest, submit } = useContractForm(api.bottle.replenish, {
  begin: () => ({ entryId, ml: bottle.state.replenishDueMl || rate || null, evaporatedMl: 0 }),
  send: async (body) => {
    const into = bottle.drum !== null && drumId.value !== null ? { [bottle.drum]: drumId.value } : {}
    const source = from.value === 'fresh' ? {} : { fromId: from.value ?? undefined }
    emit('done', await call(api.bottle.replenish, { params: { id: bottle.id }, body: { ...body, ...source, into } }))
  },
})
const from = ref<string | null>('fresh')
const drumId = ref<string | null>(null)
const sources = computed(() => [
  { value: 'fresh', name: 'Fresh replenisher, from no bottle here' },
  ...bottles.rows
    .filter(
      (one) =>
        one.id !== bottle.id &&
        one.retiredAt === null &&
        one.state.volumeMl > 0 &&
        (one.formulaId === (bottle.use.replenishment?.formulaId ?? bottle.formulaId) || one.formulaId === bottle.formulaId),
    )
    .map((one) => ({ value: one.id, name: `${one.label} ${one.name}, ${showParts(one.parts)}` })),
])
const steps = computed(() =>
  replenishSteps({
    volumeMl: bottle.state.volumeMl,
    nominalMl: bottle.state.nominalMl,
    dueMl: typed.value.ml ?? 0,
    evaporatedMl: typed.value.evaporatedMl ?? 0,
  }),
)
const volume = (amount: number) => show.volume(amount)
const source = computed(() => bottles.rows.find((one) => one.id === from.value))
const decide = () => ready.value && decideReplenish({ bottle, from: source.value }, ready.value)
const without = () => ready.value && decideReplenish({ bottle, from: source.value }, { ...ready.value, overrule: undefined })
</script>

<template>
  <ActPanel
    :title="`Replenish ${bottle.label} ${bottle.name}`"
    :decide="decide"
    :bottles="source ? [source, bottle] : [bottle]"
    :busy="busy"
    :problem="rest"
    yes="It is replenished"
    @close="$emit('close')"
    @submit="submit"
  >
    <p>
      {{ show.volume(rate) }} a roll; <b>{{ volume(bottle.state.replenishDueMl) }}</b> are due. It is kept at
      {{ volume(bottle.state.nominalMl) }}.
    </p>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="ml"><QuantityField v-bind="bind" kind="volume" label="Replenisher" /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="evaporatedMl">
        <QuantityField v-bind="bind" kind="volume" label="Evaporated since" hint="0 where it stood closed" />
      </BodyField>
    </div>
    <ChoiceField v-model="from" label="From" :choices="sources" />
    <BodyField v-if="source" v-slot="{ bind }" :of="fields" name="overrule" optional>
      <OverruleField v-bind="bind" :bottle="source" :without="without" />
    </BodyField>
    <ol class="space-y-1 text-2xl">
      <li v-if="steps.waterMl > 0">
        1. Water <b class="font-mono">{{ volume(steps.waterMl) }}</b>, for what evaporated
      </li>
      <li>
        {{ steps.waterMl > 0 ? 2 : 1 }}. Take out <b class="font-mono">{{ volume(steps.bleedMl) }}</b>, to the waste
      </li>
      <li>
        {{ steps.waterMl > 0 ? 3 : 2 }}. Replenisher <b class="font-mono">{{ volume(steps.replenisherMl) }}</b>
      </li>
    </ol>
    <IntoDrum v-if="bottle.drum && steps.bleedMl > 0" v-model="drumId" :family="bottle.drum" :ml="steps.bleedMl" />
    <p v-if="steps.topUpMl > 0.5" class="border-l-4 border-alarm pl-4">
      It then still lacks {{ volume(steps.topUpMl) }}: more was carried out than the rate gives back. Top it up with replenisher too.
    </p>
  </ActPanel>
</template>
