<script setup lang="ts">
import { stopsOfPercent, type PaperBody, type PrintSaid, type WholeTry } from '@selvrin/core'
import { computed, ref } from 'vue'
import CastRows from '../colour/CastRows.vue'
import PressOne from '../fields/PressOne.vue'
import { stopWords } from '../printroom/words'
import PlacePanel from './PlacePanel.vue'

/** What is to be said of a print: a tap each. */
const { plan, said, material, busy } = defineProps<{ plan: WholeTry; said: PrintSaid[]; material: PaperBody['material']; busy: boolean }>()
const emit = defineEmits<{ say: [said: PrintSaid[]] }>()
const placing = ref(false)
const split = computed(() => plan.exposures.length > 1)
const graded = computed(() => !split.value && material === 'black-and-white' && plan.exposures[0]?.filter.kind !== 'none')
const percents = [-40, -20, -10, 0, 10, 20, 40]
const halves = [
  { value: -2, name: 'one softer' },
  { value: -1, name: '½ softer' },
  { value: 0, name: 'right' },
  { value: 1, name: '½ harder' },
  { value: 2, name: 'one harder' },
]
const rows = computed(() =>
  split.value
    ? [
        { name: 'The highlights (soft exposure)', of: 0 },
        { name: 'The blacks (hard exposure)', of: 1 },
      ]
    : [{ name: 'Exposure', of: null }],
)
const percentName = (percent: number): string => (percent === 0 ? 'right' : `${percent < 0 ? '−' : '+'}${Math.abs(percent)} %`)
const ofRow = (one: PrintSaid, of: number | null): boolean =>
  of === null ? one.of === 'print' : one.of === 'exposure' && one.exposure === of
const stopsOf = (of: number | null): number => {
  const one = said.find((each) => ofRow(each, of))
  return one && 'stops' in one ? one.stops : 0
}
const percentOf = (of: number | null): number | null =>
  percents.find((percent) => Math.abs(stopsOf(of) - stopsOfPercent(percent)) < 1e-6) ?? null
function sayPercent(of: number | null, percent: number): void {
  const rest = said.filter((one) => !ofRow(one, of))
  const stops = stopsOfPercent(percent)
  const one: PrintSaid = of === null ? { of: 'print', stops } : { of: 'exposure', exposure: of, stops }
  emit('say', percent === 0 ? rest : [...rest, one])
}
const halvesNow = computed(() => {
  const one = said.find((each) => each.of === 'grade')
  return one?.of === 'grade' ? one.halves : 0
})
function sayHalves(value: number): void {
  const rest = said.filter((one) => one.of !== 'grade')
  emit('say', value === 0 ? rest : [...rest, { of: 'grade', halves: value }])
}
const places = computed(() => said.flatMap((one) => (one.of === 'place' ? [one] : [])))
</script>

<template>
  <section aria-labelledby="say">
    <h2 id="say" class="mb-2 text-2xl font-bold">Say how it came out</h2>
    <div v-for="row in rows" :key="row.name" class="mb-2">
      <b v-if="split" class="mb-2 block">{{ row.name }}</b>
      <PressOne
        :model-value="percentOf(row.of)"
        :label="row.name"
        :choices="percents.map((value) => ({ value, name: percentName(value) }))"
        size="usual"
        :busy="busy"
        @update:model-value="(percent) => sayPercent(row.of, percent ?? 0)"
      />
    </div>
    <CastRows v-if="material !== 'black-and-white'" :said="said" :material="material" :busy="busy" @say="emit('say', $event)" />
    <PressOne
      v-if="graded"
      class="mb-2"
      :model-value="halvesNow"
      label="Grade"
      :choices="halves"
      size="usual"
      :busy="busy"
      @update:model-value="(value) => sayHalves(value ?? 0)"
    />
    <div class="flex flex-wrap gap-2" role="group" aria-label="Places">
      <button
        v-for="one in places"
        :key="`${one.name} ${one.exposure}`"
        type="button"
        class="button button-main"
        :disabled="busy"
        @click="
          emit(
            'say',
            said.filter((each) => each !== one),
          )
        "
      >
        {{ one.name }} {{ stopWords(one.stops) }}<span class="sr-only">: take it away</span>
      </button>
      <button type="button" class="button" :disabled="busy" @click="placing = true">A place more or less</button>
    </div>
    <PlacePanel
      v-if="placing"
      :plan="plan"
      @close="placing = false"
      @say="
        (one) => (
          emit('say', [...said.filter((each) => !(each.of === 'place' && each.name === one.name && each.exposure === one.exposure)), one]),
          (placing = false)
        )
      "
    />
  </section>
</template>
