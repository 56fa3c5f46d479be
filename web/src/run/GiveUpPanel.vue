<script setup lang="ts">
import { api, type Run } from '@selvrin/core/contract'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import { now } from '../clock'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
import TextField from '../fields/TextField.vue'
import { useClocks } from './clocks'

/** A run in the middle is given up: what it went through is written. */
const { run, open } = defineProps<{ run: Run; open: boolean }>()
defineEmits<{ close: [] }>()
const clocks = useClocks()
const router = useRouter()
const { busy, problem, act } = useAction()
const why = ref('')
async function giveUp(): Promise<void> {
  const good = await act(() =>
    call(api.run.abandon, {
      params: { id: run.id },
      // what this device knows goes along: it says which baths the film was in
      body: { version: run.version, at: Math.round(now()), reason: why.value, events: (clocks.events.get(run.id) ?? []).slice(-200) },
    }),
  )
  if (good) await router.push('/tanks')
}
</script>

<template>
  <ModalPanel :open="open" :title="`Give run ${run.number} up`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="giveUp">
      <p>The baths it has been through keep their tallies. The films stay on the record.</p>
      <TextField v-model="why" label="What happened?" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Give run {{ run.number }} up</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
