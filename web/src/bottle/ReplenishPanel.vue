<script setup lang="ts">
import { decideReplenish, replenishSteps, showParts } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type Bottle, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'
import { useBottles } from '../stores'

/** Replenishing, in the order of the hands: water, bleed, replenisher. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [bottle: Bottle] }>()
const show = useShow()
const bottles = useBottles()
onMounted(() => void bottles.load())
const { busy, problem, act } = useAction()
const entryId = uuid()
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
const decide = () =>
  ml.value === null || ml.value <= 0
    ? null
    : decideReplenish({ bottle, from: source.value }, { entryId, ml: ml.value, evaporatedMl: evaporated.value ?? 0 })
async function write(): Promise<void> {
  if (ml.value === null || ml.value <= 0) {
    problem.value = 'Write how much replenisher goes in.'
    return
  }
  const body = {
    entryId,
    ml: ml.value,
    evaporatedMl: evaporated.value ?? 0,
    ...(from.value && from.value !== 'fresh' ? { fromId: from.value } : {}),
  }
  await act(async () => emit('done', await call(api.bottle.replenish, { params: { id: bottle.id }, body })))
}
</script>

<template>
  <ModalPanel open :title="`Replenish ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
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
      <WouldWrite :decide="decide" :bottles="source ? [source, bottle] : [bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">It is replenished</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
