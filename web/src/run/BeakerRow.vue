<script setup lang="ts">
import { beakerWater, type Plan, type PlanStep } from '@selvrin/core'
import { computed } from 'vue'
import BathMark from '../marks/BathMark.vue'
import { useSession } from '../session/store'
import { useShow } from '../session/useShow'

/** The liquids to stand ready, in the order in which they are poured. */
const { plan } = defineProps<{ plan: Plan }>()
const show = useShow()
const session = useSession()
const volume = (ml: number) => show.volume(ml)
// a lamp and the air fill no beaker
const beakers = computed(() => plan.steps.filter((step) => step.kind !== 'dry' && step.volumeMl > 0))
const most = computed(() => Math.max(...beakers.value.map((step) => step.volumeMl)))
const savedBy = ({ liquid }: PlanStep) =>
  typeof liquid === 'object' && 'savedFrom' in liquid ? plan.steps.find((one) => one.key === liquid.savedFrom)?.name : undefined
const what = (step: PlanStep) =>
  savedBy(step) ? `what ${savedBy(step)} left` : step.bottle ? `${step.bottle.label} ${step.bottle.name}` : 'Water'
/** The water in it by the taps of the house, so that with its concentrate it has its temperature. */
const taps = computed(() => session.darkroom)
function water(step: PlanStep): string {
  const { tapHotC, tapColdC, roomC } = taps.value ?? {}
  if (tapHotC == null || tapColdC == null || roomC == null) return ''
  const blend = beakerWater(step, { hotC: tapHotC, coldC: tapColdC, roomC })
  if (blend === 'unreached') return 'the taps alone do not reach it'
  return blend ? `${volume(Math.round(blend.hotMl))} hot, ${volume(Math.round(blend.coldMl))} cold` : ''
}
</script>

<template>
  <div>
    <h2 class="mb-2 text-xl font-bold">Beakers, in order</h2>
    <ol class="flex flex-wrap items-start gap-x-6 gap-y-5">
      <li v-for="(step, i) in beakers" :key="i" class="w-40">
        <svg viewBox="0 0 100 96" class="h-24 w-24" aria-hidden="true">
          <rect
            x="14"
            :y="92 - (74 * step.volumeMl) / most"
            width="72"
            :height="(74 * step.volumeMl) / most"
            :style="{ fill: 'color-mix(in srgb, var(--ink) 14%, var(--panel))' }"
          />
          <path d="M8 6c5 0 6 3 6 7v76c0 2 1 3 3 3h66c2 0 3-1 3-3V6" fill="none" stroke="var(--ink)" stroke-width="3" />
          <path d="M14 30h14M14 50h20M14 70h14" stroke="var(--ink)" stroke-width="2" />
        </svg>
        <p class="flex items-center gap-2 text-lg font-bold"><BathMark :family="step.family" :size="22" /> {{ step.name }}</p>
        <p class="font-mono text-xl font-bold">{{ volume(step.volumeMl) }}</p>
        <p>
          {{ what(step)
          }}<template v-if="step.partsMl.length > 1"
            >: <b class="font-mono whitespace-nowrap">{{ step.partsMl.map((ml) => volume(ml)).join(' + ') }}</b> water</template
          >
        </p>
        <p v-if="water(step)">{{ water(step) }}</p>
        <p class="text-quiet">{{ show.temperature(step.temperatureC) }}{{ step.fate === 'back' ? ', back to the bottle' : '' }}</p>
      </li>
    </ol>
  </div>
</template>
