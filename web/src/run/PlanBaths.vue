<script setup lang="ts">
import { developsFirst } from '@selvrin/core'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import MeasuredTemperature from '../proof/MeasuredTemperature.vue'
import { useShow } from '../session/useShow'
import { agitationChoices, pickable } from './planChoices'
import type { Planning } from './usePlan'

/** What is poured, in the order in which it is poured, and how warm it is. */
const { planning } = defineProps<{ planning: Planning }>()
const { asked, choices, found, steps } = planning
const show = useShow()
const placeholder = (charted: boolean): string =>
  !charted ? 'None on the shelf' : asked.film ? 'No developer on the shelf has a charted time' : 'Choose the film first'
const first = computed(() => steps.value.find(developsFirst))
const name = computed(() => found.roles[0]?.name ?? 'Developer')
/** Steps out of a bottle that may have a temperature of their own. */
const others = computed(() => steps.value.filter((step) => step !== first.value && typeof step.liquid === 'object'))
const wants = ({ atC, c }: { atC?: number | undefined; c?: { min: number; max: number } | undefined }): string =>
  c ? `${show.temperature(c.min)} to ${show.temperature(c.max)}` : atC === undefined ? 'as the developer' : show.temperature(atC)
</script>

<template>
  <template v-for="role in found.roles" :key="role.id">
    <ChoiceField
      v-model="asked.baths[role.id]!"
      :label="role.name"
      :choices="pickable(role.choices)"
      :placeholder="placeholder(role.charted)"
    />
    <ChoiceField
      v-if="role.charted && choices.sources.length > 1"
      v-model="asked.source"
      label="Sources disagree: whose time?"
      :choices="choices.sources"
    />
  </template>
  <MeasuredTemperature
    v-model="asked.temperatureC"
    v-model:typed="asked.typedC"
    :label="`${name}, measured`"
    :hint="first?.atC ? `this process has it at ${show.temperature(first.atC)}` : 'bring the other baths to it'"
  />
  <details v-if="others.length > 0">
    <summary class="min-h-11 cursor-pointer py-2 font-semibold">Other baths, measured</summary>
    <div class="grid grid-cols-2 gap-3">
      <QuantityField
        v-for="step in others"
        :key="step.key"
        :model-value="asked.bathC[step.key] ?? null"
        kind="temperature"
        :label="step.name"
        :hint="wants(step)"
        @update:model-value="(c) => (asked.bathC[step.key] = c)"
      />
    </div>
  </details>
  <ChoiceField v-model="asked.agitation" label="Agitation" :choices="agitationChoices" />
</template>
