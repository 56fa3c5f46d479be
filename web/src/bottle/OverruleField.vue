<script setup lang="ts">
import { reasonAgainst, type Decided } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import { computed } from 'vue'
import TextField from '../fields/TextField.vue'
import { useShow } from '../session/useShow'
import { outcomeOf } from './outcome'

const show = useShow()
/** A bottle that should not be used, at all or for this, asks for a technician's reason, which stays on the record. `without`: the act without a reason. */
const { bottle, without } = defineProps<{ bottle: Bottle; without: () => Decided | null; problem?: string }>()
const model = defineModel<string>({ required: true })
const against = computed(() => {
  const finding = reasonAgainst(bottle)
  if (finding) return `${bottle.label} should not be used. ${finding.message}`
  const { refusal, wantsReason } = outcomeOf(without)
  return wantsReason ? refusal : ''
})
</script>

<template>
  <div v-if="against" class="border-l-4 border-alarm pl-4">
    <p class="mb-2 font-semibold">{{ show.said(against) }}</p>
    <TextField v-model="model" label="Why it is used all the same" hint="stays on the record, with your name" :problem="problem" />
  </div>
</template>
