<script setup lang="ts">
import ModalPanel from './ModalPanel.vue'
import ProblemLine from './ProblemLine.vue'

/** A form in a dialog: what is asked, what stands against it, and the way on and out. */
const { open = true } = defineProps<{
  title: string
  yes: string
  busy: boolean
  problem: string
  open?: boolean
  wide?: boolean
  blocked?: boolean
}>()
defineEmits<{ close: []; submit: [] }>()
</script>

<template>
  <ModalPanel :open="open" :wide="wide" :title="title" @close="$emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="$emit('submit')">
      <slot />
      <ProblemLine :problem="problem" />
      <div class="flex flex-wrap gap-3">
        <button class="button button-main" :disabled="busy || blocked">{{ yes }}</button>
        <slot name="more" />
        <button type="button" class="button" @click="$emit('close')">Not now</button>
        <slot name="apart" />
      </div>
    </form>
  </ModalPanel>
</template>
