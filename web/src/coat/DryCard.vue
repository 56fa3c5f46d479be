<script setup lang="ts">
import { coatCautions, coatedKeepsH } from '@selvrin/core'
import { computed, watch } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import { useTime } from '../hand/useTime'
import UpClock from '../printroom/UpClock.vue'
import { ring } from './ring'
import type { CoatedView } from './useCoated'

/** The sheet dries flat in the dark; a sound says when it may be dry. */
const { view } = defineProps<{ view: CoatedView }>()
const time = useTime(500)
const seconds = computed(() => Math.max(0, (time.value - (view.standing.value?.coatedAt ?? time.value)) / 1000))
const step = computed(() => view.steps.value[0])
const isLikely = computed(() => seconds.value >= (step.value?.fromS ?? Infinity))
watch(isLikely, (now) => now && ring())
const process = computed(() => view.sheet.value?.body.process ?? 'cyanotype')
const keeps = computed(() => coatedKeepsH[process.value])
const dry = () => view.write({ kind: 'dry', seconds: Math.max(1, Math.round(seconds.value)) })
</script>

<template>
  <section aria-labelledby="dry">
    <h2 id="dry" class="sr-only">Drying</h2>
    <UpClock v-if="step" v-bind="step" inspected :seconds="seconds" />
    <p class="mb-3 max-w-2xl">It keeps for {{ keeps === 24 ? 'hours, a day at most' : 'this evening' }}. {{ coatCautions(process)[0] }}</p>
    <ProblemLine :problem="view.problem.value" />
    <button
      type="button"
      class="button min-h-20 px-8 text-3xl"
      :class="isLikely ? 'button-main' : ''"
      :data-next="isLikely ? '' : undefined"
      :disabled="view.busy.value"
      @click="dry"
    >
      It is dry
    </button>
    <p v-if="!isLikely" class="mt-2 text-quiet">Limp or cool to the back of the hand is not dry yet; damp paper stains the negative.</p>
  </section>
</template>
