<script setup lang="ts">
import type { Guide } from '@selvrin/core'

/** What is seen, where a test is judged by eye; pressing it again takes it back where there is a figure to read instead. */
const { guide, may = 'change' } = defineProps<{ guide: Guide; may?: 'change' | 'none' }>()
const look = defineModel<string | null>({ required: true })
const choose = (value: string) => (look.value = may === 'none' && look.value === value ? null : value)
</script>

<template>
  <div role="group" aria-label="What is seen" class="flex flex-wrap gap-3">
    <button
      v-for="one in guide.looks"
      :key="one.value"
      type="button"
      class="button min-h-16 text-xl"
      :class="look === one.value ? 'button-main' : ''"
      :aria-pressed="look === one.value"
      @click="choose(one.value)"
    >
      {{ one.name }}
    </button>
  </div>
</template>
