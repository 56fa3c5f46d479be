<script setup lang="ts">
import { taskNames, type TrainingTask } from '@selvrin/core'
import { trainingApi } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'

/** A task is taken away from somebody: from then on a technician stands beside them. */
const { task, person, personId } = defineProps<{ task: TrainingTask; person: string; personId: string }>()
const emit = defineEmits<{ close: []; done: [] }>()
const why = ref('')
const id = uuid()
const { busy, problem, act } = useAction()
async function revoke(): Promise<void> {
  if (await act(() => call(trainingApi.revoke, { body: { id, personId, task, why: why.value } }))) emit('done')
}
</script>

<template>
  <FormPanel
    :title="`${person}: ${taskNames[task]}`"
    yes="Take it away"
    :busy="busy"
    :problem="problem"
    @close="emit('close')"
    @submit="revoke"
  >
    <p class="text-lg">At once: from now on a technician has to be beside them, until it is shown again.</p>
    <TextField v-model="why" label="Why" hint="they read it" />
  </FormPanel>
</template>
