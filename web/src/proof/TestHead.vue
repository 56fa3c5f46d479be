<script setup lang="ts">
import type { Guide } from '@selvrin/core'

/** In what light a test is done, and what to beware of: before its first step. */
defineProps<{ guide: Guide }>()
</script>

<template>
  <ul class="mb-6 flex flex-wrap gap-x-8 gap-y-1 border-l-4 border-alarm pl-4">
    <li><b>Light.</b> {{ guide.light }}</li>
    <li v-for="caution in guide.cautions" :key="caution"><b>Care.</b> {{ caution }}</li>
  </ul>
</template>
