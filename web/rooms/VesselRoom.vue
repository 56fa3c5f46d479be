<script setup lang="ts">
import BottleVessel from '../src/bottle/BottleVessel.vue'
import LifeBar from '../src/bottle/LifeBar.vue'
import JarVessel from '../src/jar/JarVessel.vue'
import BeakerRow from '../src/run/BeakerRow.vue'
import StepRibbon from '../src/run/StepRibbon.vue'
import TimeFactors from '../src/run/TimeFactors.vue'
import { bottles, jar, plan } from './samples'

/** What holds something: bottles, jars, beakers, and the ribbon of a run, before it, within it and after. */
</script>

<template>
  <div class="flex flex-wrap items-end gap-4">
    <figure v-for="(bottle, name) in bottles" :key="name">
      <BottleVessel :bottle="bottle" zone="UTC" :first="name === 'full'" :flag="name === 'too old' ? 'retire it' : ''" />
      <figcaption class="text-center text-quiet">{{ name }}</figcaption>
    </figure>
  </div>
  <LifeBar :used="0" :aged="0" />
  <LifeBar :used="0.45" :aged="0.2" />
  <LifeBar :used="0.7" :aged="0.6" />
  <JarVessel :jar="jar('metol', 250)" :most-g="250" :low="false" />
  <JarVessel :jar="jar('sodium-hydroxide', 40)" :most-g="500" low />
  <TimeFactors v-if="plan.developing" :developing="plan.developing" :temperature-c="plan.temperatureC" />
  <BeakerRow :plan="plan" />
  <StepRibbon :plan="plan" />
  <StepRibbon :plan="plan" :step="1" :elapsed-s="20" />
  <StepRibbon :plan="plan" :step="4" />
</template>
