<script setup lang="ts">
import { api } from '@selvrin/core/contract'
import { v7 as uuid } from 'uuid'
import { ref } from 'vue'
import { call } from '../api/call'
import { useAction } from '../api/useAction'
import TakeBackPanel from '../fields/TakeBackPanel.vue'

/** A test that was written by mistake, taken back where it stands. */
const { id } = defineProps<{ id: string; what: string }>()
const emit = defineEmits<{ done: [] }>()
const { busy, problem, act } = useAction()
const open = ref(false)
let newId = uuid()
function begin(): void {
  newId = uuid()
  problem.value = ''
  open.value = true
}
async function take(reason: string): Promise<void> {
  if (!(await act(() => call(api.proof.takeBack, { params: { id }, body: { newId, reason } })))) return
  open.value = false
  emit('done')
}
</script>

<template>
  <span>
    <button class="link min-h-11 whitespace-nowrap" :aria-label="`Take back: ${what}`" @click="begin">Take back</button>
    <TakeBackPanel
      v-if="open"
      :what="what"
      says="The test stays readable and counts for nothing any more: what it said of the bath, of films and of its owners goes with it."
      :busy="busy"
      :problem="problem"
      @close="open = false"
      @take="take"
    />
  </span>
</template>
