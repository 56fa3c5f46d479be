<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed } from 'vue'
import { catalogue, clashesOf } from '../chemical/chemistry'
import { call } from '../api/call'
import BodyField from '../fields/BodyField.vue'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import { useContractForm } from '../fields/useContractForm'
import ProtectionSigns from '../hazard/ProtectionSigns.vue'
import { useJars } from '../stores'
import { noFacts } from './facts'
import JarFields from './JarFields.vue'
import { useShow } from '../session/useShow'
import { alsoCalled, notTheSame } from '../chemical/names'

const show = useShow()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const jars = useJars()
const ids = { id: uuid(), entryId: uuid() }
const { fields, typed, busy, rest, submit } = useContractForm(api.jar.receive, {
  begin: () => ({ ...ids, chemical: null, grams: null, ...noFacts() }),
  send: async (body) => {
    await call(api.jar.receive, { body })
    await jars.load(true)
    emit('made', ids.id)
  },
})
const chemicals = Object.values(catalogue())
  .map((one) => ({ value: one.id, name: one.name }))
  .sort((a, b) => a.name.localeCompare(b.name))
const chemical = computed(() => typed.value.chemical)
const picked = computed(() => (chemical.value ? catalogue()[chemical.value] : undefined))
/** What stands there already and must not stand beside it. */
const clashes = computed(() => {
  const { place } = typed.value
  if (chemical.value === null || !place) return []
  const there = jars.rows.filter((jar) => jar.place === place.trim()).map((jar) => jar.chemical)
  return clashesOf([chemical.value, ...there]).filter((clash) => clash.one === chemical.value || clash.other === chemical.value)
})
</script>

<template>
  <FormPanel wide title="A new jar" yes="Put it on the shelf" :busy="busy" :problem="rest" @close="$emit('close')" @submit="submit">
    <div class="grid grid-cols-2 gap-4">
      <BodyField v-slot="{ bind }" :of="fields" name="chemical">
        <ChoiceField v-bind="bind" label="Chemical" :choices="chemicals" />
      </BodyField>
      <BodyField v-slot="{ bind }" :of="fields" name="grams"><QuantityField v-bind="bind" kind="mass" label="Holds" /></BodyField>
    </div>
    <p v-if="picked && alsoCalled(picked.id)" class="text-quiet">{{ alsoCalled(picked.id) }}</p>
    <p v-if="picked && notTheSame(picked.id)" class="font-semibold">{{ notTheSame(picked.id) }} Look at the jar again.</p>
    <ProtectionSigns v-if="picked" :chemical="picked" />
    <JarFields :of="fields" />
    <p v-for="clash in clashes" :key="clash.message" class="font-semibold text-alarm">{{ show.said(clash.message) }}</p>
  </FormPanel>
</template>
