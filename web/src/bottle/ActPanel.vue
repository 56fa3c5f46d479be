<script setup lang="ts">
import type { Decided } from '@selvrin/core'
import type { Bottle } from '@selvrin/core/contract'
import ModalPanel from '../fields/ModalPanel.vue'
import ProblemLine from '../fields/ProblemLine.vue'
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
}>()
defineEmits<{ close: []; write: [] }>()
</script>

<template>
  <ModalPanel open :title="title" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="$emit('write')">
      <slot />
      <WouldWrite :decide="decide" :bottles="bottles" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">{{ yes ?? 'Write it down' }}</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
