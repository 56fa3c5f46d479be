<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { catalogue, clashesOf } from '../chemical/chemistry'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import QuantityField from '../fields/QuantityField.vue'
import ProtectionSigns from '../hazard/ProtectionSigns.vue'
import { useJars } from '../stores'
import { emptyJar, readJar } from './draft'
import JarFields from './JarFields.vue'
import { useShow } from '../session/useShow'
import { alsoCalled, notTheSame } from '../chemical/names'

const show = useShow()
const emit = defineEmits<{ close: []; made: [id: string] }>()
const jars = useJars()
const { busy, problem, act } = useAction()
const ids = { id: uuid(), entryId: uuid() }
const chemical = ref<string | null>(null)
const grams = ref<number | null>(null)
const draft = ref(emptyJar())
const problems = ref<Record<string, string>>({})
const chemicals = Object.values(catalogue())
  .map((one) => ({ value: one.id, name: one.name }))
  .sort((a, b) => a.name.localeCompare(b.name))
const picked = computed(() => (chemical.value ? catalogue()[chemical.value] : undefined))
/** What stands there already and must not stand beside it. */
const clashes = computed(() =>
  chemical.value === null || draft.value.place === ''
    ? []
    : clashesOf([chemical.value, ...jars.rows.filter((jar) => jar.place === draft.value.place).map((jar) => jar.chemical)]).filter(
        (clash) => clash.one === chemical.value || clash.other === chemical.value,
      ),
)

async function receive(): Promise<void> {
  const { facts, problems: wrong } = readJar(draft.value)
  problems.value = wrong
  if (chemical.value === null || grams.value === null) {
    problem.value = 'Choose the chemical and write how much is in the jar.'
    return
  }
  if (!facts) {
    problem.value = 'Some of it cannot be read yet: see the marked fields.'
    return
  }
  const body = { ...ids, chemical: chemical.value, grams: grams.value, ...facts }
  if (await act(() => call(api.jar.receive, { body }))) {
    await jars.load(true)
    emit('made', ids.id)
  }
}
</script>

<template>
  <ModalPanel open wide title="A new jar" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="receive">
      <div class="grid grid-cols-2 gap-4">
        <ChoiceField v-model="chemical" label="Chemical" :choices="chemicals" />
        <QuantityField v-model="grams" kind="mass" label="Holds" />
      </div>
      <p v-if="picked && alsoCalled(picked.id)" class="text-quiet">{{ alsoCalled(picked.id) }}</p>
      <p v-if="picked && notTheSame(picked.id)" class="font-semibold">{{ notTheSame(picked.id) }} Look at the jar again.</p>
      <ProtectionSigns v-if="picked" :chemical="picked" />
      <JarFields v-model="draft" :problems="problems" />
      <p v-for="clash in clashes" :key="clash.message" class="font-semibold text-alarm">{{ show.said(clash.message) }}</p>
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Put it on the shelf</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
