<script setup lang="ts">
import { families, familyNames, testsFor, type Family } from '@selvrin/core'
import { api, type DueRuleRow } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import SwitchField from '../fields/SwitchField.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
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
      ? call(api.proof.changeRule, { params: { id }, body: { version: (theirs as DueRuleRow | null)?.version ?? rule.version, ...when } })
      : call(api.proof.addRule, { body: { id, family, kind, ...when } }))
    await rules.load(true)
    emit('close')
  },
})
const { current, busy, rest } = form
const family = form.form.useStore((state) => (state.values as { family: Family | null }).family)
const tested = families.filter((one) => testsFor(one).length > 0).map((value) => ({ value, name: familyNames[value] }))
const kinds = computed(() =>
  (family.value ? testsFor(family.value) : [])
    .filter((guide) => !rules.rows.some((one) => one.family === family.value && one.kind === guide.kind))
    .map((guide) => ({ value: guide.kind, name: guide.name })),
)
/** as typed; empty for never, and what is no number is refused as it stands */
const days = ref(rule?.everyDays == null ? '' : String(rule.everyDays))
const share = ref(rule?.everyShare == null ? '' : String(Math.round(rule.everyShare * 100)))
const figure = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace('%', '').replace(',', '.')))
const percent = (text: string): number | null => {
  const read = figure(text)
  return read === null ? null : read / 100
}
</script>

<template>
  <ModalPanel open :title="title" @close="$emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="form.submit()">
      <template v-if="rule === null">
        <BodyField v-slot="{ bind }" :of="form.fields" name="family"
          ><ChoiceField v-bind="bind" label="Bath" :choices="tested"
        /></BodyField>
        <BodyField v-slot="{ bind }" :of="form.fields" name="kind"><ChoiceField v-bind="bind" label="Test" :choices="kinds" /></BodyField>
      </template>
      <BodyField v-slot="{ bind }" :of="form.fields" name="atMixing">
        <SwitchField v-bind="bind" label="When fresh, as the reference" />
      </BodyField>
      <div class="grid grid-cols-2 gap-4">
        <BodyField v-slot="{ bind }" :of="form.fields" name="everyDays">
          <TextField
            v-model="days"
            label="After days without it"
            hint="empty for never"
            :problem="bind.problem"
            @update:model-value="(text) => bind['onUpdate:modelValue'](figure(text))"
          />
        </BodyField>
        <BodyField v-slot="{ bind }" :of="form.fields" name="everyShare">
          <TextField
            v-model="share"
            label="After % of the capacity"
            hint="empty for never"
            :problem="bind.problem"
            @update:model-value="(text) => bind['onUpdate:modelValue'](percent(text))"
          />
        </BodyField>
      </div>
      <BodyField v-slot="{ bind }" :of="form.fields" name="beforeCritical">
        <SwitchField v-bind="bind" label="Before critical films" detail="the same day; and after two films that came out odd" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="form.fields" name="active"><SwitchField v-bind="bind" label="In force" /></BodyField>
      <ProblemLine :problem="rest" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">{{ current ? 'Keep mine over theirs' : 'Keep the rule' }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
