<script setup lang="ts">
import { storageGroups, storageWords } from '@selvrin/core'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import { readDay, readFigure, readShare, writeDay, writeFigure, writePercent } from '../fields/read'
import ReadField from '../fields/ReadField.vue'
import TextField from '../fields/TextField.vue'
import type { FieldsOf } from '../fields/useContractForm'
import { useSession } from '../session/store'

/** What is known of a jar beside its ledger. */
defineProps<{ of: FieldsOf }>()
const session = useSession()
const asIts = 'as its chemical'
const groups = [
  { value: asIts, name: asIts },
  ...storageGroups.map((value) => ({
    value: value as string,
    name: storageWords[value].split(':')[0] ?? value,
    detail: storageWords[value],
  })),
]
</script>

<template>
  <div class="grid grid-cols-2 gap-4">
    <BodyField v-slot="{ bind }" :of="of" name="lot"><TextField v-bind="bind" label="Lot" /></BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="place"><TextField v-bind="bind" label="Place" /></BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="openedAt">
      <ReadField v-bind="bind" label="Opened" hint="2026-04-14; empty: sealed" :read="readDay" :write="writeDay" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="assay">
      <ReadField v-bind="bind" label="Assay" hint="such as 85 %; empty: the usual" :read="readShare" :write="writePercent" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="pricePerKg">
      <ReadField v-bind="bind" :label="`Price a kg, ${session.darkroom?.currency ?? 'EUR'}`" :read="readFigure" :write="writeFigure" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="reorderG">
      <QuantityField v-bind="bind" kind="mass" label="Order below" hint="all its jars together" />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="storage">
      <ChoiceField
        label="Stands with"
        :choices="groups"
        :problem="bind.problem"
        :model-value="bind.modelValue ?? asIts"
        @update:model-value="(value) => bind['onUpdate:modelValue'](value === asIts ? null : value)"
      />
    </BodyField>
    <BodyField v-slot="{ bind }" :of="of" name="spoonG">
      <QuantityField v-bind="bind" kind="mass" label="One level spoon" hint="measured here; never for developers" />
    </BodyField>
  </div>
</template>
