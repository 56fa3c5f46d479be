<script setup lang="ts">
defineProps<{ problem: string }>()
</script>

<template>
  <p v-if="problem" role="alert" class="rounded-sm border-2 border-alarm bg-panel px-3 py-2 font-semibold text-alarm">{{ problem }}</p>
</template>
