<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import ChoiceField from '../fields/ChoiceField.vue'
import { formats, pushes } from './planChoices'
import type { Planning } from './usePlan'

/** Which films, whose they are, and the tank they go into. */
const { planning } = defineProps<{ planning: Planning }>()
const { asked, choices } = planning
const more = () => asked.owners.push({ id: uuid(), memberId: asked.owners.at(-1)?.memberId ?? null })
</script>

<template>
  <ChoiceField v-model="asked.film" label="Film" :choices="choices.films" />
  <div class="grid grid-cols-2 gap-3">
    <ChoiceField v-model="asked.ei" label="Exposed at" :choices="choices.eis" />
    <ChoiceField v-model="asked.push" label="Push or pull" :choices="pushes" />
  </div>
  <ChoiceField v-model="asked.format" label="Format" :choices="formats" />
  <fieldset class="space-y-2">
    <legend class="font-semibold">Whose films</legend>
    <div v-for="(owner, i) in asked.owners" :key="owner.id" class="flex items-end gap-2">
      <ChoiceField v-model="owner.memberId" class="min-w-0 flex-1" :label="`Owner of film ${i + 1}`" :choices="choices.members" />
      <button
        v-if="asked.owners.length > 1"
        type="button"
        class="button button-small min-h-12"
        :aria-label="`Take film ${i + 1} out`"
        @click="asked.owners.splice(i, 1)"
      >
        ✕
      </button>
    </div>
    <button type="button" class="button button-small" @click="more">One more film</button>
  </fieldset>
  <ChoiceField v-model="asked.vesselId" label="Tank" :choices="choices.vessels" />
</template>
