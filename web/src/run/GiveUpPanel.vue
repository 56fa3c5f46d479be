<script setup lang="ts">
import { api, type Run } from '@selvrin/core/contract'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { now } from '../clock'
import BodyField from '../fields/BodyField.vue'
import FormPanel from '../fields/FormPanel.vue'
import TextField from '../fields/TextField.vue'
import { useContractForm } from '../fields/useContractForm'
import { useClocks } from './clocks'
import { deviceName } from './device'
import { saidHere } from './endings'

/** A run in the middle is given up: what it went through is written. */
const { run, open } = defineProps<{ run: Run; open: boolean }>()
defineEmits<{ close: [] }>()
const clocks = useClocks()
const router = useRouter()
const { fields, busy, rest, submit } = useContractForm(api.run.abandon, {
  begin: () => ({ version: run.version, at: 0, reason: '', events: [] }),
  send: async ({ reason }) => {
    // what this device knows goes along: it says which baths the film was in
    const body = { version: run.version, at: Math.round(now()), reason, device: deviceName(), events: saidHere(clocks.events.get(run.id)) }
    await call(api.run.abandon, { params: { id: run.id }, body })
  },
  then: () => router.push('/tanks'),
})
</script>

<template>
  <FormPanel
    :open="open"
    :title="`Give run ${run.number} up`"
    :yes="`Give run ${run.number} up`"
    :busy="busy"
    :problem="rest"
    @close="$emit('close')"
    @submit="submit"
  >
    <p>The baths it has been through keep their tallies. The films stay on the record.</p>
    <BodyField v-slot="{ bind }" :of="fields" name="reason"><TextField v-bind="bind" label="What happened?" /></BodyField>
  </FormPanel>
</template>
