<script setup lang="ts">
import type { Decided } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import FormPanel from '../fields/FormPanel.vue'
import WouldWrite from './WouldWrite.vue'

/** An act on a bottle: what is asked of whoever does it, what it will write before the tap, what stands against it, and the tap. */
defineProps<{
  title: string
  /** what core makes of what is asked so far */
  decide: () => Decided | null
  /** the bottles it writes to */
  bottles: Bottle[]
  busy: boolean
  problem: string
  yes?: string
  wide?: boolean
  blocked?: boolean
}>()
defineEmits<{ close: []; submit: [] }>()
</script>

<template>
  <FormPanel
    :title="title"
    :yes="yes ?? 'Write it down'"
    :wide="wide"
    :busy="busy"
    :blocked="blocked"
    :problem="problem"
    @close="$emit('close')"
    @submit="$emit('submit')"
  >
    <slot />
    <WouldWrite :decide="decide" :bottles="bottles" />
  </FormPanel>
</template>
