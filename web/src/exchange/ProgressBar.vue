<script setup lang="ts">
import type { Progress } from './useImport'

/** How far something is that takes more than a second. */
defineProps<{ progress: Progress }>()
defineEmits<{ stop: [] }>()
</script>

<template>
  <div class="mb-5 max-w-4xl">
    <p class="mb-2 text-xl font-semibold" role="status">{{ progress.words }} …</p>
    <p class="mb-2 font-mono">{{ progress.done }} of {{ progress.of }}</p>
    <div class="h-6 border-2 border-quiet bg-panel">
      <div class="h-full bg-primary" :style="{ width: `${progress.of > 0 ? (progress.done / progress.of) * 100 : 0}%` }" />
    </div>
    <button v-if="progress.words !== 'Writing'" class="button mt-3" @click="$emit('stop')">Stop</button>
  </div>
</template>
