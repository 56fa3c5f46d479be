<script setup lang="ts">
import { castAmounts, casts, oppositeOf, type Cast, type ColourMaterial, type PaperBody, type PrintSaid } from '@selvrin/core'
import { computed, ref } from 'vue'
import PressOne from '../fields/PressOne.vue'
import { light } from '../light/light'
import { saidWords } from '../printroom/words'
import CastPhoto from './CastPhoto.vue'
import { castSwatch } from './swatch'

/** What a colour print has too much of, and how much: a tap each; or what a photograph beside a grey card says. */
const { said, material, busy } = defineProps<{ said: PrintSaid[]; material: PaperBody['material']; busy: boolean }>()
const emit = defineEmits<{ say: [said: PrintSaid[]] }>()
const named = computed(() => said.flatMap((one) => (one.of === 'cast' ? [one] : [])))
const turned = computed(() => said.flatMap((one) => (one.of === 'turn' ? [one] : [])))
/** the one whose amount is asked */
const chosen = ref<Cast | null>(null)
const current = computed(() => named.value.find((one) => one.cast === chosen.value) ?? named.value.at(-1) ?? null)
const photographing = ref(false)
const colour = computed((): ColourMaterial => (material === 'reversal' ? 'reversal' : 'negative'))
/** as it is seen at first, before its amount is said */
const slight = 10
function press(cast: Cast): void {
  const isNamed = named.value.some((one) => one.cast === cast)
  chosen.value = isNamed ? null : cast
  // what takes it away is not said as well
  const rest = said.filter((one) => one.of !== 'cast' || (one.cast !== cast && one.cast !== oppositeOf(cast)))
  emit('say', isNamed ? rest : [...rest, { of: 'cast', cast, units: slight }])
}
function amount(units: number): void {
  const { value: one } = current
  if (one) emit('say', [...said.filter((each) => each !== one), { of: 'cast', cast: one.cast, units }])
}
</script>

<template>
  <div class="mb-2 flex flex-wrap items-center gap-2" role="group" aria-label="Too much of">
    <span class="font-semibold">Too</span>
    <button
      v-for="cast in casts"
      :key="cast"
      type="button"
      class="button button-small"
      :class="named.some((one) => one.cast === cast) ? 'button-main' : ''"
      :aria-pressed="named.some((one) => one.cast === cast)"
      :disabled="busy"
      @click="press(cast)"
    >
      <span
        v-if="light === 'white'"
        class="mr-2 inline-block size-4 border border-ink align-middle"
        :style="{ background: castSwatch[cast] }"
      />{{ cast }}
    </button>
  </div>
  <div v-if="current" class="mb-2 flex flex-wrap items-center gap-2">
    <span class="font-semibold">too {{ current.cast }},</span>
    <PressOne
      :model-value="current.units"
      :label="`How much too ${current.cast}`"
      :choices="castAmounts.map(({ units, name }) => ({ value: units, name: `${name} ${units}` }))"
      :busy="busy"
      @update:model-value="(units) => units !== null && amount(units)"
    />
  </div>
  <div class="mb-2 flex flex-wrap items-center gap-2">
    <button
      v-for="one in turned"
      :key="`${one.y} ${one.m}`"
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
      {{ saidWords(one, 1) }}<span class="sr-only">: take it away</span>
    </button>
    <button type="button" class="button" :disabled="busy" @click="photographing = true">Beside a grey card</button>
    <RouterLink to="/trays/trainer" class="link inline-flex min-h-11 items-center">Practise it first</RouterLink>
  </div>
  <p class="mb-2 max-w-2xl text-quiet">Judge it dry, under one lamp: 5,000 K, 500 lx. A cast shows first in what should be grey.</p>
  <CastPhoto
    v-if="photographing"
    :material="colour"
    @close="photographing = false"
    @take="
      (turn) => (
        emit('say', [...said.filter((one) => one.of !== 'turn' && one.of !== 'cast'), { of: 'turn', ...turn }]),
        (photographing = false)
      )
    "
  />
</template>
