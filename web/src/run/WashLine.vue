<script setup lang="ts">
import { loadKindOf, reelPlace, washFigures, type Plan } from '@selvrin/core'
import { computed } from 'vue'
import { useShow } from '../session/useShow'

/** Where a reel that is alone stands; what the wash leaves and the water it takes, with the other way beside it. */
const { plan } = defineProps<{ plan: Plan }>()
const show = useShow()
const wash = computed(() => washFigures(plan))
// sheets stand in holders
const place = computed(() =>
  plan.films.some((film) => loadKindOf(film.format) === 'sheets')
    ? null
    : reelPlace(
        plan.vessel,
        plan.films.reduce((sum, film) => sum + film.count, 0),
      ),
)
/** '0.011 %', and a share too small to say as such */
const share = (left: number) => (left < 5e-7 ? 'next to nothing' : `${Number((left * 100).toPrecision(2))} %`)
const litres = (l: number) => show.volume(Math.round(l * 10) * 100)
const last = computed(() => plan.steps.some((step) => step.kind === 'wetting-agent'))
</script>

<template>
  <div class="space-y-1">
    <p v-if="place">In {{ plan.vessel.name }}: {{ place }}.</p>
    <p v-if="wash">
      <b>The wash</b>
      <template v-if="wash.fills">
        in {{ wash.fills.count }} {{ wash.fills.count === 1 ? 'fill' : 'fills' }} of {{ show.volume(wash.fills.ml) }} leaves
        {{ share(wash.fills.left) }} of what the film carried in{{ wash.running ? ', then' : '' }}</template
      >
      <template v-if="wash.running && wash.running.left !== null">
        in running water leaves {{ share(wash.running.left) }} of what is in the layer</template
      >. It takes {{ litres(wash.waterL) }} of water; {{ wash.running ? 'three fills' : 'ten minutes of running water' }} would take
      {{ litres(wash.otherL) }}.
    </p>
    <p v-for="warning in wash?.warnings ?? []" :key="warning" class="border-l-4 border-alarm pl-4 font-semibold">{{ warning }}</p>
    <p v-if="last">
      The wetting agent is made up with deionised water and comes last, off the reel or with the reels soaked hot afterwards: it clogs them.
    </p>
  </div>
</template>
