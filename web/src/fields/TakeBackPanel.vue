<script setup lang="ts">
import { ref } from 'vue'
import ModalPanel from './ModalPanel.vue'
import ProblemLine from './ProblemLine.vue'
import TextField from './TextField.vue'

/** Something that was written and is wrong: why, and it is taken back by a second line. */
defineProps<{ what: string; says: string; busy: boolean; problem: string }>()
defineEmits<{ close: []; take: [reason: string] }>()
const why = ref('')
</script>

<template>
  <ModalPanel open :title="`Take back: ${what}`" @close="$emit('close')">
    <form class="space-y-4" @submit.prevent="$emit('take', why)">
      <p>{{ says }}</p>
      <slot />
      <TextField v-model="why" label="What was wrong with it?" />
      <ProblemLine :problem="problem" />
      <div class="flex gap-3">
        <button class="button button-main" :disabled="busy">Take it back</button>
        <button type="button" class="button" @click="$emit('close')">Not now</button>
      </div>
    </form>
  </ModalPanel>
</template>
