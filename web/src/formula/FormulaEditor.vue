<script setup lang="ts">
import { families, familyNames } from '@selvrin/core'
import ChoiceField from '../fields/ChoiceField.vue'
import PageState from '../fields/PageState.vue'
import TextField from '../fields/TextField.vue'
import FindingList from '../marks/FindingList.vue'
import FormulaLines from './FormulaLines.vue'
import FormulaParts from './FormulaParts.vue'
import KeepFormula from './KeepFormula.vue'
import SchoolFields from './SchoolFields.vue'
import { useFormulaDraft } from './useFormulaDraft'

const of = useFormulaDraft()
const { draft, shown, read, findings, ready, gone, listProblem, based, editing, repair, save } = of
const familyChoices = families.map((value) => ({ value, name: familyNames[value] }))
const waters = [
  { value: 'tap' as const, name: 'Tap water' },
  { value: 'deionised' as const, name: 'Deionised water' },
]
</script>

<template>
  <div class="station">
    <PageState
      v-if="!ready"
      :missing="gone ? 'There is no such formula.' : ''"
      :problem="listProblem"
      what="the formula"
      back="Back to the Formulary"
      back-to="/formulary"
    />
    <form v-else class="grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1" @submit.prevent="save">
      <div class="space-y-6">
        <h1 class="text-3xl font-bold">{{ based ? `New version of ${based.body.name}` : 'New formula' }}</h1>
        <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
          <TextField v-model="draft.name" label="Name" :problem="shown.name ?? ''" />
          <ChoiceField v-model="draft.family" label="Family" :choices="familyChoices" :problem="shown.family ?? ''" />
        </div>
        <TextField v-model="draft.purpose" label="What it is for" />
        <div class="grid grid-cols-4 gap-4 max-sm:grid-cols-2">
          <TextField v-model="draft.final" label="Makes" :problem="shown.final ?? ''" />
          <TextField v-model="draft.start" label="Start with water" :problem="shown.start ?? ''" />
          <TextField v-model="draft.mix" label="At" :problem="shown.mix ?? ''" />
          <ChoiceField v-model="draft.water" label="Water" :choices="waters" />
        </div>
        <FormulaLines v-model="draft.lines" :shown="shown" />
        <FormulaParts v-model="draft.parts" :shown="shown" :editing="editing" />
        <fieldset class="space-y-4">
          <legend class="mb-2 text-xl font-bold">How it is used</legend>
          <SchoolFields
            v-model="draft.school"
            :family="draft.family ?? ''"
            :fixer="draft.family === 'fixer' || draft.family === 'bleach-fix'"
            :problems="shown"
          />
          <TextField v-model="draft.dilutions" label="Dilutions" hint="stock, 1+1, 1+3" :problem="shown.dilutions ?? ''" />
          <div class="grid grid-cols-5 gap-4 max-sm:grid-cols-2">
            <TextField v-model="draft.full" label="Keeps full, days" :problem="shown.full ?? ''" />
            <TextField v-model="draft.half" label="Half full, days" :problem="shown.half ?? ''" />
            <TextField v-model="draft.working" label="Working, days" :problem="shown.working ?? ''" />
            <TextField v-model="draft.tray" label="In a tray, days" :problem="shown.tray ?? ''" />
            <TextField v-model="draft.usual" label="Usual time" hint="1:00 or 60 s" :problem="shown.usual ?? ''" />
          </div>
          <TextField v-model="draft.note" label="Note" multiline />
        </fieldset>
      </div>
      <aside class="space-y-5">
        <KeepFormula :of="of" />
        <section aria-live="polite">
          <h2 class="mb-2 text-xl font-bold">Findings</h2>
          <FindingList :findings="findings" @repair="repair" />
          <p v-if="read.body && findings.length === 0">The rules of mixing have nothing to say.</p>
          <p v-else-if="!read.body" class="text-quiet">Checked as soon as everything can be read.</p>
        </section>
      </aside>
    </form>
  </div>
</template>
