<script setup lang="ts">
import { catalogue as builtIn, cautions, natures, type Chemical } from '@selvrin/core'
import { api, type ChemicalRow } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useChemicals } from '../stores'
import { catalogue } from './chemistry'
import { chemicalDraft, idFor, readChemical, statementsOf, type ChemicalDraft } from './draft'

/** A chemical's figures as this darkroom has them. One of its own begins as a copy of what it is like. */
const { chemical } = defineProps<{ chemical: Chemical | null }>()
const emit = defineEmits<{ close: [] }>()
const own = useChemicals()
const { busy, problem, current, act } = useAction()
const like = ref<string | null>(null)
const blank: Chemical = {
  id: '',
  name: '',
  molarMass: null,
  natures: [],
  solubility: [],
  heatOfSolution: null,
  note: '',
  source: '',
}
const draft = ref<ChemicalDraft>(chemicalDraft(chemical ?? blank))
const problems = ref<Record<string, string>>({})
const choices = computed(() =>
  Object.values(catalogue())
    .map((one) => ({ value: one.id, name: one.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
watch(like, (id) => {
  const model = id ? catalogue()[id] : undefined
  if (model) draft.value = { ...chemicalDraft(model), name: draft.value.name, note: '', source: '' }
})
const row = computed(() => own.rows.find((one) => one.id === chemical?.id))
const isBuiltIn = computed(() => chemical !== null && Object.hasOwn(builtIn, chemical.id))
const theirs = computed(() => current.value as ChemicalRow | null)

async function keep(): Promise<void> {
  const { body, problems: wrong } = readChemical(draft.value)
  problems.value = wrong
  const id = chemical?.id ?? idFor(draft.value.name)
  if (!body) {
    problem.value = 'Some of it cannot be read yet: see the marked fields.'
    return
  }
  if (chemical === null && catalogue()[id]) {
    problem.value = `${catalogue()[id]?.name ?? 'A chemical'} is in the catalogue already: edit that one.`
    return
  }
  const version = theirs.value?.version ?? row.value?.version ?? null
  if (await act(() => call(api.chemical.put, { params: { id }, body: { version, body } }))) await done()
}
async function takeBack(): Promise<void> {
  const mine = row.value
  if (mine && (await act(() => call(api.chemical.remove, { params: { id: mine.id }, body: { version: mine.version } })))) await done()
}
async function done(): Promise<void> {
  await own.load(true)
  emit('close')
}
const beware = computed(() => cautions({ statements: statementsOf(draft.value.statements) }))
const toggle = <T,>(list: T[], one: T): T[] => (list.includes(one) ? list.filter((other) => other !== one) : [...list, one])
const says = (text: string) => text.replaceAll('-', ' ')
</script>

<template>
  <ModalPanel open wide :title="chemical?.name ?? 'A chemical of our own'" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="keep">
      <ChoiceField v-if="!chemical" v-model="like" label="It is like" :choices="choices" placeholder="nothing in the catalogue" />
      <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
        <TextField v-model="draft.name" label="Name" :problem="problems.name ?? ''" />
        <TextField v-model="draft.molarMass" label="Molar mass, g/mol" hint="empty: by mass only" :problem="problems.molarMass ?? ''" />
        <TextField v-model="draft.solubility" label="Solubility" hint="°C: g in 100 ml of water, …" :problem="problems.solubility ?? ''" />
        <TextField
          v-model="draft.heat"
          label="Heat of solution, kJ/mol"
          hint="above 0 it cools; empty: not known"
          :problem="problems.heat ?? ''"
        />
        <TextField v-model="draft.density" label="Density of a liquid, g/ml" :problem="problems.density ?? ''" />
        <TextField v-model="draft.content" label="A solution’s strength" hint="such as 28 %" :problem="problems.content ?? ''" />
        <TextField v-model="draft.usualAssay" label="Usual assay" :problem="problems.usualAssay ?? ''" />
        <TextField
          v-model="draft.statements"
          label="Hazard statements"
          hint="as on the supplier’s sheet, such as H302 H319; none where it names none"
          :problem="problems.statements ?? ''"
        />
      </div>
      <fieldset>
        <legend class="mb-1 font-semibold">What it does</legend>
        <div class="flex flex-wrap gap-2">
          <button
            v-for="one in natures"
            :key="one"
            type="button"
            class="button button-small"
            :class="draft.natures.includes(one) ? 'button-main' : ''"
            :aria-pressed="draft.natures.includes(one)"
            @click="draft.natures = toggle(draft.natures, one)"
          >
            {{ says(one) }}
          </button>
        </div>
      </fieldset>
      <section>
        <h3 class="mb-1 font-semibold">What will be said of it</h3>
        <ul class="list-disc pl-5">
          <li v-for="word in beware" :key="word">{{ word }}</li>
          <li v-if="beware.length === 0">Nothing: the sheet names no hazard.</li>
        </ul>
      </section>
      <TextField v-model="draft.note" label="Note" />
      <TextField v-model="draft.source" label="Where the figures are from" :problem="problems.source ?? ''" />
      <p class="text-quiet">
        {{
          draft.kept.inWater === undefined
            ? 'Its pH is not known: formulas with it get no prediction.'
            : 'For the pH it counts like the chemical it was copied from.'
        }}
      </p>
      <ProblemLine :problem="problem" />
      <p v-if="theirs">
        <b>{{ theirs.changedBy }}</b> changed it meanwhile: {{ theirs.body.molarMass }} g/mol, {{ theirs.body.note || 'no note' }};
        {{ theirs.body.source }}.
      </p>
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy">{{ theirs ? 'Keep mine over theirs' : 'Keep' }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
        <button v-if="row" type="button" class="button ml-auto" :disabled="busy" @click="takeBack">
          {{ isBuiltIn ? 'Back to the built-in figures' : `Take ${row.body.name} out` }}
        </button>
      </div>
    </form>
  </ModalPanel>
</template>
