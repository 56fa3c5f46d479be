<script setup lang="ts">
import { loadKindOf } from '@selvrin/core'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import TextField from '../fields/TextField.vue'
import { formats } from './planChoices'
import type { Planning } from './usePlan'

/** Which films, whose they are, and the tank they go into. */
const { planning } = defineProps<{ planning: Planning }>()
const { asked, choices, found } = planning
/** films of the chart are chosen, others are written */
const charted = computed(() => !found.process || found.roles.some((role) => role.charted))
const piece = computed(() => (loadKindOf(asked.format ?? '135-36') === 'sheets' ? 'sheet' : 'film'))
const more = () => asked.owners.push({ id: uuid(), memberId: asked.owners.at(-1)?.memberId ?? null })
</script>

<template>
  <ChoiceField v-if="charted" v-model="asked.film" label="Film" :choices="choices.films" />
  <TextField
    v-else
    :model-value="asked.film ?? ''"
    label="Film"
    hint="as it stands on the canister"
    @update:model-value="(film) => (asked.film = film)"
  />
  <div class="grid grid-cols-2 gap-3">
    <ChoiceField v-if="charted" v-model="asked.ei" label="Exposed at" :choices="choices.eis" />
    <TextField v-else :model-value="asked.ei ?? ''" label="Exposed at" hint="such as 200" @update:model-value="(ei) => (asked.ei = ei)" />
    <ChoiceField v-model="asked.push" label="Push or pull" :choices="choices.pushes" />
  </div>
  <ChoiceField v-model="asked.format" label="Format" :choices="formats" />
  <fieldset class="space-y-2">
    <legend class="font-semibold">Whose films</legend>
    <div v-for="(owner, i) in asked.owners" :key="owner.id" class="flex items-end gap-2">
      <ChoiceField v-model="owner.memberId" class="min-w-0 flex-1" :label="`Owner of ${piece} ${i + 1}`" :choices="choices.members" />
      <button
        v-if="asked.owners.length > 1"
        type="button"
        class="button button-small min-h-12"
        :aria-label="`Take ${piece} ${i + 1} out`"
        @click="asked.owners.splice(i, 1)"
      >
        ✕
      </button>
    </div>
    <button type="button" class="button button-small" @click="more">One more {{ piece }}</button>
  </fieldset>
  <ChoiceField v-model="asked.vesselId" label="Tank" :choices="choices.vessels" />
</template>
