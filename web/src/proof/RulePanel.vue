<script setup lang="ts">
import { families, familyNames, testsFor, type Family } from '@selvrin/core'
import { api, type DueRuleRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import { readPercent, readWhole, writeFigure, writePercent } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import SwitchField from '../fields/SwitchField.vue'
import { basedOn, useContractForm } from '../fields/useContractForm'
import { useDueRules } from '../stores'

/** When a test of a bath falls due: a rule of the house's, or a new one. */
const { rule, title } = defineProps<{ rule: DueRuleRow | null; title: string }>()
const emit = defineEmits<{ close: [] }>()
const rules = useDueRules()
const newId = uuid()
const form = useContractForm(api.proof.addRule, {
  begin: () => ({
    id: rule?.id ?? newId,
    family: rule?.family ?? null,
    kind: rule?.kind ?? null,
    atMixing: rule?.atMixing ?? false,
    everyDays: rule?.everyDays ?? null,
    everyShare: rule?.everyShare ?? null,
    beforeCritical: rule?.beforeCritical ?? false,
    active: rule?.active ?? true,
  }),
  send: async ({ id, family, kind, ...when }, theirs) => {
    await (rule
      ? call(api.proof.changeRule, { params: { id }, body: { version: basedOn(rule, theirs), ...when } })
      : call(api.proof.addRule, { body: { id, family, kind, ...when } }))
    await rules.load(true)
    emit('close')
  },
})
const { current, busy, rest } = form
const readDays = readWhole('Write the days as a whole number.')
const family = form.form.useStore((state) => (state.values as { family: Family | null }).family)
const tested = families.filter((one) => testsFor(one).length > 0).map((value) => ({ value, name: familyNames[value] }))
const kinds = computed(() =>
  (family.value ? testsFor(family.value) : [])
    .filter((guide) => !rules.rows.some((one) => one.family === family.value && one.kind === guide.kind))
    .map((guide) => ({ value: guide.kind, name: guide.name })),
)
</script>

<template>
  <FormPanel
    :title="title"
    :yes="current ? 'Keep mine over theirs' : 'Keep the rule'"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="form.submit()"
  >
    <template v-if="rule === null">
      <BodyField v-slot="{ bind }" :of="form.fields" name="family"><ChoiceField v-bind="bind" label="Bath" :choices="tested" /></BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="kind"><ChoiceField v-bind="bind" label="Test" :choices="kinds" /></BodyField>
    </template>
    <BodyField v-slot="{ bind }" :of="form.fields" name="atMixing">
      <SwitchField v-bind="bind" label="When fresh, as the reference" />
    </BodyField>
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="form.fields" name="everyDays">
        <ReadField v-bind="bind" label="After days without it" hint="empty for never" :read="readDays" :write="writeFigure" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="everyShare">
        <ReadField v-bind="bind" label="After % of the capacity" hint="empty for never" :read="readPercent" :write="writePercent" />
      </BodyField>
    </div>
    <BodyField v-slot="{ bind }" :of="form.fields" name="beforeCritical">
      <SwitchField v-bind="bind" label="Before critical films" detail="the same day; and after two films that came out odd" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="form.fields" name="active"><SwitchField v-bind="bind" label="In force" /></BodyField>
  </FormPanel>
</template>
