<script setup lang="ts">
/** A box to tick, as large as a wet finger, with what it is about beside it. */
const { checked } = defineProps<{ checked: boolean; label?: string }>()
defineEmits<{ change: [] }>()
</script>

<template>
  <button
    type="button"
    role="checkbox"
    class="flex min-h-11 min-w-11 cursor-pointer items-center gap-3 text-left"
    :aria-checked="checked"
    :aria-label="label"
    @click="$emit('change')"
  >
    <span
      class="flex size-6 shrink-0 items-center justify-center border-2 border-ink"
      :class="checked ? 'bg-primary text-on-primary' : 'bg-panel'"
    >
      <svg v-if="checked" width="16" height="14" viewBox="0 0 16 14" aria-hidden="true">
        <path d="M1 7l5 5 9-11" fill="none" stroke="currentColor" stroke-width="3" />
      </svg>
    </span>
    <slot />
  </button>
</template>
