<script setup lang="ts">
import { hazardLabel, protection, type Chemical } from '@selvrin/core'
import { computed } from 'vue'
import HazardSign from './HazardSign.vue'

/** What a chemical's label carries and what to wear, where the hand is. */
const { chemical, full } = defineProps<{ chemical: Chemical; full?: boolean }>()
const label = computed(() => hazardLabel(chemical))
const words = { gloves: 'Gloves', eyes: 'Eye protection', mask: 'Dust mask', ventilation: 'Ventilation' }
const wear = computed(() => protection(chemical).map((one) => words[one]))
</script>

<template>
  <div>
    <p v-if="label.pictograms.length + wear.length > 0" class="flex flex-wrap items-center gap-2">
      <HazardSign v-for="sign in label.pictograms" :key="sign" :sign="sign" :size="full ? 56 : 36" />
      <b v-if="label.signal" class="ml-1">{{ label.signal }}:</b>
      <span class="font-semibold">{{ wear.join(' · ') }}</span>
    </p>
    <ul v-if="full" class="mt-2 space-y-0.5">
      <li v-for="one in label.statements" :key="one.code">
        <span class="mr-2 inline-block min-w-16 font-mono text-quiet">{{ one.code }}</span>{{ one.words }}
      </li>
    </ul>
    <p v-if="full" class="mt-1 text-quiet">
      {{ label.known ? (label.statements.length > 0 ? '' : 'Not classified as dangerous. ') : 'No classification on record. ' }}The
      supplier’s safety sheet decides.
    </p>
  </div>
</template>
