<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue'

/** What a screen reader hears of something that changes while one types: said once it has been the same for a while, not at every key. */
const { says } = defineProps<{ says: string }>()
const pauseMs = 900
const said = ref('')
let timer = 0
watch(
  () => says,
  (words) => {
    clearTimeout(timer)
    timer = window.setTimeout(() => (said.value = words), pauseMs)
  },
)
onBeforeUnmount(() => clearTimeout(timer))
</script>

<template>
  <p class="sr-only" role="status">{{ said }}</p>
</template>
