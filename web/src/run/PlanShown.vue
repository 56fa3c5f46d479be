<script setup lang="ts">
import { showParts } from '@selvrin/core'
import FindingList from '../marks/FindingList.vue'
import BeakerRow from './BeakerRow.vue'
import BesideOthers from './BesideOthers.vue'
import StepRibbon from './StepRibbon.vue'
import TimeFactors from './TimeFactors.vue'
import type { Planning } from './usePlan'
import WashLine from './WashLine.vue'

/** The plan as it is worked out, or what it waits for. */
const { planning } = defineProps<{ planning: Planning }>()
const { plan, refused, lacking, developer } = planning
</script>

<template>
  <template v-if="plan">
    <TimeFactors v-if="plan.developing" :developing="plan.developing" :temperature-c="plan.temperatureC" />
    <FindingList :findings="plan.findings" />
    <BesideOthers :plan="plan" />
    <StepRibbon :plan="plan" />
    <BeakerRow :plan="plan" />
    <WashLine :plan="plan" />
  </template>
  <div v-else class="pt-16">
    <p class="text-4xl font-bold">{{ refused || lacking }}</p>
    <p class="mt-3 text-xl text-quiet">The time, the beakers and the steps appear here as you choose.</p>
    <p v-if="developer && refused" class="mt-3 text-lg">{{ developer.name }}, {{ showParts(developer.charted) }}</p>
  </div>
</template>
