<script setup lang="ts">
/** How far something is that takes more than a second, as a share of 1; what can still be stopped has a button for it. */
const { share, stoppable = true } = defineProps<{ words: string; share: number; count?: string; stoppable?: boolean }>()
defineEmits<{ stop: [] }>()
</script>

<template>
  <div>
    <p class="mb-2 text-xl font-semibold" role="status">{{ words }} …</p>
    <p v-if="count" class="mb-2 font-mono">{{ count }}</p>
    <div class="h-6 border-2 border-quiet bg-panel">
      <div class="h-full bg-primary" :style="{ width: `${share * 100}%` }" />
    </div>
    <button v-if="stoppable" type="button" class="button mt-3" @click="$emit('stop')">Stop</button>
  </div>
</template>
