<script setup lang="ts">
/** Label above, problem or hint below; the slot gets the ids to wire up. */
defineProps<{ id: string; label: string; hint?: string; problem?: string }>()
</script>

<template>
  <div>
    <label :for="id" class="mb-1 block font-semibold">{{ label }}</label>
    <slot />
    <p v-if="problem" :id="`${id}-problem`" class="mt-1 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="`${id}-hint`" class="mt-1 text-quiet">{{ hint }}</p>
  </div>
</template>
