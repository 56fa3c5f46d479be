<script setup lang="ts">
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import ChoiceField from '../fields/ChoiceField.vue'
import FormPanel from '../fields/FormPanel.vue'
import SwitchField from '../fields/SwitchField.vue'
import type { SinkView } from './useSink'

/** Another tray, another cap. */
const { drum, view } = defineProps<{ drum: WasteDrum; view: SinkView }>()
const emit = defineEmits<{ close: [] }>()
const none = 'none'
const tray = ref<string | null>(drum.trayId ?? none)
const vented = ref(drum.vented)
const trays = computed(() => [
  { value: none, name: 'No tray' },
  ...(view.sink.value?.facts.trays ?? []).map((one) => ({ value: one.id, name: one.name })),
])
const { busy, problem, current, act } = useAction()
const keep = () =>
  act(() =>
    call(sinkApi.change, {
      params: { id: drum.id },
      body: {
        version: (current.value as WasteDrum | null)?.version ?? drum.version,
        ...{ vented: vented.value, trayId: tray.value === none ? null : tray.value },
      },
    }),
  ).then((good) => good && emit('close'))
</script>

<template>
  <FormPanel :title="`Tray and cap of ${drum.code}`" yes="Keep it so" :busy="busy" :problem="problem" @close="emit('close')" @submit="keep">
    <ChoiceField v-model="tray" label="Stands in" :choices="trays" />
    <SwitchField v-model="vented" label="Its cap lets gas out" detail="needed for fixers, bleach-fix and whatever ever hissed" />
    <p class="text-quiet">Families that never meet do not stand in one tray; acids stand below eye level; out of sun, below 30 °C.</p>
  </FormPanel>
</template>
