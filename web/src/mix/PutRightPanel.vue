<script setup lang="ts">
import { isTakenBackable, whatCounts, type MixEvent, type MixLine } from '@selvrin/core'
import type { Mix } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, reactive, ref } from 'vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useShow } from '../session/useShow'

/** What was written of one step, to be put right where it was mistyped, before and after it went in. */
const { mix, step, line, busy, problem, record } = defineProps<{
  mix: Mix
  /** an addition, or the water */
  step: number | 'water' | 'end'
  line: MixLine | undefined
  busy: boolean
  problem: string
  record: (...events: MixEvent[]) => Promise<boolean>
}>()
const emit = defineEmits<{ close: [] }>()
const show = useShow()
type Weigh = Extract<MixEvent, { kind: 'weigh' }>
const counts = computed(() => whatCounts(mix.events))
const weights = computed(() => counts.value.filter((event): event is Weigh => event.kind === 'weigh' && event.step === step))
const water = computed(() => counts.value.findLast((event) => event.kind === 'water'))
const amounts = reactive<Record<string, number | null>>(Object.fromEntries(weights.value.map((event) => [event.id, event.amount])))
const waterC = ref<number | null>(water.value?.kind === 'water' ? water.value.celsius : null)
const odd = computed(() => problem.includes('Is it really'))

/** Events of this step that can be taken back whole. */
const others = computed(() =>
  counts.value.filter(
    (event) =>
      isTakenBackable(event) &&
      (step === 'end'
        ? event.kind === 'rescale' || event.kind === 'water-added' || event.kind === 'topped-up'
        : event.kind === 'dissolved' && event.step === step),
  ),
)
const words = (event: MixEvent): string =>
  event.kind === 'rescale'
    ? `Made ${show.volume(event.finalMl)} instead`
    : event.kind === 'water-added'
      ? `${show.volume(event.ml)} water added`
      : event.kind === 'topped-up'
        ? 'Topped up'
        : 'Dissolved'

async function keep(sure = false): Promise<void> {
  const fresh: MixEvent[] = weights.value.flatMap((event): MixEvent[] => {
    const amount = amounts[event.id]
    return amount == null || amount === event.amount || amount <= 0
      ? []
      : [{ ...event, id: uuid(), amount, device: null, corrects: event.id, ...(sure ? { sure } : {}) }]
  })
  if (step === 'water' && water.value?.kind === 'water' && waterC.value !== water.value.celsius)
    fresh.push({ id: uuid(), kind: 'water', celsius: waterC.value })
  if (fresh.length === 0 || (await record(...fresh))) emit('close')
}
const takeBack = (event: MixEvent) => record({ id: uuid(), kind: 'undo', of: event.id })
</script>

<template>
  <ModalPanel
    open
    :title="`Put right: ${line ? line.chemical.name : step === 'water' ? 'the water' : 'the batch'}`"
    @close="$emit('close')"
  >
    <form class="space-y-4" @submit.prevent="keep()">
      <p>The first writing stays in the record; what you write here takes its place.</p>
      <div v-for="event in weights" :key="event.id" class="flex flex-wrap items-start gap-4">
        <div class="w-56">
          <QuantityField
            v-model="amounts[event.id] as number | null"
            :kind="line?.unit === 'ml' ? 'volume' : 'mass'"
            :label="event.device ? `Read from ${event.device}` : 'Was written'"
            :near="event.amount"
          />
        </div>
        <button type="button" class="button mt-7" :disabled="busy" @click="takeBack(event)">Take it back</button>
      </div>
      <p v-if="step !== 'water' && weights.length === 0 && others.length === 0">Nothing is written of it.</p>
      <QuantityField v-if="step === 'water'" v-model="waterC" kind="temperature" label="The water had" />
      <div v-for="event in others" :key="event.id" class="flex items-center gap-4">
        <b class="flex-1">{{ words(event) }}</b>
        <button type="button" class="button" :disabled="busy" @click="takeBack(event)">Take it back</button>
      </div>
      <ProblemLine :problem="problem" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy">Keep it so</button>
        <button v-if="odd" type="button" class="button" :disabled="busy" @click="keep(true)">It is right</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
