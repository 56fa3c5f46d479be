<script setup lang="ts">
import { decideReplenish, replenishSteps, showParts } from '@selvrin/core'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import ActPanel from './ActPanel.vue'
import { useAct } from './useAct'
import { useBottles } from '../stores'

/** Replenishing, in the order of the hands: water, bleed, replenisher. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const bottles = useBottles()
onMounted(() => void bottles.load())
const { entryId, busy, problem, write } = useAct((now) => emit('done', now))
const rate = bottle.use.replenishment?.mlPerRoll ?? 0
const ml = ref<number | null>(bottle.state.replenishDueMl || rate)
const evaporated = ref<number | null>(0)
const from = ref<string | null>('fresh')
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
    dueMl: ml.value ?? 0,
    evaporatedMl: evaporated.value ?? 0,
  }),
)
const volume = (amount: number) => show.volume(amount)
const source = computed(() => bottles.rows.find((one) => one.id === from.value))
const asked = computed(() => (ml.value === null || ml.value <= 0 ? null : { entryId, ml: ml.value, evaporatedMl: evaporated.value ?? 0 }))
const decide = () => asked.value && decideReplenish({ bottle, from: source.value }, asked.value)
const send = (body: NonNullable<typeof asked.value>) =>
  call(api.bottle.replenish, { params: { id: bottle.id }, body: { ...body, ...(source.value ? { fromId: source.value.id } : {}) } })
const keep = () => write(asked.value, 'Write how much replenisher goes in.', send)
</script>

<template>
  <ActPanel
    :title="`Replenish ${bottle.label} ${bottle.name}`"
    :decide="decide"
    :bottles="source ? [source, bottle] : [bottle]"
    :busy="busy"
    :problem="problem"
    yes="It is replenished"
    @close="$emit('close')"
    @write="keep"
  >
    <p>
      {{ show.volume(rate) }} a roll; <b>{{ volume(bottle.state.replenishDueMl) }}</b> are due. It is kept at
      {{ volume(bottle.state.nominalMl) }}.
    </p>
    <div class="grid grid-cols-2 gap-4">
      <QuantityField v-model="ml" kind="volume" label="Replenisher" />
      <QuantityField v-model="evaporated" kind="volume" label="Evaporated since" hint="0 where it stood closed" />
    </div>
    <ChoiceField v-model="from" label="From" :choices="sources" />
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
    <p v-if="steps.topUpMl > 0.5" class="border-l-4 border-alarm pl-4">
      It then still lacks {{ volume(steps.topUpMl) }}: more was carried out than the rate gives back. Top it up with replenisher too.
    </p>
  </ActPanel>
</template>
