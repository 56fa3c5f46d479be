<script setup lang="ts">
import ChoiceField from '../fields/ChoiceField.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import { agitationChoices, pickable } from './planChoices'
import type { Planning } from './usePlan'

/** What is poured, in the order in which it is poured, and how warm the developer is. */
const { planning } = defineProps<{ planning: Planning }>()
const { asked, choices, found } = planning
</script>

<template>
  <ChoiceField
    v-model="asked.developer"
    label="Developer"
    :choices="pickable(choices.developers)"
    :placeholder="asked.film ? 'No developer on the shelf has a charted time' : 'Choose the film first'"
  />
  <ChoiceField v-if="choices.sources.length > 1" v-model="asked.source" label="Sources disagree: whose time?" :choices="choices.sources" />
  <MeasuredTemperature
    v-model="asked.temperatureC"
    v-model:typed="asked.typedC"
    label="Developer, measured"
    hint="bring the other baths to it"
  />
  <ChoiceField v-model="asked.agitation" label="Agitation" :choices="agitationChoices" />
  <ChoiceField v-model="asked.stop" label="Stop bath" :choices="pickable(choices.stops)" />
  <ChoiceField v-model="asked.fixer" label="Fixer" :choices="pickable(choices.fixers)" />
  <ChoiceField
    v-if="found.paired"
    v-model="asked.second"
    label="Second fixing bath"
    :choices="choices.seconds"
    placeholder="pair it with another first"
  />
  <ChoiceField v-model="asked.aid" label="Wash aid" :choices="pickable(choices.aids)" placeholder="No wash aid" />
  <ChoiceField v-model="asked.wetting" label="Wetting agent" :choices="pickable(choices.wettings)" placeholder="No wetting agent" />
</template>
