<script setup lang="ts">
import { showTime, uvCaution } from '@selvrin/core'
import { computed } from 'vue'
import ProblemLine from '../fields/ProblemLine.vue'
import type { CoatedView } from './useCoated'
import type { UvView } from './useUv'

/** While the lamp shines: what is left of this band, or of the whole. */
const { view, uv } = defineProps<{ view: CoatedView; uv: UvView }>()
const { lit, seconds, totals, passed } = uv
const isStrip = computed(() => lit.value?.act.kind === 'strip')
const isOver = computed(() => passed.value >= totals.value.length)
const left = computed(() => Math.abs((totals.value[Math.min(passed.value, totals.value.length - 1)] ?? 0) - seconds.value))
const says = computed(() => {
  if (isOver.value) return isStrip.value ? 'The last band has its time: lamp off' : 'Time is up: look at it, lamp off'
  if (!isStrip.value) return 'The print'
  return passed.value === 0 ? 'All bands are bare' : `${passed.value === 1 ? 'One band is' : `${passed.value} bands are`} covered`
})
const next = computed(() =>
  isOver.value ? 'over by' : isStrip.value && passed.value < totals.value.length - 1 ? `cover band ${passed.value + 1} in` : 'lamp off in',
)
</script>

<template>
  <section aria-labelledby="shines">
    <h2 id="shines" class="text-3xl font-bold" role="status">{{ says }}</h2>
    <p class="text-lg text-quiet">{{ next }}</p>
    <p class="my-1 font-mono text-8xl leading-none font-bold max-sm:text-6xl" data-left>
      {{ showTime(isOver ? Math.floor(left) : Math.ceil(left)) }}
    </p>
    <p class="mb-3 text-lg">
      on for <span class="font-mono">{{ showTime(Math.floor(seconds)) }}</span>. {{ uvCaution }}
    </p>
    <ProblemLine :problem="view.problem.value" />
    <div class="flex flex-wrap gap-3">
      <button
        type="button"
        class="button min-h-20 px-8 text-3xl"
        :class="isOver || !isStrip ? 'button-main' : ''"
        :data-next="isOver ? '' : undefined"
        :disabled="view.busy.value || (isStrip && !isOver)"
        @click="uv.off"
      >
        Lamp off
      </button>
      <button type="button" class="button min-h-20" @click="uv.leave">It was not so: begin again</button>
    </div>
    <p v-if="isStrip && !isOver" class="mt-2 text-quiet">A strip counts when its last band has its time.</p>
  </section>
</template>
