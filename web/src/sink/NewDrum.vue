<script setup lang="ts">
import { drumNames, type Drum } from '@selvrin/core'
import { sinkApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import QuantityField from '../fields/QuantityField.vue'
import FormPanel from '../fields/FormPanel.vue'
import SwitchField from '../fields/SwitchField.vue'
import { familyChoices, metalChoices } from './drumWords'
import type { SinkView } from './useSink'

/** A drum for one family, which it is for as long as it is a drum. */
const { view } = defineProps<{ view: SinkView }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const family = ref<Drum | null>(null)
const metal = ref<string | null>('silver')
const volumeMl = ref<number | null>(20_000)
const tareG = ref<number | null>(null)
const vented = ref(true)
const trayId = ref<string | null>(null)
const none = 'none'
const trays = computed(() => [
  { value: none, name: 'No tray' },
  ...(view.sink.value?.facts.trays ?? []).map((one) => ({ value: one.id, name: one.name })),
])
const tray = computed({ get: () => trayId.value ?? none, set: (value) => (trayId.value = value === none ? null : value) })
const wrong = ref('')
const { busy, problem, act } = useAction()
const id = uuid()
async function make(): Promise<void> {
  wrong.value = ''
  if (family.value === null) return void (wrong.value = 'Say what goes in.')
  if (!volumeMl.value) return void (wrong.value = 'Say how much it holds.')
  if (tareG.value === null) return void (wrong.value = 'Weigh it empty: its lines are checked by its weight.')
  const body = {
    ...{ id, family: family.value, metal: family.value === 'nob' ? metal.value : null, volumeMl: volumeMl.value },
    ...{ tareKg: tareG.value / 1000, vented: vented.value, trayId: trayId.value },
  }
  if (await act(() => call(sinkApi.make, { body }))) {
    emit('close')
    await router.push(`/sink/drums/${id}`)
  }
}
</script>

<template>
  <FormPanel title="A new drum" yes="Make it" :busy="busy" :problem="wrong || problem" @close="emit('close')" @submit="make">
    <ChoiceField v-model="family" label="What goes in" :choices="familyChoices" />
    <ChoiceField v-if="family === 'nob'" v-model="metal" label="Which metal" :choices="metalChoices" />
    <div class="grid grid-cols-2 gap-3">
      <QuantityField v-model="volumeMl" kind="volume" label="Holds" hint="to the brim" />
      <QuantityField v-model="tareG" kind="mass" label="Empty" hint="with its cap" />
    </div>
    <SwitchField v-model="vented" label="Its cap lets gas out" detail="needed for fixers, bleach-fix and whatever ever hissed" />
    <ChoiceField v-model="tray" label="Stands in" :choices="trays" />
    <p v-if="family" class="text-quiet">Only {{ drumNames[family] }}, for as long as it is this drum.</p>
  </FormPanel>
</template>
