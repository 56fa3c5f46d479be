<script setup lang="ts">
import { storageGroups, storageWords } from '@selvrin/core'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import TextField from '../fields/TextField.vue'
import { useSession } from '../session/store'
import type { JarDraft } from './draft'

/** What is known of a jar beside its ledger. */
defineProps<{ problems: Record<string, string> }>()
const draft = defineModel<JarDraft>({ required: true })
const session = useSession()
const groups = [
  { value: '', name: 'as its chemical' },
  ...storageGroups.map((value) => ({ value, name: storageWords[value].split(':')[0] ?? value, detail: storageWords[value] })),
]
</script>

<template>
  <div class="space-y-4">
    <div class="grid grid-cols-2 gap-4">
      <TextField v-model="draft.lot" label="Lot" />
      <TextField v-model="draft.place" label="Place" />
      <TextField v-model="draft.opened" label="Opened" hint="2026-04-14; empty: sealed" :problem="problems.opened ?? ''" />
      <TextField v-model="draft.assay" label="Assay" hint="such as 85 %; empty: the usual" :problem="problems.assay ?? ''" />
      <TextField v-model="draft.price" :label="`Price a kg, ${session.darkroom?.currency ?? 'EUR'}`" :problem="problems.price ?? ''" />
      <QuantityField v-model="draft.reorderG" kind="mass" label="Order below" hint="all its jars together" />
      <ChoiceField v-model="draft.storage" label="Stands with" :choices="groups" />
      <QuantityField v-model="draft.spoonG" kind="mass" label="One level spoon" hint="measured here; never for developers" />
    </div>
  </div>
</template>
