<script setup lang="ts">
import { ref } from 'vue'
import FormPanel from './FormPanel.vue'
import TextField from './TextField.vue'

/** Something that was written and is wrong: why, and it is taken back by a second line. */
defineProps<{ what: string; says: string; busy: boolean; problem: string }>()
defineEmits<{ close: []; take: [reason: string] }>()
const why = ref('')
</script>

<template>
  <FormPanel
    :title="`Take back: ${what}`"
    yes="Take it back"
    :busy="busy"
    :problem="problem"
    @close="$emit('close')"
    @submit="$emit('take', why)"
  >
    <p>{{ says }}</p>
    <slot />
    <TextField v-model="why" label="What was wrong with it?" />
  </FormPanel>
</template>
