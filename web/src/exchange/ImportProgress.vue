<script setup lang="ts">
import ProgressBar from '../fields/ProgressBar.vue'
import type { Progress } from './useImport'

/** How far the reading or sending of a file is. What is being written is written whole or not at all: it cannot be stopped. */
defineProps<{ progress: Progress }>()
defineEmits<{ stop: [] }>()
</script>

<template>
  <ProgressBar
    class="mb-5 max-w-4xl"
    :words="progress.words"
    :share="progress.of > 0 ? progress.done / progress.of : 0"
    :count="`${progress.done} of ${progress.of}`"
    :stoppable="progress.words !== 'Writing'"
    @stop="$emit('stop')"
  />
</template>
