<script setup lang="ts">
import { sinkApi, type WasteDrum } from '@selvrin/core/contract'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'

/** Something is in a drum that must not be: nobody opens it any more. */
const { drum } = defineProps<{ drum: WasteDrum }>()
const emit = defineEmits<{ close: [] }>()
const why = ref('')
const { busy, problem, current, act } = useAction()
const shut = () =>
  act(() =>
    call(sinkApi.quarantine, {
      params: { id: drum.id },
      body: { version: (current.value as WasteDrum | null)?.version ?? drum.version, why: why.value },
    }),
  ).then((good) => good && emit('close'))
</script>

<template>
  <FormPanel
    :title="`${drum.code} into quarantine`"
    yes="Into quarantine"
    :busy="busy"
    :problem="problem"
    @close="emit('close')"
    @submit="shut"
  >
    <ol class="list-decimal space-y-1 pl-6 text-lg">
      <li>People away; hood and windows on.</li>
      <li>Lid on loosely, do not tighten it; do not move it, do not top it up.</li>
      <li>Smell of eggs or almonds, hissing, heat: leave, shut the door, call.</li>
      <li>The contractor is called, and decides what becomes of it.</li>
    </ol>
    <TextField v-model="why" label="What was poured in" hint="stands on it, and on the contractor’s note" begin />
    <p class="font-semibold">It cannot be taken back.</p>
  </FormPanel>
</template>
