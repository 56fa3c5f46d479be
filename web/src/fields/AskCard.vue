<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'

/** Something odd was written: a question with the way back first, where the focus goes, and the way on beside it. */
defineProps<{ question: string; back: string; on: string; busy?: boolean }>()
defineEmits<{ back: []; on: [] }>()
const first = useTemplateRef<HTMLButtonElement>('first')
onMounted(() => {
  first.value?.focus()
  first.value?.scrollIntoView({ block: 'nearest' })
})
</script>

<template>
  <div class="card border-2 border-alarm" role="alert">
    <p class="mb-3 text-xl font-semibold">{{ question }}</p>
    <div class="flex flex-wrap gap-3">
      <button ref="first" type="button" class="button button-main scroll-mb-6" @click="$emit('back')">{{ back }}</button>
      <button type="button" class="button" :disabled="busy" @click="$emit('on')">{{ on }}</button>
    </div>
  </div>
</template>
