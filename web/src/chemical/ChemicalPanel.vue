<script setup lang="ts">
import { catalogue as builtIn, cautions, DomainError, natures, type Chemical } from '@selvrin/core'
import { api, type ChemicalRow } from '@selvrin/core/contract'
import { computed, ref, watch } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { readFigure, readShare, writeFigure, writePercent } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useChemicals } from '../stores'
import { catalogue } from './chemistry'
import { bodyOf, idFor, readSigned, readSolubility, readStatements, writeSolubility, writeStatements } from './figures'

/** A chemical's figures as this darkroom has them. One of its own begins as a copy of what it is like. */
const { chemical } = defineProps<{ chemical: Chemical | null }>()
const emit = defineEmits<{ close: [] }>()
const own = useChemicals()
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
const row = computed(() => own.rows.find((one) => one.id === chemical?.id))
const { form, fields, typed, busy, rest, current, submit } = useContractForm(api.chemical.put, {
  begin: () => ({ version: row.value?.version ?? null, body: bodyOf(chemical ?? blank) }),
  send: async ({ body }, theirs) => {
    const id = chemical?.id ?? idFor(body.name)
    const known = catalogue()[id]
    if (chemical === null && known) throw new DomainError('exists', `${known.name} is in the catalogue already: edit that one.`)
    const version = (theirs as ChemicalRow | null)?.version ?? row.value?.version ?? null
    await call(api.chemical.put, { params: { id }, body: { version, body } })
    await done()
  },
})
const body = computed(() => typed.value.body ?? bodyOf(blank))
const choices = computed(() =>
  Object.values(catalogue())
    .map((one) => ({ value: one.id, name: one.name }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
watch(like, (id) => {
  const model = id ? catalogue()[id] : undefined
  if (model) form.setFieldValue('body', { ...bodyOf(model), name: body.value.name, note: '', source: '' })
})
const isBuiltIn = computed(() => chemical !== null && Object.hasOwn(builtIn, chemical.id))
const theirs = computed(() => current.value as ChemicalRow | null)
const removing = useAction()
async function takeBack(): Promise<void> {
  const mine = row.value
  if (!mine) return
  const good = await removing.act(() => call(api.chemical.remove, { params: { id: mine.id }, body: { version: mine.version } }))
  if (good) await done()
}
async function done(): Promise<void> {
  await own.load(true)
  emit('close')
}
const beware = computed(() => cautions({ statements: body.value.statements }))
const toggle = <T,>(list: T[], one: T): T[] => (list.includes(one) ? list.filter((other) => other !== one) : [...list, one])
const says = (text: string) => text.replaceAll('-', ' ')
</script>

<template>
  <FormPanel
    wide
    :title="chemical?.name ?? 'A chemical of our own'"
    :yes="theirs ? 'Keep mine over theirs' : 'Keep'"
    :busy="busy"
    :problem="rest || removing.problem.value"
    @close="$emit('close')"
    @submit="submit"
  >
    <ChoiceField v-if="!chemical" v-model="like" label="It is like" :choices="choices" placeholder="nothing in the catalogue" />
    <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
      <BodyField v-slot="{ bind }" :of="fields" name="body.name"><TextField v-bind="bind" label="Name" /></BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.molarMass">
        <ReadField v-bind="bind" label="Molar mass, g/mol" hint="empty: by mass only" :read="readFigure" :write="writeFigure" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.solubility" items>
        <ReadField v-bind="bind" label="Solubility" hint="°C: g in 100 ml of water; …" :read="readSolubility" :write="writeSolubility" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.heatOfSolution">
        <ReadField
          v-bind="bind"
          label="Heat of solution, kJ/mol"
          hint="above 0 it cools; empty: not known"
          :read="readSigned"
          :write="writeFigure"
        />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.densityGPerMl" optional>
        <ReadField v-bind="bind" label="Density of a liquid, g/ml" :read="readFigure" :write="writeFigure" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.content" optional>
        <ReadField v-bind="bind" label="A solution’s strength" hint="such as 28 %" :read="readShare" :write="writePercent" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.usualAssay" optional>
        <ReadField v-bind="bind" label="Usual assay" hint="such as 97 %" :read="readShare" :write="writePercent" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="body.statements" optional>
        <ReadField
          v-bind="bind"
          label="Hazard statements"
          hint="as on the supplier’s sheet, such as H302 H319; none where it names none"
          :read="readStatements"
          :write="writeStatements"
        />
      </BodyField>
    </div>
    <fieldset>
      <legend class="mb-1 font-semibold">What it does</legend>
      <div class="flex flex-wrap gap-2">
        <button
          v-for="one in natures"
          :key="one"
          type="button"
          class="button button-small"
          :class="body.natures.includes(one) ? 'button-main' : ''"
          :aria-pressed="body.natures.includes(one)"
          @click="form.setFieldValue('body.natures', toggle(body.natures, one))"
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
    <BodyField v-slot="{ bind }" :of="fields" name="body.note"><TextField v-bind="bind" label="Note" /></BodyField>
    <BodyField v-slot="{ bind }" :of="fields" name="body.source"><TextField v-bind="bind" label="Where the figures are from" /></BodyField>
    <p class="text-quiet">
      {{
        body.inWater === undefined
          ? 'Its pH is not known: formulas with it get no prediction.'
          : 'For the pH it counts like the chemical it was copied from.'
      }}
    </p>
    <p v-if="theirs">
      <b>{{ theirs.changedBy }}</b> changed it meanwhile: {{ theirs.body.molarMass }} g/mol, {{ theirs.body.note || 'no note' }};
      {{ theirs.body.source }}.
    </p>
    <template v-if="row" #apart>
      <button type="button" class="button ml-auto" :disabled="removing.busy.value" @click="takeBack">
        {{ isBuiltIn ? 'Back to the built-in figures' : `Take ${row.body.name} out` }}
      </button>
    </template>
  </FormPanel>
</template>
