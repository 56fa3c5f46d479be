<script setup lang="ts">
import { computed } from 'vue'
import ChoiceField from '../fields/ChoiceField.vue'
import TextField from '../fields/TextField.vue'
import { useFormulas } from '../stores'
import type { Draft, Problems } from './draft'

/** The formulas that are poured together before use; `editing` is no part of itself. */
const { shown, editing } = defineProps<{ shown: Problems; editing: string | null }>()
const parts = defineModel<Draft['parts']>({ required: true })
const formulas = useFormulas()
const choices = computed(() =>
  formulas.rows.filter((row) => row.id !== editing && !row.body.combine).map((row) => ({ value: row.id, name: row.body.name })),
)
</script>

<template>
  <fieldset>
    <legend class="mb-2 text-xl font-bold">Parts, poured together before use</legend>
    <ol class="space-y-3">
      <li v-for="(part, i) in parts" :key="i" class="grid grid-cols-[5rem_minmax(0,1fr)_auto] items-start gap-3">
        <TextField v-model="part.part" label="Part" />
        <ChoiceField v-model="part.formulaId" label="Its own formula" :choices="choices" />
        <button type="button" class="button button-small mt-7" :aria-label="`Take part ${part.part} out`" @click="parts.splice(i, 1)">
          ✕
        </button>
      </li>
    </ol>
    <button type="button" class="button button-small mt-3" @click="parts.push({ part: 'ABCD'[parts.length] ?? '', formulaId: null })">
      Add a part
    </button>
    <p v-if="shown.parts" class="mt-1 font-semibold text-alarm" role="alert">{{ shown.parts }}</p>
    <p class="mt-2 text-quiet">In their order; the dilutions below then give their parts and the water, such as 1+1+10.</p>
  </fieldset>
</template>
