<script setup lang="ts">
import type { Fixable, School } from '@selvrin/core'
import ChoiceField from '../fields/ChoiceField.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { computed, onMounted } from 'vue'
import { useFormulas } from '../stores'
import type { SchoolDraft } from './schoolDraft'
import { useShow } from '../session/useShow'

const show = useShow()
/** The five schools of use, each with what it needs. */
const { family } = defineProps<{ family: string; fixer: boolean; problems: Record<string, string> }>()
const draft = defineModel<SchoolDraft>({ required: true })
const schools: { value: School; name: string; detail: string }[] = [
  { value: 'one-shot', name: 'Used once', detail: 'dilute, use, discard' },
  { value: 'counted', name: 'Counted', detail: 'poured back until its rolls are through' },
  { value: 'compensated', name: 'Compensated', detail: 'poured back, each load gets more time' },
  { value: 'replenished', name: 'Replenished', detail: 'some fresh in after each roll, as much out' },
  { value: 'two-bath', name: 'Two baths', detail: 'half the time in each, the second moves up' },
]
const formulas = useFormulas()
onMounted(() => void formulas.load())
const own = 'own'
const replenishers = computed(() => [
  { value: own, name: 'its own formula' },
  ...formulas.rows
    .filter((row) => row.body.family === family)
    .map((row) => ({ value: row.id, name: row.body.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
])
const replenisher = computed({
  get: () => draft.value.replenisher ?? own,
  set: (id: string | null) => (draft.value.replenisher = id === own ? null : id),
})
const fixables: { value: Fixable; name: string; detail: string }[] = [
  { value: 'film', name: 'Film', detail: `silver to ${show.concentration(6)}, plain fixer ${show.concentration(4)}` },
  { value: 'rc-paper', name: 'RC prints', detail: `silver to ${show.concentration(2)}` },
  { value: 'fibre-paper', name: 'Fibre prints', detail: `silver to ${show.concentration(1)}` },
]
</script>

<template>
  <div class="space-y-4">
    <div class="grid grid-cols-3 gap-4 max-sm:grid-cols-1">
      <ChoiceField v-model="draft.school" label="School" :choices="schools" />
      <TextField
        v-if="draft.school !== 'one-shot' && draft.school !== 'replenished'"
        v-model="draft.capacity"
        :label="`Rolls a ${show.big()}`"
        :problem="problems.capacity ?? ''"
      />
      <TextField
        v-if="draft.school === 'one-shot'"
        v-model="draft.perRoll"
        label="Least stock per roll"
        :problem="problems.perRoll ?? ''"
      />
      <TextField
        v-if="draft.school === 'compensated'"
        v-model="draft.growth"
        label="Time grows by"
        :hint="`4 % a roll and litre, or rolls a litre with their factor: 5 x1.2, 10 x1.4`"
        :problem="problems.growth ?? ''"
      />
      <template v-if="draft.school === 'replenished'">
        <TextField v-model="draft.rate" label="Replenisher a roll" :problem="problems.rate ?? ''" />
        <TextField v-model="draft.turnovers" label="Over after, × its volume" :problem="problems.turnovers ?? ''" />
        <ChoiceField v-model="replenisher" label="Replenisher is" :choices="replenishers" />
      </template>
    </div>
    <div v-if="draft.school === 'two-bath'" class="grid grid-cols-3 gap-4 max-sm:grid-cols-1">
      <TextField v-model="draft.moves" label="Moves of the second bath" :problem="problems.moves ?? ''" />
      <TextField v-model="draft.pairDays" label="Both over after, days" :problem="problems.pairDays ?? ''" />
    </div>
    <div v-if="fixer" class="grid grid-cols-2 items-end gap-4 max-sm:grid-cols-1">
      <ChoiceField v-model="draft.fixes" label="It fixes" :choices="fixables" />
      <SwitchField v-model="draft.longKeeping" label="To keep for long" detail="stricter limits of silver" />
    </div>
  </div>
</template>
