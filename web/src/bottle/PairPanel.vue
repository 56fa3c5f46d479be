<script setup lang="ts">
import { decideMovingUp, decidePairing } from '@selvrin/core'
import { now } from '../clock'
import WouldWrite from './WouldWrite.vue'
import { api, type BottlePage } from '@selvrin/core/contract'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useBottles } from '../stores'

/** Two fixing baths: which is first and which second, and the move when the first is used up. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const bottles = useBottles()
onMounted(() => void bottles.load())
const { busy, problem, act } = useAction()
const place = computed(() => bottle.state.twoBath)
const same = computed(() =>
  bottles.rows.filter((one) => one.formulaId === bottle.formulaId && one.id !== bottle.id && one.retiredAt === null),
)
const choices = (position: number | null) =>
  computed(() =>
    same.value
      .filter((one) => (one.state.twoBath?.position ?? null) === position)
      .map((one) => ({ value: one.id, name: `${one.label} ${one.name}`, detail: `${one.state.rolls + one.state.paper} through so far` })),
  )
const [seconds, firsts, unpaired] = [choices(2), choices(1), choices(null)]
const second = ref<string | null>(null)
const first = ref<string | null>(null)
const fresh = ref<string | null>(null)

const named = (id: string | null | undefined) => bottles.rows.find((one) => one.id === id)
const secondBath = computed(() => named(second.value))
const oldFirst = computed(() => named(first.value ?? firsts.value[0]?.value))
const freshBath = computed(() => named(fresh.value))
const decidePair = () => (secondBath.value ? decidePairing(bottle, secondBath.value, now()) : null)
const decideMove = () => (oldFirst.value && freshBath.value ? decideMovingUp(oldFirst.value, bottle, freshBath.value) : null)
const involved = computed(() => [oldFirst.value, bottle, freshBath.value].filter((one) => one !== undefined))
async function pair(): Promise<void> {
  const secondId = second.value
  if (secondId === null) problem.value = 'Choose the second bath.'
  else if (await act(() => call(api.bottle.pair, { body: { firstId: bottle.id, secondId } }))) emit('done')
}
async function moveUp(): Promise<void> {
  const [firstId, freshId] = [first.value ?? firsts.value[0]?.value ?? null, fresh.value]
  if (firstId === null || freshId === null) problem.value = 'Choose the used-up first bath, and the fresh one that becomes second.'
  else if (await act(() => call(api.bottle.moveUp, { params: { id: bottle.id }, body: { firstId, freshId } }))) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`Two baths: ${bottle.label} ${bottle.name}`" @close="$emit('close')">
    <form v-if="place?.position === 2" class="space-y-4" @submit.prevent="moveUp">
      <p>
        Move {{ place.moves + 1 }} of {{ bottle.use.twoBath?.moves ?? 0 }}: the first bath is discarded, {{ bottle.label }} becomes the
        first, a fresh bath the second.
      </p>
      <ChoiceField v-model="first" label="Discarded first bath" :choices="firsts" :placeholder="firsts[0]?.name ?? 'none'" />
      <ChoiceField v-model="fresh" label="Fresh second bath" :choices="unpaired" placeholder="mix one of the same formula first" />
      <RouterLink v-if="unpaired.length === 0" :to="`/formulary/${bottle.formulaId}`" class="link inline-flex min-h-11 items-center"
        >Mix a fresh {{ bottle.name }}</RouterLink
      >
      <p class="text-quiet">The discarded bath goes to the silver waste.</p>
      <WouldWrite :decide="decideMove" :bottles="involved" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Move {{ bottle.label }} up</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
    <div v-else-if="place" class="space-y-4">
      <p>
        {{ bottle.label }} is the first bath of a pair, after {{ place.moves }} of {{ bottle.use.twoBath?.moves ?? 0 }} moves. When it is
        used up, open the second bath and move that up.
      </p>
      <RouterLink v-for="one in seconds" :key="one.value" :to="`/shelf/${one.value}`" class="button" @click="$emit('close')"
        >Open {{ one.name }}</RouterLink
      >
    </div>
    <form v-else class="space-y-4" @submit.prevent="pair">
      <p>{{ bottle.label }} becomes the first bath: half the fixing time in it, half in the second.</p>
      <ChoiceField v-model="second" label="Second bath" :choices="unpaired" placeholder="mix another of the same formula first" />
      <RouterLink v-if="unpaired.length === 0" :to="`/formulary/${bottle.formulaId}`" class="link inline-flex min-h-11 items-center"
        >Mix another {{ bottle.name }}</RouterLink
      >
      <WouldWrite :decide="decidePair" :bottles="secondBath ? [bottle, secondBath] : [bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Pair them</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
