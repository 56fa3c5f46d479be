<script setup lang="ts">
import { decideWrongBottle, showParts } from '@selvrin/core'
import WouldWrite from './WouldWrite.vue'
import { api, type BottlePage } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useBottles } from '../stores'

/** Some of it went into another bottle by mistake: both are retired. */
const { bottle } = defineProps<{ bottle: BottlePage }>()
const emit = defineEmits<{ close: []; done: [] }>()
const bottles = useBottles()
onMounted(() => void bottles.load())
const { busy, problem, act } = useAction()
const entryId = uuid()
const into = ref<string | null>(null)
const ml = ref<number | null>(null)
const reason = ref('')
const others = computed(() =>
  bottles.rows
    .filter((one) => one.id !== bottle.id && one.retiredAt === null)
    .map((one) => ({ value: one.id, name: `${one.label} ${one.name}, ${showParts(one.parts)}` })),
)
const other = computed(() => bottles.rows.find((one) => one.id === into.value))
const label = computed(() => other.value?.label ?? 'the other bottle')
const decide = () =>
  other.value && ml.value !== null
    ? decideWrongBottle({ from: bottle, into: other.value }, { entryId, ml: ml.value, reason: reason.value })
    : null
async function write(): Promise<void> {
  const intoId = into.value
  const amount = ml.value
  if (intoId === null || amount === null) {
    problem.value = 'Say into which bottle, and how much about.'
    return
  }
  const good = await act(() =>
    call(api.bottle.wrong, { params: { id: bottle.id }, body: { entryId, intoId, ml: amount, reason: reason.value } }),
  )
  if (good) emit('done')
}
</script>

<template>
  <ModalPanel open :title="`${bottle.label} was poured into the wrong bottle`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="write">
      <p class="border-l-4 border-alarm pl-4">
        Step back if it fizzes, warms or smells; open the window. Do not pour anything after it. Acid on sulfite, sulfide or bleach sets
        gases free.
      </p>
      <ChoiceField v-model="into" label="Into" :choices="others" />
      <QuantityField v-model="ml" kind="volume" label="How much, about" :near="bottle.state.volumeMl" />
      <TextField v-model="reason" label="How it came about" />
      <p>{{ bottle.label }} and {{ label }} are both retired: nobody knows any more what is in them.</p>
      <WouldWrite :decide="decide" :bottles="other ? [bottle, other] : [bottle]" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Retire {{ bottle.label }} and {{ label }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
