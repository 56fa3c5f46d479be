<script setup lang="ts">
import { api, type Kit, type KitBody } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import QuantityField from '../fields/QuantityField.vue'
import ReadField from '../fields/ReadField.vue'
import TextField from '../fields/TextField.vue'
import { useTyped } from '../hand/typed'
import { useFormulas, useProcesses } from '../stores'
import { readCapacity, writeCapacity } from './kitWords'

/** A kit by its leaflet: its baths in their order, the rolls it is good for, its own process. */
const { kit } = defineProps<{ kit: Kit | null }>()
const emit = defineEmits<{ close: []; kept: [] }>()
const formulas = useFormulas()
const processes = useProcesses()
const { busy, problem, current, act } = useAction()
const typing = useTyped()
const newId = uuid()
const name = ref(kit?.body.name ?? '')
const note = ref(kit?.body.note ?? '')
const baths = ref<{ name: string; formulaId: string | null; ml: number | null }[]>(
  kit?.body.baths.map((bath) => ({ ...bath })) ?? [{ name: '', formulaId: null, ml: 1000 }],
)
const capacity = ref<KitBody['capacity'] | null>(kit?.body.capacity ?? null)
const sealedDays = ref<number | null>(kit?.body.sealedDays ?? null)
const processId = ref<string | null>(kit?.body.processId ?? 'none')
const formulaChoices = computed(() => formulas.rows.map((row) => ({ value: row.id, name: row.body.name })))
const processChoices = computed(() => [
  { value: 'none', name: 'None of its own' },
  ...processes.rows.map((row) => ({ value: row.id, name: row.body.name })),
])
/** a bath that has no name yet is called as its formula */
function choose(i: number, formulaId: string | null): void {
  const bath = baths.value[i]
  if (!bath) return
  bath.formulaId = formulaId
  if (bath.name.trim() === '') bath.name = formulas.rows.find((row) => row.id === formulaId)?.body.name ?? ''
}
async function keep(): Promise<void> {
  const body = {
    ...{ name: name.value, note: note.value, capacity: capacity.value ?? [], sealedDays: sealedDays.value },
    baths: baths.value as KitBody['baths'],
    processId: processId.value === 'none' ? null : processId.value,
  }
  const version = (current.value as Kit | null)?.version ?? kit?.version ?? 1
  const good = await act(() =>
    kit ? call(api.kit.change, { params: { id: kit.id }, body: { version, body } }) : call(api.kit.add, { body: { id: newId, body } }),
  )
  if (!good) return
  typing.kept()
  emit('kept')
  emit('close')
}
</script>

<template>
  <FormPanel
    :title="kit ? `Change ${kit.body.name}` : 'Write down a kit'"
    :yes="current ? 'Keep mine over theirs' : 'Keep it'"
    :busy="busy"
    :problem="problem"
    wide
    @close="$emit('close')"
    @submit="keep"
  >
    <TextField v-model="name" label="Name" />
    <fieldset class="space-y-3">
      <legend class="font-semibold">Its baths, in the order of the leaflet</legend>
      <div v-for="(bath, i) in baths" :key="i" class="grid grid-cols-[1fr_1fr_10rem_auto] items-start gap-3 max-md:grid-cols-1">
        <ChoiceField
          :model-value="bath.formulaId"
          :label="`Formula of bath ${i + 1}`"
          :choices="formulaChoices"
          @update:model-value="(id) => choose(i, id)"
        />
        <TextField v-model="bath.name" :label="`Name of bath ${i + 1}`" />
        <QuantityField v-model="bath.ml" kind="volume" :label="`Makes`" />
        <button
          type="button"
          class="button min-h-12 md:mt-7"
          :disabled="baths.length === 1"
          :aria-label="`Take bath ${i + 1} out`"
          @click="baths.splice(i, 1)"
        >
          Out
        </button>
      </div>
      <button type="button" class="link min-h-11" @click="baths.push({ name: '', formulaId: null, ml: baths.at(-1)?.ml ?? 1000 })">
        One more bath
      </button>
    </fieldset>
    <div class="grid grid-cols-2 gap-4 max-sm:grid-cols-1">
      <ReadField
        v-model="capacity"
        label="Rolls it is good for"
        hint="such as 16; faster film after it: 16; 400: 12"
        :read="readCapacity"
        :write="writeCapacity"
      />
      <ReadField v-model="sealedDays" label="Days it keeps sealed" hint="if the leaflet says so" :read="Number" :write="String" />
    </div>
    <ChoiceField v-model="processId" label="Its own process" :choices="processChoices" />
    <p class="text-quiet">
      The leaflet’s times and temperatures are a process of their own: copy the house’s, write the leaflet’s figures in it, and choose it
      here.
    </p>
    <TextField v-model="note" label="Note" multiline />
  </FormPanel>
</template>
