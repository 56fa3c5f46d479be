<script setup lang="ts">
import type { Guide } from '@selvrin/core'

/** What is seen, where a test is judged by eye; `clearable` where pressing it again makes room for a figure instead. */
const { guide, clearable } = defineProps<{ guide: Guide; clearable?: boolean }>()
const look = defineModel<string | null>({ required: true })
const choose = (value: string) => (look.value = clearable && look.value === value ? null : value)
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
